import {
  queenView,
  shelfRow,
  type Instant,
  type KeeperSettings,
  type Learned,
  type QueenFacts,
} from '@gentle-burrow/core';

export interface ProjectionAsk {
  id: number;
  facts: QueenFacts;
  settings: KeeperSettings;
  now: Instant;
  learned: Learned;
}

// the same core as the server's, for what the server has not heard of yet
self.onmessage = (event: MessageEvent<ProjectionAsk>) => {
  const { id, facts, settings, now, learned } = event.data;
  const view = queenView(facts, settings, now, { learned });
  self.postMessage({ id, view, row: shelfRow(facts, view) });
};
