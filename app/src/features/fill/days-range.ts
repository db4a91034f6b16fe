/** "every day", "every 3 days", "every 2 to 5 days", without the "every". */
export function daysRange(low: number, high: number): string {
  const [a, b] = [Math.max(1, Math.round(low)), Math.max(1, Math.round(high))];
  return a === b ? (a === 1 ? 'day' : `${a} days`) : `${a} to ${b} days`;
}
