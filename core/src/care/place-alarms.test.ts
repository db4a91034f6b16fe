import type { TempSpan } from '../climate';
import { instantOf, msOf, plainText } from '../quantity';
import { speciesProfile } from '../species/catalogue';
import { placeAlarms, type PlaceWatched, type ProbeWatched } from './place-alarms';

const JULY = '2026-07-15T12:00:00.000Z';
const HOUR = 3_600_000;
const MESSOR = speciesProfile('messor-structor');
const MANICA = speciesProfile('manica-rubida');

/** Hours up to a moment, the newest last. */
const hours = (temps: number[], now = JULY, spread = 0.2): TempSpan[] =>
  temps.map((t, i) => ({
    at: instantOf(msOf(now) - (temps.length - i) * HOUR),
    minC: t - spread,
    meanC: t,
    maxC: t + spread,
  }));
const steady = (tempC: number, days: number) => Array.from({ length: 24 * days }, () => tempC);
const probe = { id: 'p', name: 'Shelf logger', kind: 'logger', silentAfterH: 2 } as const;

function watch(
  change: Partial<PlaceWatched> & {
    temps?: number[];
    spread?: number;
    latest?: ProbeWatched['latest'];
    dayRh?: number;
  },
) {
  const { temps = steady(25, 8), spread = 0.2, now = JULY, latest, dayRh = 0.5, ...rest } = change;
  const shown = hours(temps, now, spread);
  const watched: ProbeWatched = {
    probe,
    latest:
      latest === undefined ? { at: instantOf(msOf(now) - 600_000), tempC: temps.at(-1) ?? null } : latest,
    hours: shown,
    dayRh,
    tempErrorC: 1.5,
  };
  return placeAlarms({
    place: { winter: null },
    probes: [watched],
    kinds: [MESSOR],
    barriers: false,
    hemisphere: 'north',
    now,
    ...rest,
  });
}
const ids = (change: Parameters<typeof watch>[0]) => watch(change).map((a) => a.id);

