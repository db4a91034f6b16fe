import ICAL from 'ical.js';
import { factsOf, newQueen, testServer } from './test-kit';

let server: Awaited<ReturnType<typeof testServer>>;
beforeAll(async () => {
  server = await testServer();
});
afterAll(() => server.close());

/** The feed taken apart by a general iCalendar library (RFC 5545). */
async function events() {
  const answer = await server.app.inject({ method: 'GET', url: '/api/agenda.ics' });
  expect(answer.headers['content-type']).toMatch(/^text\/calendar/);
  expect(answer.body).toMatch(/\r\n/);
  const calendar = new ICAL.Component(ICAL.parse(answer.body) as never);
  return calendar.getAllSubcomponents('vevent').map((v) => {
    const e = new ICAL.Event(v);
    return {
      uid: e.uid,
      summary: e.summary,
      url: String(v.getFirstPropertyValue('url')),
      day: e.startDate.toString().slice(0, 10),
      allDay: e.startDate.isDate,
    };
  });
}

test('visits as a calendar that others can read; what moves keeps its UID', async () => {
  const semi = newQueen('M1', 3);
  (semi.intake as { species: object }).species = { profileId: 'manica-rubida', sure: 'certain' };
  await server.store.write([...factsOf(newQueen('T1', 3)), ...factsOf(semi)]);
  const first = await events();
  expect(first.map((e) => e.summary).join()).toMatch(/M1: Offer sugar and a tiny piece/);
  expect(first.map((e) => e.summary).join()).toMatch(/T1: One short look/);
  expect(new Set(first.map((e) => e.uid)).size).toBe(first.length);
  // each leads to her page, where it is answered
  const pages = first.map((e) => new URL(e.url).pathname);
  expect(pages.every((p) => /^\/queens\/[0-9a-f-]{36}$/.test(p))).toBe(true);
  expect(new Set(pages).size).toBe(2);
  expect(first.every((e) => e.allDay)).toBe(true);

  // the keeper has time on Saturdays alone from now on
  const settings = { lookingSchool: 'fortnightly', hemisphere: 'north', weekdays: [6], absences: [] };
  await server.app.inject({ method: 'PUT', url: '/api/settings', payload: settings });
  const second = await events();
  for (const e of second) expect(new Date(e.day).getUTCDay()).toBe(6);
  const look = (list: typeof first) => list.find((e) => /T1: One short look/.test(e.summary));
  expect(look(second)?.uid).toBe(look(first)?.uid);
});

test('an absence that ends before it begins is refused', async () => {
  const absences = [{ from: '2026-08-09', to: '2026-08-01' }];
  const payload = { lookingSchool: 'weekly', hemisphere: 'north', weekdays: [], absences };
  const answer = await server.app.inject({ method: 'PUT', url: '/api/settings', payload });
  expect(answer.json<{ error: { message: string } }>().error.message).toMatch(/ends before it begins/);
});
