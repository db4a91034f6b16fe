import { normalQuantile, instantOf, msOf, DAY_MS, type Instant } from '../../quantity';
import { winterAround, type Hemisphere } from '../../season';
import { STAGES, type SpeciesProfile } from '../../species';
import { temperatureAt, warmthClock, type Temperature, type WarmthClock } from '../../warmth';

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
  return stills.flatMap((still) =>
    offs.map((offC): Future => {
      const warmth = shifted(temperature, offC, still ? winters : []);
      // kinds whose stages answer to warmth alike need one clock
      const made = new Map<string, WarmthClock>();
      const clocks = STAGES.map((stage) => {
        const { thresholdC, optimumC, upperC } = profile.stages[stage];
        const key = `${thresholdC} ${optimumC} ${upperC}`;
        const clock = made.get(key) ?? warmthClock(profile, stage, warmth, origin);
        made.set(key, clock);
        return clock;
      });
      return { clocks, offC, still };
    }),
  );
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

function shifted(
  temperature: Temperature,
  offC: number,
  winters: readonly [Instant, Instant][],
): Temperature {
  const warmer = (c: number) => Math.min(HOTTEST_C, Math.max(COLDEST_C, c + offC));
  if (typeof temperature === 'number' && winters.length === 0) return warmer(temperature);
  const steps =
    typeof temperature === 'number' ? [{ from: instantOf(0), tempC: temperature }] : temperature.steps;
  if (winters.length === 0) return { steps: steps.map((s) => ({ ...s, tempC: warmer(s.tempC) })) };
  const inWinter = (ms: number) => winters.some(([from, to]) => ms >= msOf(from) && ms < msOf(to));
  const turns = [...new Set([...steps.map((s) => msOf(s.from)), ...winters.flat().map((w) => msOf(w))])].sort(
    (a, b) => a - b,
  );
  return {
    steps: turns.map((ms) => ({
      from: instantOf(ms),
      tempC: inWinter(ms) ? AT_REST_C : warmer(temperatureAt(temperature, instantOf(ms))),
    })),
  };
}

function wintersBetween(origin: Instant, now: Instant, hemisphere: Hemisphere): [Instant, Instant][] {
  const winters: [Instant, Instant][] = [];
  const end = msOf(now) + YEARS_ON * 365 * DAY_MS;
  for (let ms = msOf(origin) - 365 * DAY_MS; ms < end;) {
    const { begin, wakeFrom, wakeBy } = winterAround(instantOf(ms), hemisphere);
    winters.push([begin, wakeFrom]);
    ms = msOf(wakeBy) + DAY_MS;
  }
  return winters;
}
