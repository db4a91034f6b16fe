import { normalQuantile, instantOf, msOf, DAY_MS, type Instant } from '../../quantity';
import { winterAround, type Hemisphere } from '../../season';
import { STAGES, type SpeciesProfile } from '../../species';
import { clockOf, warmthCourse, type Temperature, type WarmthClock, type WarmthCourse } from '../../warmth';

/** One way in which the warmth may have been and may come: what the thermometer hides, and whether she sits still in winter. */
export interface Future {
  /** One clock for laying, egg, larva and pupa each. */
  clocks: WarmthClock[];
  /** True temperature less what the thermometer shows, °C. */
  offC: number;
  still: boolean;
}

/** The error of a thermometer is taken at so many values, each as likely as the others. */
const ERRORS = 7;
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
  const offs =
    errorC > 0 ? Array.from({ length: ERRORS }, (_, k) => errorC * normalQuantile((k + 0.5) / ERRORS)) : [0];
  const told = warmthCourse(temperature, origin);
  return stills.flatMap((still) => {
    const course = still ? atRestIn(winters, told) : told;
    return offs.map((offC): Future => {
      const warmth = warmer(course, offC);
      // kinds whose stages answer to warmth alike need one clock
      const made = new Map<string, WarmthClock>();
      const clocks = STAGES.map((stage) => {
        const { thresholdC, optimumC, upperC } = profile.stages[stage];
        const key = `${thresholdC} ${optimumC} ${upperC}`;
        const clock = made.get(key) ?? clockOf(profile, stage, warmth);
        made.set(key, clock);
        return clock;
      });
      return { clocks, offC, still };
    });
  });
}

/** The future whose thermometer is right and who does not sit still, for what is reckoned only once. */
export function middleOf(futures: readonly Future[]): Future {
  return futures.reduce((a, f) =>
    Number(f.still) < Number(a.still) || (f.still === a.still && Math.abs(f.offC) < Math.abs(a.offC)) ? f : a,
  );
}

/** A stage at rest gathers nothing: colder than any threshold. */
const AT_REST_C = -20;
const [COLDEST_C, HOTTEST_C] = [-20, 60];

const warmer = ({ changes, tempsC }: WarmthCourse, offC: number): WarmthCourse => ({
  changes,
  tempsC: tempsC.map((c) => (c === AT_REST_C ? c : Math.min(HOTTEST_C, Math.max(COLDEST_C, c + offC)))),
});

/** @param winters first day and day of waking of each, days after the origin */
function atRestIn(winters: readonly [number, number][], told: WarmthCourse): WarmthCourse {
  const changes = [...new Set([...told.changes, ...winters.flat()])].sort((a, b) => a - b);
  let step = 0;
  // what holds before the first change, and from each on
  const tempsC = [-Infinity, ...changes].map((day) => {
    while (step < told.changes.length && (told.changes[step] as number) <= day) step++;
    const rests = winters.some(([from, to]) => day >= from && day < to);
    return rests ? AT_REST_C : (told.tempsC[step] as number);
  });
  return { changes, tempsC };
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
