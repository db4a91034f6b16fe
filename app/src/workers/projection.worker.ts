import type { KeeperSettings } from '@gentle-burrow/core/facts';
import type { Learned } from '@gentle-burrow/core/founding';
import type { Instant } from '@gentle-burrow/core/quantity';
import { queenView, shelfRow, type QueenFacts } from '@gentle-burrow/core/view';

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
