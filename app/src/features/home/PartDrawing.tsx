import type { HomePart } from '@gentle-burrow/core/facts';
import { TubeDrawing, type TubeDrawingProps } from '@/features/tube/TubeDrawing';
import { BodyDrawing, type BodyDrawingProps } from './BodyDrawing';

export interface PartDrawingProps
  extends Omit<TubeDrawingProps, 'tube' | 'lineMm'>, Pick<BodyDrawingProps, 'gates'> {
  part: HomePart;
  /** Where the water of a tube ends; as it was set up when not given. */
  lineMm?: number | null | undefined;
}

/** Any part of a home, to scale. */
export function PartDrawing({ part, lineMm, ...drawn }: PartDrawingProps) {
  return part.kind === 'tube' ? (
    <TubeDrawing {...drawn} tube={part} lineMm={lineMm ?? part.waterLineMm} />
  ) : (
    <BodyDrawing {...drawn} part={part} />
  );
}
