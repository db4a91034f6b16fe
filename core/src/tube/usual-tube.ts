import type { TubeHome } from '../facts/tube';

/** A tube of the size most often set up, 16 × 150 mm, filled somewhat over half (common practice, no source). */
export const usualTube = (id: string, setUpAt: string): TubeHome => ({
  id,
  kind: 'tube',
  outsideMm: 16,
  boreMm: 14,
  lengthMm: 150,
  end: 'round',
  waterLineMm: 85,
  plugs: { innerMm: 15, outerMm: 15 },
  setUpAt,
});
