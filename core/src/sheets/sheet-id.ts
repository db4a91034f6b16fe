import { parse, v5, v7 } from 'uuid';

/** Names in this space come to the same id always and everywhere. */
const SPACE = '0f1c4f0e-6d0c-4c52-9d63-5a1b7c2f8e11';

/**
 * The id of something that a row of a sheet tells: the same row again has the same one, so that reading a sheet in twice is harmless.
 * @param ms when it was, milliseconds since 1970
 * @param told all that makes it this one
 * @returns a UUID of version 7
 */
export function sheetId(ms: number, told: readonly string[]): string {
  const random = parse(v5(JSON.stringify(told), SPACE));
  // fifteen of its sixteen bytes are as good as random; six say when
  return v7({
    msecs: Math.max(0, ms),
    random,
    seq: ((random[0] ?? 0) << 16) | ((random[1] ?? 0) << 8) | (random[2] ?? 0),
  });
}
