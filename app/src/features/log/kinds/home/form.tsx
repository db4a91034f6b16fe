import type { StockMove } from '@gentle-burrow/core/facts';
import { nounOf } from '@gentle-burrow/core/housing';
import { v7 } from 'uuid';
import type { KindForm } from '../../kind-form';
import { checked, draftOf, emptyDraft, forOther, whatOf, type HomeDraft } from './draft';
import { Fields } from './Fields';

/** A part more, who is in which, water, doors, a part less: her home changes, and her water with it. */
export const home: KindForm<'home', HomeDraft> = {
  deed: 'Her home',
  keep: 'Keep this',
  kept: ({ change }, shown) => {
    const { label } = shown.facts.queen;
    switch (change.what) {
      case 'set-up':
        return `A ${change.part.kind === 'tube' ? 'fresh tube' : nounOf(change.part)} stands with ${label}.`;
      case 'taken-away':
        return 'It is taken away.';
      case 'watered':
        return `${label}: watered.`;
      default:
        return `${label}: home kept.`;
    }
  },
  begin(shown, body, partId) {
    const empty = emptyDraft(shown, partId);
    return body ? draftOf(body.change, empty) : empty;
  },
  finish(draft, shown) {
    const { change } = checked(draft, shown);
    return change ? { change } : null;
  },
  forOther,
  uses(draft, shown): StockMove[] {
    const { itemId, kind } = draft;
    if (whatOf(shown.view.housing, draft) !== 'set-up' || kind !== 'tube' || !itemId) return [];
    return [
      {
        id: v7(),
        itemId,
        at: new Date().toISOString(),
        delta: -1,
        why: 'used',
        queenId: shown.facts.queen.id,
      },
    ];
  },
  Fields,
};
