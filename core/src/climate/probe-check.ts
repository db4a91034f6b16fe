import type { Probe } from '../facts';
import { hygrometerCorrection, type Correction } from './hygrometer';
import { saltHumidity } from './humidity';

export type ProbeCheck = Probe['checks'][number];

/** What has to be done to all that a probe shows, and how far off it may still be. */
export interface ProbeCorrections {
  /** None: nobody has checked it. */
  tempC?: Correction;
  rh?: Correction;
  /** Half of the range in which the truth lies in eight cases of ten: °C, and a share. */
  tempErrorC: number;
  rhError: number;
}

/**
 * Half-ranges for eight cases of ten, priors: a cheap thermometer and hygrometer that nobody has checked ("several percent off" is
 * common practice); one checked in melting ice; a hygrometer checked at one humidity, and at two.
 */
export const HALF_RANGES = { tempC: 1.5, iceC: 0.4, rh: 0.07, oneSalt: 0.03, twoSalts: 0.02 } as const;

/** Beyond that the check was made wrongly or the instrument is broken. Priors. */
const MOST = { rh: 0.25, tempC: 5 } as const;

/** The newest check of each kind counts. */
function newest(checks: readonly ProbeCheck[]): ProbeCheck[] {
  const by = new Map<string, ProbeCheck>();
  for (const c of [...checks].sort((a, b) => Date.parse(a.at) - Date.parse(b.at)))
    by.set(c.what === 'salt' ? c.salt : 'ice', c);
  return [...by.values()];
}

export function correctionsOf({ checks }: Pick<Probe, 'checks'>): ProbeCorrections {
  const made = newest(checks);
  const ice = made.find((c) => c.what === 'ice');
  const salts = made.flatMap((c) =>
    c.what === 'salt' ? [{ shown: c.shown, truth: saltHumidity(c.salt, c.tempC) }] : [],
  );
  return {
    ...(ice ? { tempC: { offset: -ice.shownC, slope: 1 } } : {}),
    ...(salts.length > 0 ? { rh: hygrometerCorrection(salts) } : {}),
    tempErrorC: ice ? HALF_RANGES.iceC : HALF_RANGES.tempC,
    rhError:
      salts.length === 0 ? HALF_RANGES.rh : salts.length === 1 ? HALF_RANGES.oneSalt : HALF_RANGES.twoSalts,
  };
}

/** What speaks against a check, as a sentence with the way to mend it; null when nothing does. */
export function checkFault(check: ProbeCheck, others: readonly ProbeCheck[] = []): string | null {
  if (check.what === 'ice')
    return Math.abs(check.shownC) > MOST.tempC
      ? 'Melting ice is at 0 °C, and it shows more than 5 °C beside that. Stir the ice, wait ten minutes, read again; if it stays, take another.'
      : null;
  const truth = saltHumidity(check.salt, check.tempC);
  if (Math.abs(check.shown - truth) > MOST.rh)
    return `Over this salt the air has ${Math.round(100 * truth)} %, and it shows more than 25 % beside that. Leave it shut for longer, check that the salt is wet but not swimming; if it stays, take another.`;
  const { rh } = correctionsOf({ checks: [...others, check] });
  if (rh && (rh.slope < 0.5 || rh.slope > 2))
    return 'Together with the other salt this cannot be: one of the two readings is wrong. Make that check again.';
  return null;
}
