import { msOf } from '../../quantity';
import { readingFault, type Reading } from './reading';

/**
 * The plain form in which a probe sends: one reading a line, its moment, °C and % humidity with blanks between, "-" for what it
 * does not measure.
 * @example 2026-06-01T12:00:00Z 24.31 55.0
 * @returns the readings; or the first line that is none, and why
 */
export function readingsOfLines(
  text: string,
  nowMs: number,
): { readings: Reading[] } | { line: number; reason: string } {
  const readings: Reading[] = [];
  for (const [i, line] of text.split(/\r?\n/).entries()) {
    if (line.trim() === '') continue;
    const [at = '', temp = '-', humidity = '-', ...more] = line.trim().split(/\s+/);
    const wrong = (reason: string) => ({ line: i + 1, reason });
    if (more.length > 0) return wrong('There is more on it than a moment, °C and % humidity.');
    const value = (cell: string) =>
      cell === '-' ? null : /^[+-]?\d+(\.\d+)?$/.test(cell) ? Number(cell) : NaN;
    const rh = value(humidity);
    let ms: number;
    try {
      ms = /T.*(Z|[+-]\d{2}:\d{2})$/.test(at) ? msOf(at) : NaN;
    } catch {
      ms = NaN;
    }
    const reading = { ms, tempC: value(temp), rh: rh === null ? null : rh / 100 };
    const fault = readingFault(reading, nowMs);
    if (fault)
      return wrong(
        Number.isNaN(ms)
          ? `“${at.slice(0, 40)}” is not a moment. Write it like 2026-06-01T12:00:00Z.`
          : fault,
      );
    readings.push(reading);
  }
  return { readings };
}
