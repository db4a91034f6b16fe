import { queenView, shelfRow, type Instant, type KeeperSettings, type QueenFacts } from '@gentle-burrow/core';

export interface ProjectionAsk {
  id: number;
  facts: QueenFacts;
  settings: KeeperSettings;
  now: Instant;
}

// the same core as the server's, for what the server has not heard of yet
self.onmessage = (event: MessageEvent<ProjectionAsk>) => {
  const { id, facts, settings, now } = event.data;
  const view = queenView(facts, settings, now);
  self.postMessage({ id, view, row: shelfRow(facts, view, now) });
};
