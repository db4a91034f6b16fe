import { normalQuantile, instantOf, msOf, DAY_MS, type Instant } from '../../quantity';
import { winterAround, type Hemisphere } from '../../season';
import { STAGES, type SpeciesProfile } from '../../species';
import {
  clockOf,
  warmthCourse,
  type Parts,
  type Temperature,
  type WarmthClock,
  type WarmthCourse,
} from '../../warmth';

/** One way in which the warmth may have been and may come: what the thermometer hides, and whether she sits still in winter. */
export interface Future {
  /** One clock for laying, egg, larva and pupa each. */
  clocks: WarmthClock[];
  /** True temperature less what the thermometer shows, °C. */
  offC: number;
  /** What comes, less what is expected to, °C; 0 where nothing is expected but planned. */
  aheadC: number;
  still: boolean;
}

/** The error of a thermometer is taken at so many values, each as likely as the others. */
const ERRORS = 7;
/**
 * Which of the equally likely values of what comes goes with each value of the thermometer's error: so that the two have nothing to do
 * with one another (their correlation is below 0.05).
 */
const GOES_WITH = [1, 6, 2, 3, 4, 0, 5];
/** Years around the log for which winters are laid out. */
const YEARS_ON = 4;
/** Share of queens of temperate kinds that sit still over winter however warm they stand. That many do is practice; the share is a prior. */
const STILL_SHARE = 0.5;

/**
 * Every future that the draws of one species are shared among, each as likely as the others: thermometer errors at equal
 * steps of probability, and, for kinds that rest in winter, half of them standing still from November to March.
 */
export function futuresOf(
  profile: SpeciesProfile,
  temperature: Temperature,
  errorC: number,
  origin: Instant,
  now: Instant,
  hemisphere: Hemisphere,
): Future[] {
  const rests = profile.winters.value && profile.inTheCold.value === 'rests';
  const stills = rests ? Array.from({ length: Math.round(1 / STILL_SHARE) }, (_, i) => i === 0) : [false];
  const winters = rests ? wintersBetween(origin, now, hemisphere) : [];
  const told = warmthCourse(temperature, origin);
  const even = (k: number) => normalQuantile((k + 0.5) / ERRORS);
  const offs =
    errorC > 0 || told.spreadC > 0
      ? GOES_WITH.map((other, k) => ({ offC: errorC * even(k), aheadC: told.spreadC * even(other) }))
      : [{ offC: 0, aheadC: 0 }];
  return stills.flatMap((still) => {
    const course = still ? atRestIn(winters, told) : told;
    return offs.map((off): Future => {
      // kinds whose stages answer to warmth alike need one clock
      const made = new Map<string, WarmthClock>();
      const clocks = STAGES.map((stage) => {
        const { thresholdC, optimumC, upperC } = profile.stages[stage];
        const key = `${thresholdC} ${optimumC} ${upperC}`;
        const clock = made.get(key) ?? clockOf(profile, stage, course, off);
        made.set(key, clock);
        return clock;
      });
      return { clocks, ...off, still };
    });
  });
}

/** The future whose thermometer is right and who does not sit still, for what is reckoned only once. */
export function middleOf(futures: readonly Future[]): Future {
  return futures.reduce((a, f) =>
    Number(f.still) < Number(a.still) || (f.still === a.still && Math.abs(f.offC) < Math.abs(a.offC)) ? f : a,
  );
}

/** @param winters first day and day of waking of each, days after the origin */
function atRestIn(winters: readonly [number, number][], told: WarmthCourse): WarmthCourse {
  const changes = [...new Set([...told.changes, ...winters.flat()])].sort((a, b) => a - b);
  let step = 0;
  // what holds before the first change, and from each on
  const pieces = [-Infinity, ...changes].map((day) => {
    while (step < told.changes.length && (told.changes[step] as number) <= day) step++;
    const rests = winters.some(([from, to]) => day >= from && day < to);
    return rests ? null : (told.pieces[step] as Parts);
  });
  return { ...told, changes, pieces };
}

function wintersBetween(origin: Instant, now: Instant, hemisphere: Hemisphere): [number, number][] {
  const winters: [number, number][] = [];
  const originMs = msOf(origin);
  const day = (at: Instant) => (msOf(at) - originMs) / DAY_MS;
  const end = msOf(now) + YEARS_ON * 365 * DAY_MS;
  for (let ms = originMs - 365 * DAY_MS; ms < end;) {
    const { begin, wakeFrom, wakeBy } = winterAround(instantOf(ms), hemisphere);
    winters.push([day(begin), day(wakeFrom)]);
    ms = msOf(wakeBy) + DAY_MS;
  }
  return winters;
}
