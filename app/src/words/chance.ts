/** A chance in words where a figure would pretend to be sure: "almost surely not yet", "almost surely", "40 % likely". */
export function chanceText(chance: number): string {
  const percent = Math.round(100 * chance);
  if (percent <= 0) return 'almost surely not yet';
  if (percent >= 100) return 'almost surely';
  return `${percent} % likely`;
}
