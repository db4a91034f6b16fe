import { usualTube } from '@gentle-burrow/core/light';

/** Tubes in common use, mm (common practice, no source). */
export const COMMON_TUBES = [
  { value: '12x100', hint: 'small kinds', outsideMm: 12, boreMm: 10, lengthMm: 100 },
  { value: '16x150', hint: 'middling', outsideMm: 16, boreMm: 14, lengthMm: 150 },
  { value: '18x150', hint: 'middling to large', outsideMm: 18, boreMm: 16, lengthMm: 150 },
  { value: '20x200', hint: 'large', outsideMm: 20, boreMm: 17.6, lengthMm: 200 },
] as const;

/** Drawn where there is none yet, and what the intake begins with. */
export const SAMPLE_TUBE = usualTube('', '');
