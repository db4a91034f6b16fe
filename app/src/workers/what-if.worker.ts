import type { KeeperSettings } from '@gentle-burrow/core/facts';
import type { Learned } from '@gentle-burrow/core/founding';
import type { Instant } from '@gentle-burrow/core/quantity';
import type { OwnKind } from '@gentle-burrow/core/species';
import { profilesWith } from '@gentle-burrow/core/species/catalogue';
import { whatIf, type QueenFacts, type WhatIf, type WhatIfAnswer } from '@gentle-burrow/core/view';

export interface WhatIfAbout {
  facts: QueenFacts;
  settings: KeeperSettings;
  own: readonly OwnKind[];
  learned: Learned;
  now: Instant;
}
export type WhatIfAsk = { about: WhatIfAbout } | { change: WhatIf; draws: number };
export interface WhatIfTold {
  change: WhatIf;
  draws: number;
  answer: WhatIfAnswer;
}

let about: WhatIfAbout | null = null;

// the same core as the server's; her facts come once, the changes as the slider moves
self.onmessage = (event: MessageEvent<WhatIfAsk>) => {
  if ('about' in event.data) {
    about = event.data.about;
    return;
  }
  if (!about) return;
  const { change, draws } = event.data;
  const { facts, settings, own, learned, now } = about;
  const answer = whatIf(facts, settings, now, change, { draws, learned, profileOf: profilesWith(own) });
  self.postMessage({ change, draws, answer } satisfies WhatIfTold);
};
