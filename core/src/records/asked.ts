import { plainText, type Band, type Instant, type Zone } from '../quantity';
import { MILESTONES } from '../species';
import { profilesWith } from '../species/catalogue';
import { learnedFrom, queenView, withFalls, withoutOwn, type QueenFacts, type QueenView } from '../view';
import { OUTLOOK_EVENTS, taughtOf } from '../founding';
import type { Ask, Verdict } from '../care';
import { recordsAt } from './measured';
import type { ReadLog } from './read-log';

/** Everything that is said of a whole log at one moment, as plain data. */
export interface Asked {
  at: Instant;
  queens: ReturnType<typeof saidOf>[];
}

/** Draws of each answer: as many as a queen's own page takes. */
const DRAWS = 4000;

/**
 * What the application says of every queen of a log at a moment. Entries later than that are not there yet.
 * @param zone the keeper's; that of the log's settings when it names one
 */
export function askLog(log: ReadLog, at: Instant, zone: Zone, draws = DRAWS): Asked {
  const settings = { ...log.settings, zone };
  const profileOf = profilesWith(log.own);
  const places = new Set(log.queens.flatMap((q) => q.places.map((p) => p.id)));
  const measured = recordsAt(log.measured, places, at);
  const then = log.queens
    .map((q) => ({ ...q, measured, entries: q.entries.filter((e) => Date.parse(e.at) <= Date.parse(at)) }))
    .filter((q) => q.entries.length > 0);
  const queens = withFalls(then, at);
  const views = queens.map((q) => queenView(q, settings, at, { draws, profileOf }));
  const lessons = views.map((v) => v.teaches);
  const all = learnedFrom(lessons);
  return {
    at,
    queens: queens.map((q, i) => {
      const first = views[i] as QueenView;
      const others = withoutOwn(all, lessons[i] ?? null);
      const moved = first.species.some(({ profileId }) => {
        const { own, kin } = taughtOf(profileOf(profileId), others, profileOf);
        return Object.keys(own).length + Object.keys(kin).length > 0;
      });
      const again = settings.learn && moved;
      return saidOf(
        q,
        again ? queenView(q, settings, at, { draws, profileOf, learned: others }) : first,
        zone,
      );
    }),
  };
}

function saidOf({ queen }: QueenFacts, view: QueenView, zone: Zone) {
  const { counsel, outlook, founder } = view;
  return {
    label: queen.label,
    pressure: counsel?.pressure ?? 'now',
    headline: counsel ? plainText(counsel.next, zone) : (view.trouble?.message ?? ''),
    restUntil: counsel?.restUntil ?? null,
    verdicts: (counsel?.verdicts ?? []).map((v) => verdictOf(v, zone)),
    due: (counsel?.due ?? []).map((d) => dueOf(d, zone)),
    outlook: outlook
      ? Object.fromEntries(
          OUTLOOK_EVENTS.map((e) => {
            const { status, band, byNow } = outlook.events[e];
            return [e, { status, ...band, byNow }];
          }),
        )
      : null,
    neverLays: outlook?.neverLays ?? null,
    tempC: view.tempC,
    offset: outlook?.offset ?? null,
    inside: outlook?.later
      ? Object.fromEntries(
          MILESTONES.map((m) => {
            const { chance, count } = outlook.later?.inside[m] ?? { chance: 0, count: { p10: 0, p90: 0 } };
            return [m, { chance, low: Math.round(count.p10), high: Math.round(count.p90) }];
          }),
        )
      : null,
    water: counsel?.water
      ? { lineMm: counsel.water.lineMm, dryAt: counsel.water.dryAt satisfies Band<Instant | null> }
      : null,
    watering: counsel?.watering ?? [],
    founder: founder?.probabilities ?? null,
    disturbance: counsel
      ? { spent: counsel.peace.spent, allowed: counsel.peace.allowed, nextFree: counsel.peace.nextFree }
      : null,
  };
}

const verdictOf = (v: Verdict, zone: Zone) => ({
  id: v.id,
  answer: v.answer,
  pressure: v.pressure,
  text: plainText(v.says, zone),
  until: v.until,
  criteria: v.criteria.map((c) => ({ id: c.id, state: c.state, text: plainText(c.says, zone) })),
  others: v.others.map(({ school, answer, until }) => ({ school, answer, until })),
});

const dueOf = ({ task, notBefore, best, notAfter, obligatory, timer, says }: Ask, zone: Zone) => ({
  task,
  notBefore,
  best,
  notAfter,
  obligatory,
  timer,
  text: plainText(says, zone),
});
