import { parse } from 'csv-parse/sync';
import { v7 } from 'uuid';
import { daysAgo, factsOf, newQueen, testServer } from './test-kit';

let server: Awaited<ReturnType<typeof testServer>>;
const one = newQueen('=HYPERLINK("x")');
const note = {
  kind: 'note' as const,
  id: v7(),
  queenId: one.queen.id,
  at: daysAgo(3),
  loggedAt: daysAgo(3),
  text: '+1, "quoted"\nand a second line',
};
const item = { id: v7(), kind: 'food' as const, name: '@seeds', tube: null, lowAt: 0 };
beforeAll(async () => {
  server = await testServer();
  const intake = {
    ...one.intake,
    where: '-Millrace Meadow',
    coordinates: { lat: 48.13743, lon: -11.57549, uncertaintyM: 25 },
  } as never;
  await server.store.write([
    ...factsOf({ ...one, intake }),
    { fact: 'entry', value: note },
    { fact: 'stock-item', value: item },
    {
      fact: 'stock-move',
      value: { id: v7(), itemId: item.id, at: daysAgo(1), delta: -4, why: 'used', queenId: null },
    },
  ]);
}, 60_000);
afterAll(() => server.close());

/** The rows of a table, by a parser that holds to RFC 4180. */
async function rowsOf(url: string): Promise<Record<string, string>[]> {
  const answer = await server.app.inject(url);
  expect([answer.statusCode, answer.headers['content-type']]).toEqual([200, 'text/csv; charset=utf-8']);
  expect(answer.body).toMatch(/\r\n$/);
  return parse(answer.body, { columns: true, record_delimiter: '\r\n' });
}

test('nothing in a table is taken for a formula (OWASP, CSV injection), and figures stay figures', async () => {
  const log = await rowsOf('/api/log.csv?places=exact');
  const [stock] = await rowsOf('/api/stock.csv');
  const [capture] = await rowsOf('/api/captures.csv?places=exact');
  for (const row of [...log, stock, capture])
    for (const cell of Object.values(row ?? {}))
      if (!/^-?\d+(\.\d+)?$/.test(cell)) expect(cell).not.toMatch(/^[=+\-@\t\r]/);
  expect(log.map((r) => [r.queen, r.what, r.note])).toEqual([
    [`'${one.queen.label}`, 'intake', ''],
    [`'${one.queen.label}`, 'note', `'${note.text}`],
  ]);
  expect(stock).toMatchObject({ name: "'@seeds", count: '-4' });
  expect(capture).toMatchObject({ decimalLongitude: '-11.57549', locality: "'-Millrace Meadow" });
});

test('where she was found stays here unless it is asked for', async () => {
  expect((await server.app.inject('/api/log.csv')).body).not.toMatch(/Millrace|48\.1|11\.5/);
  expect((await server.app.inject('/api/log.csv?places=exact')).body).toContain('Millrace');
});

test('her day is the keeper’s day: whoever asks says where, and what the keeper has set comes first', async () => {
  // noon of 1 July in UTC is 2 July on the Line Islands
  const named = async (path: string) =>
    (await server.app.inject(path)).headers['content-disposition']
      ?.toString()
      .match(/\d{4}-\d{2}-\d{2}/)?.[0];
  const FILES = ['log.csv', 'stock.csv', 'captures.csv', 'export.jsonl', 'backup.zip'];
  for (const file of FILES) {
    expect([file, await named(`/api/${file}?zone=Pacific/Kiritimati`)]).toEqual([file, '2026-07-02']);
    expect([file, await named(`/api/${file}?zone=America/Denver`)]).toEqual([file, '2026-07-01']);
  }
  const [there] = await rowsOf('/api/captures.csv?zone=Pacific/Kiritimati');
  const [here] = await rowsOf('/api/captures.csv?zone=America/Denver');
  expect(there?.eventDate).not.toBe(here?.eventDate);
  const wrong = await server.app.inject('/api/log.csv?zone=Mars/Olympus');
  expect(wrong.statusCode).toBe(400);
  expect(wrong.body).toMatch(/not a time zone\. Give one like/);
  const settings = await server.store.settings();
  await server.app.inject({
    method: 'PUT',
    url: '/api/settings',
    payload: { ...settings, zone: 'America/Denver' },
  });
  expect(await named('/api/log.csv?zone=Pacific/Kiritimati')).toBe('2026-07-01');
});
