import { DAY_MS, msOf, within, type Instant } from '../quantity';

const DEGREE = Math.PI / 180;
const J2000_MS = Date.UTC(2000, 0, 1, 12);
/** The sun's upper rim on the horizon, seen through the air: 34′ of refraction and 16′ of half its width. */
const HORIZON_DEG = -0.833;

/**
 * Hours from sunrise to sunset: cos(hour angle) = (sin h − sin φ·sin δ) / (cos φ·cos δ), with the sun's declination δ of that
 * moment and its upper rim on the horizon (h = −0.833°).
 * Source: Meeus, Astronomical Algorithms, chapters 15 and 25 (low precision, from memory).
 * @param latitude degrees, north positive, −90 to 90
 * @param date a moment of that day; noon there is best
 * @returns 0 where the sun does not rise, 24 where it does not set
 * @throws InputError for a latitude that cannot be, or what is no date
 */
export function dayLengthH(latitude: number, date: Instant | Date): number {
  within(latitude, 'latitude', 'The latitude', { min: -90, max: 90, unit: '°' });
  const ms = typeof date === 'string' ? msOf(date, 'date') : msOf(date.toISOString(), 'date');
  const declination = declinationOf((ms - J2000_MS) / DAY_MS);
  const phi = latitude * DEGREE;
  const cos =
    (Math.sin(HORIZON_DEG * DEGREE) - Math.sin(phi) * Math.sin(declination)) /
    (Math.cos(phi) * Math.cos(declination));
  return (24 / Math.PI) * Math.acos(Math.max(-1, Math.min(1, cos)));
}

/** @param days since noon of 1 January 2000; @returns radians */
function declinationOf(days: number): number {
  const anomaly = (357.5291 + 0.98560028 * days) * DEGREE;
  const centre = 1.9148 * Math.sin(anomaly) + 0.02 * Math.sin(2 * anomaly) + 0.0003 * Math.sin(3 * anomaly);
  const longitude = anomaly + (centre + 102.9372 + 180) * DEGREE;
  return Math.asin(Math.sin(longitude) * Math.sin(23.4393 * DEGREE));
}
