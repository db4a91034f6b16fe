import { KIND_NAMES, type EntryBody } from '@gentle-burrow/core/log';
import { SAMPLES } from '@gentle-burrow/core/world';
import { drop, outboxItems, put } from '@/data/outbox';
import { entryWords, kindTitle } from './kind-views';

const all = KIND_NAMES.map((kind): [string, EntryBody] => [kind, SAMPLES[kind]]);
const names = { place: () => 'Cellar', species: (id: string) => id.replace('-', ' ') };

test.each(all)('%s is shown with a title and what it says, in words', (_, body) => {
  expect(kindTitle(body.kind)).toMatch(/^[A-Z][a-z]/);
  const words = entryWords(body, names);
  expect(words).not.toBe('');
  expect(words).not.toMatch(/undefined|null|NaN|\[object|, ,|-\w+-\w+-/);
  // the keeper's own words are never lost
  if ('text' in body && body.text) expect(words).toContain(body.text);
});

test.each(all)(
  'a line of %s obeys the units of the keeper, and a tube keeps the name it is sold by',
  (_, body) => {
    const units = { length: 'in', temperature: 'F' } as const;
    // what the keeper wrote is left as it is
    const said = { ...body, ...('text' in body ? { text: 'as written' } : {}) } as EntryBody;
    const words = entryWords(said, { ...names, units });
    expect(words).not.toMatch(/°C/);
    expect(words.replace(/\d+ × \d+ mm \([\d.]+ × [\d.]+ in\)/g, '')).not.toMatch(/\d mm\b/);
  },
);

test('no two kinds have one title', () =>
  expect(new Set(KIND_NAMES.map(kindTitle)).size).toBe(KIND_NAMES.length));

test.each(all)('%s waits in the outbox as it was written', async (kind, body) => {
  const at = '2026-05-20T18:30:00.000Z';
  const entry = {
    ...body,
    id: '018f0000-0000-7000-9000-000000000001',
    queenId: '018f0000-0000-7000-8000-000000000001',
    loggedAt: at,
  };
  await put({ what: 'entries', entries: [entry as never] });
  const kept = outboxItems().find((i) => i.out.what === 'entries' && i.out.entries[0]?.kind === kind);
  expect(kept?.out).toEqual({ what: 'entries', entries: [entry] });
  for (const i of outboxItems()) await drop(i.id);
});