describe('alarms of a place', () => {
  test('a good week is quiet', () => expect(ids({})).toEqual([]));
  test('without readings nobody says anything', () =>
    expect(
      placeAlarms({
        place: { winter: null },
        probes: [],
        kinds: [MESSOR],
        barriers: true,
        hemisphere: 'north',
        now: JULY,
      }),
    ).toEqual([]));

  // barriers fail in damp air: common practice, no source
  test('damp air is told where a barrier has to hold, and nowhere else', () => {
    expect(ids({ dayRh: 0.85, barriers: true })).toEqual(['damp']);
    expect(ids({ dayRh: 0.85, barriers: false })).toEqual([]);
    expect(ids({ dayRh: 0.6, barriers: true })).toEqual([]);
    expect(watch({ dayRh: 0.85, barriers: true })[0]?.todo).toMatch(/lid on.*space stays dry/);
    // heat comes before it
    expect(ids({ dayRh: 0.85, barriers: true, temps: [...steady(25, 7), 36] })[0]).toBe('too-hot');
  });

  // "from the mid-thirties on": common practice, no source
  test('too hot now comes first, says what to do, and since when', () => {
    const [first] = watch({ temps: [...steady(25, 7), ...Array.from({ length: 3 }, () => 36)] });
    expect(first).toMatchObject({ id: 'too-hot', grave: 'now', since: instantOf(msOf(JULY) - 3 * HOUR) });
    expect(plainText(first?.says ?? [])).toMatch(/36 °C/);
    expect(first?.todo).toMatch(/cooler place now/);
  });

  test('what just was too hot is told for some hours, and then no more', () => {
    const after = (h: number) => [...steady(25, 7), 36, ...Array.from({ length: h }, () => 26)];
    expect(ids({ temps: after(2) })).toEqual(['was-hot']);
    // then the day still swung
    expect(ids({ temps: after(12) })).toEqual(['swing']);
    expect(ids({ temps: after(40) })).toEqual([]);
  });

  test('the limit is that of the kinds that stand there', () => {
    const limit = Math.min(...Object.values(MANICA.stages).map((s) => s.upperC));
    expect(limit).toBeLessThanOrEqual(34);
    expect(ids({ temps: steady(limit - 1.5, 8), kinds: [MANICA] })).not.toContain('too-hot');
    expect(ids({ temps: steady(limit + 0.5, 8), kinds: [MANICA] })).toContain('too-hot');
  });

  // a cheap thermometer is off by one or two degrees: common practice, no source
  test('what a thermometer may hide counts near the limit; one that was checked hides less', () => {
    const limit = Math.min(34, ...Object.values(MESSOR.stages).map((s) => s.upperC));
    const at = (tempC: number, tempErrorC: number) =>
      placeAlarms({
        place: { winter: null },
        probes: [{ probe, latest: { at: JULY, tempC }, hours: [], dayRh: null, tempErrorC }],
        kinds: [MESSOR],
        barriers: false,
        hemisphere: 'north',
        now: JULY,
      });
    expect(at(limit - 0.8, 1.5)).toMatchObject([{ id: 'too-hot', grave: 'now' }]);
    expect(plainText(at(limit - 0.8, 1.5)[0]?.says ?? [])).toMatch(/can be off by more/);
    expect(at(limit - 0.8, 0.4)).toEqual([]);
    expect(plainText(at(limit, 0.4)[0]?.says ?? [])).toMatch(/queens and brood die/);
    // what is within the best of all that stand there is no danger, however near
    expect(at(MESSOR.bestTempC.value.high, 1.5)).toEqual([]);
  });

  const read = (hoursAgo: number, tempC: number, silentAfterH: number | null = 2) =>
    placeAlarms({
      place: { winter: null },
      probes: [
        {
          probe: { ...probe, silentAfterH },
          latest: { at: instantOf(msOf(JULY) - hoursAgo * HOUR), tempC },
          hours: [],
          dayRh: null,
          tempErrorC: 1.5,
        },
      ],
      kinds: [MESSOR],
      barriers: false,
      hemisphere: 'north',
      now: JULY,
    });

  test('a probe that fell silent in the heat is told as heat, not as a flat battery', () => {
    const [hot] = read(30, 36);
    expect(hot).toMatchObject({
      id: 'silent',
      grave: 'now',
      todo: expect.stringMatching(/^Look at the tubes now/),
    });
    expect(plainText(hot?.says ?? [])).toMatch(/last showed 36 °C/);
    expect(read(30, 25)[0]).toMatchObject({ id: 'silent', grave: 'soon' });
  });

  test('heat that was read once by hand is not over because nobody reads it again; it is by a cooler reading', () => {
    for (const hoursAgo of [5, 30, 100])
      expect(read(hoursAgo, 36, null)).toMatchObject([
        { id: 'was-hot', grave: 'now', todo: expect.stringMatching(/^Read it again now/) },
      ]);
    expect(read(1, 36, null)).toMatchObject([{ id: 'too-hot' }]);
    expect(read(1, 25, null)).toEqual([]);
  });

  test('a wild day is told, a calm one not, and one that was hardly read not either', () => {
    const day = Array.from({ length: 24 }, (_, h) => 24 + 4 * Math.sin((h / 24) * 2 * Math.PI));
    expect(ids({ temps: [...steady(24, 7), ...day] })).toEqual(['swing']);
    expect(ids({ temps: [...steady(24, 7), ...day.map((t) => 24 + (t - 24) / 4)] })).toEqual([]);
    expect(ids({ temps: day.slice(0, 12) })).toEqual([]);
  });

  test('a week in which nothing develops is told outside winter, and not in it', () => {
    const cold = { temps: steady(11.5, 8) };
    expect(ids(cold)).toEqual(['cold-week']);
    expect(watch(cold)[0]?.todo).toMatch(/harms nobody/);
    expect(ids({ temps: steady(7, 8), now: '2026-12-20T12:00:00.000Z' })).toEqual([]);
    expect(ids({ temps: steady(7, 8), now: '2026-07-20T12:00:00.000Z', hemisphere: 'south' })).toEqual([]);
    expect(
      ids({
        temps: steady(7, 8),
        now: '2027-03-20T12:00:00.000Z',
        place: { winter: { until: '2027-04-01T00:00:00.000Z', thenTempC: 24 } },
      }),
    ).toEqual([]);
  });

  test('nobody stands there: cold is nothing to anybody', () => {
    expect(ids({ temps: steady(11, 8), kinds: [] })).toEqual([]);
  });

  test('a silent probe is told with its name; one that is read by hand may be silent', () => {
    const latest = { at: instantOf(msOf(JULY) - 3 * HOUR), tempC: 25 };
    const list = watch({ latest });
    expect(list.map((a) => a.id)).toEqual(['silent']);
    expect(plainText(list[0]?.says ?? [])).toMatch(/^Shelf logger has said nothing/);
    expect(
      placeAlarms({
        place: { winter: null },
        probes: [
          {
            probe: { ...probe, kind: 'by-hand', silentAfterH: null },
            latest,
            hours: [],
            dayRh: null,
            tempErrorC: 1.5,
          },
        ],
        kinds: [MESSOR],
        barriers: false,
        hemisphere: 'north',
        now: JULY,
      }),
    ).toEqual([]);
  });

  test('two days of one and the same figure: perhaps stuck; a figure that moves is not', () => {
    expect(ids({ temps: steady(25, 3), spread: 0 })).toEqual(['stuck']);
    expect(ids({ temps: [...steady(25, 3), 25.1], spread: 0 })).toEqual([]);
    expect(ids({ temps: steady(25, 1), spread: 0 })).toEqual([]);
  });

  test('what no room is like is a fault of the probe, and its figures say nothing of heat', () => {
    expect(watch({ temps: [...steady(25, 7), 80] })).toMatchObject([{ id: 'implausible', grave: 'now' }]);
    expect(watch({ temps: [...steady(25, 7), -30] })).toMatchObject([{ id: 'implausible', grave: 'soon' }]);
  });

  test('two probes at one place tell of one cause once', () => {
    const one: ProbeWatched = {
      probe,
      latest: { at: instantOf(msOf(JULY) - 600_000), tempC: 36 },
      hours: [],
      dayRh: null,
      tempErrorC: 1.5,
    };
    const list = placeAlarms({
      place: { winter: null },
      probes: [one, { ...one, probe: { ...probe, id: 'q', name: 'Other' } }],
      kinds: [MESSOR],
      barriers: false,
      hemisphere: 'north',
      now: JULY,
    });
    expect(list).toHaveLength(1);
  });
});
