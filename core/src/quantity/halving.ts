/**
 * Which of values in order is the last that is not after one, found by halving; -1 when all are after it.
 * @param count how many there are
 */
export function lastNotAfter(count: number, valueAt: (i: number) => number, value: number): number {
  let low = -1;
  let high = count - 1;
  while (low < high) {
    const middle = (low + high + 1) >> 1;
    if (valueAt(middle) <= value) low = middle;
    else high = middle - 1;
  }
  return low;
}
