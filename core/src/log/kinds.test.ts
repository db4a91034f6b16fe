import { ledger } from '../founding';
import { day, entry, QUEEN, testId } from '../test-kit';
import { SAMPLES } from '../world';
import {
  disturbanceOf,
  DISTURBANCES,
  entrySchema,
  KIND_NAMES,
  KINDS,
  referencesOf,
  type Entry,
} from './index';

const whole = KIND_NAMES.map((kind) => [kind, SAMPLES[kind]] as const);
const written = (body: object): Entry =>
  entrySchema.parse({ ...body, id: testId(), queenId: QUEEN, at: day(3), loggedAt: day(3) });

describe.each(whole)('%s', (kind, body) => {
  test('is read as it was written, nothing dropped, nothing added', () => {
    expect(KINDS[kind].kind).toBe(kind);
    const { id: _id, queenId: _queen, loggedAt: _logged, ...rest } = written(body);
    expect(rest).toEqual({ ...body, at: day(3) });
  });

  test('says what it does to her peace, and what it names', () => {
    const disturbs = disturbanceOf(body);
    expect(disturbs === null || DISTURBANCES.includes(disturbs)).toBe(true);
    const named = Object.values(referencesOf(body)).flat();
    for (const id of named) expect(JSON.stringify(body)).toContain(id as string);
  });

  test('changes what is known of her, or says on purpose that it does not', () => {
    const intake = entry(0, { kind: 'intake' });
    const before = ledger([intake], day(5))[QUEEN];
    const others = kind === 'intake' ? [] : [intake];
    const after = ledger([...others, written(body)], day(5))[QUEEN];
    expect(JSON.stringify(after) === JSON.stringify(before)).toBe(['note', 'correct'].includes(kind));
    // and its disturbance is in the account
    const felt = after?.disturbances.filter((d) => d.at === day(3)) ?? [];
    expect(felt.map((d) => d.kind)).toEqual(disturbanceOf(body) === null ? [] : [disturbanceOf(body)]);
  });
});

test('an unknown kind is told of all that there are', () => {
  const [issue] = entrySchema.safeParse({ kind: 'wish' }).error?.issues ?? [];
  for (const kind of [...KIND_NAMES, 'amendment']) expect(issue?.message).toContain(kind);
});

test('where food was put decides what a feed does to her', () => {
  const feed = SAMPLES.feed;
  expect(disturbanceOf({ ...feed, spot: 'cell' })).toBe('feed-cell');
  expect(disturbanceOf({ ...feed, spot: 'foraging-space' })).toBe('feed-outside');
  const { spot: _spot, ...unsaid } = feed;
  expect(disturbanceOf(unsaid)).toBe('feed');
  expect(disturbanceOf({ ...unsaid, outcome: 'removed' })).toBe('take-out');
});
