import { queenView } from '@gentle-burrow/core/view';
import type { EntryBody } from '@gentle-burrow/core/log';
import type { ShownQueen } from '@/data/queries';
import { daysAgo, madeQueen, SETTINGS } from '../../../../../test/kit';
import { correctionActs, correctionFault, herFacts } from './facts';

const LOOK: EntryBody = { kind: 'look', at: daysAgo(20), queen: 'seen' };

function shownOf(tube: object = {}, bodies: EntryBody[] = [LOOK]): ShownQueen {
  const made = madeQueen('A', 30, bodies);
  const facts = { ...made, home: { ...made.home, ...tube } } as typeof made;
  return { facts, view: queenView(facts, SETTINGS, daysAgo(0), { draws: 50 }), learned: {}, waiting: false };
}
const now = new Date(daysAgo(0));

test('of several tubes only the measure that was changed is changed', () => {
  const [first, other] = [shownOf(), shownOf({ lengthMm: 200, waterLineMm: 140 })];
  const seen = herFacts(first);
  const is = { tube: { ...seen.tube!, boreMm: 13 } };
  const [act] = correctionActs(other, is, seen, now) as never as { body: { tube: { is: object } } }[];
  expect(act?.body.tube.is).toMatchObject({ boreMm: 13, lengthMm: 200, waterLineMm: 140 });
});

test('a measure that fits the first tube and not another is refused before it is sent', () => {
  const [first, other] = [shownOf(), shownOf({ outsideMm: 12, boreMm: 10 })];
  const seen = herFacts(first);
  const is = { tube: { ...seen.tube!, boreMm: 13 } };
  expect(correctionFault(first, is, seen, now)).toBeNull();
  expect(correctionFault(other, is, seen, now)).toMatchObject({ key: 'tube' });
});

test('taken in on the day of her first look, she was there before it', () => {
  const shown = shownOf();
  const day = daysAgo(20).slice(0, 10);
  const acts = correctionActs(shown, { day }, herFacts(shown), now);
  const [amended] = acts as never as { replacement: { kind: string; at: string } }[];
  expect(amended?.replacement.kind).toBe('intake');
  expect(amended!.replacement.at < LOOK.at).toBe(true);
  expect(amended!.replacement.at.slice(0, 10)).toBe(LOOK.at.slice(0, 10));
});

test('what stays as it is writes nothing', () => {
  const shown = shownOf();
  expect(correctionActs(shown, { label: ' A ', batch: '', where: '' }, herFacts(shown), now)).toEqual([]);
});
