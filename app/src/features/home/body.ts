import type { BodyHome } from '@gentle-burrow/core/facts';
import { countText, nounOf } from '@gentle-burrow/core/light';
import type { Milestone } from '@gentle-burrow/core/species';
import type { Counts } from '@/features/tube/anatomy';
import type { Preferences } from '@/theme/preferences';
import { sizeText } from '@/ui/units';
import { capital } from '@gentle-burrow/core/words';
import { WATER_WORDS } from '@/words/home';

/** Thickness of a drawn wall, and room round it for nozzles, mm. */
export const WALL_MM = 2;
export const MARGIN_MM = 5;

/** What a body takes inside its walls as it is drawn: from above, a drinker lying. */
export const insideOf = ({ kind, widthMm, depthMm, heightMm }: BodyHome): { wide: number; tall: number } =>
  kind === 'drinker' ? { wide: heightMm, tall: widthMm } : { wide: widthMm, tall: depthMm };

/** How much a body takes in a drawing, walls and margins too, mm. */
export function spanOf(part: BodyHome): { wide: number; tall: number } {
  const { wide, tall } = insideOf(part);
  const round = 2 * (WALL_MM + MARGIN_MM);
  return { wide: wide + round, tall: tall + round };
}

/** Where a port opens, mm from the inner upper left corner: the first to the left, the second to the right, and so on. */
export function portAt(part: BodyHome, port: string): { x: number; y: number; left: boolean } {
  const { wide, tall } = insideOf(part);
  const n = Math.max(part.ports.length, Number(port.slice('port-'.length)) || 1);
  const i = (Number(port.slice('port-'.length)) || 1) - 1;
  const left = i % 2 === 0;
  const onSide = Math.ceil((n - (left ? 0 : 1)) / 2);
  const y = (tall * (Math.floor(i / 2) + 1)) / (onSide + 1);
  return { x: left ? 0 : wide, y, left };
}

/** Rooms of a nest side by side along its longer edge, mm. */
export function roomRects(part: BodyHome): { x: number; y: number; wide: number; tall: number }[] {
  const { wide, tall } = insideOf(part);
  const n = part.rooms;
  return Array.from({ length: n }, (_, i) =>
    wide >= tall
      ? { x: (wide * i) / n, y: 0, wide: wide / n, tall }
      : { x: 0, y: (tall * i) / n, wide, tall: tall / n },
  );
}

const STAGES: readonly Milestone[] = ['eggs', 'larvae', 'pupae', 'workers'];

/** The drawing in words, for those who listen. */
export function bodyInWords(
  part: BodyHome,
  counts: Counts,
  unit: Preferences['length'],
  shutRooms: number,
): string {
  const brood = STAGES.flatMap((m) => (counts[m] ? [`${m} ${countText(counts[m])}`] : [])).join(', ');
  return [
    `${capital(nounOf(part))} ${sizeText(part.widthMm, part.depthMm, unit).replace('×', 'by')} ${unit}`,
    WATER_WORDS[part.water],
    ...(part.rooms > 1 ? [`${part.rooms - shutRooms} of ${part.rooms} rooms open`] : []),
    ...(brood ? [brood] : []),
  ].join('; ');
}
