import type { KeeperSettings } from '@gentle-burrow/core/facts';
import type { Learned } from '@gentle-burrow/core/founding';
import type { Instant } from '@gentle-burrow/core/quantity';
import type { OwnKind } from '@gentle-burrow/core/species';
import { profilesWith } from '@gentle-burrow/core/species/catalogue';
import { queenView, shelfRow, type QueenFacts } from '@gentle-burrow/core/view';

export interface ProjectionAsk {
  id: number;
  facts: QueenFacts;
  settings: KeeperSettings;
  now: Instant;
  own: readonly OwnKind[];
  learned: Learned;
}

// the same core as the server's, for what the server has not heard of yet
self.onmessage = (event: MessageEvent<ProjectionAsk>) => {
  const { id, facts, settings, now, own, learned } = event.data;
  const view = queenView(facts, settings, now, { learned, profileOf: profilesWith(own) });
  self.postMessage({ id, view, row: shelfRow(facts, view) });
};
