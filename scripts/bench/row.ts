export interface Row {
  what: string;
  budget: string;
  measured: string;
}

export function percentile(values: readonly number[], share: number): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))] ?? NaN;
}

export const ms = (value: number): string =>
  value < 10 ? `${value.toFixed(1)} ms` : `${Math.round(value)} ms`;
