const NAMED = 3;

/** "L1", "L1 and L2", "L1, L2, L3 and 9 more". */
export function namesText(labels: readonly string[]): string {
  if (labels.length > NAMED + 1)
    return `${labels.slice(0, NAMED).join(', ')} and ${labels.length - NAMED} more`;
  return labels.length < 2 ? labels.join('') : `${labels.slice(0, -1).join(', ')} and ${labels.at(-1)}`;
}
