import type { HeatBench, Preferred } from '@gentle-burrow/core/care';
import type { HeatAlong } from '@gentle-burrow/core/tube';
import { phrase, type Phrase } from '@gentle-burrow/core/quantity';
import type { Preferences } from '@/theme/preferences';
import { dayText } from '@/ui/dates';
import { tempText } from '@/ui/units';

type Step = NonNullable<HeatBench['step']>;

/** Why the step is no larger. */
const LIMITS: Record<NonNullable<Step['limitedBy']>, string> = {
  'small-steps': ' A degree or two a day is enough.',
  flood: ' No more at once: the air behind the plug would push water into her cell.',
  heat: ' The warm end of her cell stays below her best.',
  reach: ' Nearer it may not come: under her cell she could not get away from it.',
};

/** Why it is left although she may prefer it otherwise. */
const STAYS: Record<NonNullable<Step['limitedBy']>, string> = {
  'small-steps': 'Leave it as it is: less than a millimetre is a degree or two here.',
  flood:
    'Leave it as it is for now: any nearer and the air behind the plug would push water into her cell. Let the plug drink for a day, then read again.',
  heat: 'Leave it as it is: the warm end of her cell is at her best, and more would be above it.',
  reach:
    'It lies as near as it may: under her cell she could not get away from it. For more warmth raise its thermostat a little.',
};

/** What is done next with the heat, and what it comes to. */
export function stepWords({ does, moveMm, matMm, thenC, thermostatC, limitedBy }: Step): Phrase {
  const limit = limitedBy ? LIMITS[limitedBy] : '';
  const set: Phrase =
    thermostatC === null
      ? []
      : phrase` Or leave it where it lies and set its thermostat to about ${{ tempC: thermostatC }}.`;
  switch (does) {
    case 'stay':
      return [
        limitedBy ? STAYS[limitedBy] : 'Leave it as it is: a little below what she seems to prefer is right.',
      ];
    case 'away':
      return ['Take it away: the room alone is as warm as she should have it, or warmer.'];
    default:
      return [
        ...phrase`Move it ${{ mm: Math.abs(moveMm ?? 0) }} ${{ word: does === 'closer' ? 'closer' : 'back' }}, to ${{ mm: Math.abs(matMm ?? 0) }} ${{ word: (matMm ?? 0) < 0 ? 'under the outer plug' : 'from the mouth' }}: the middle of her cell comes to about ${{ tempC: thenC }}.`,
        limit,
        ...set,
        ' Then wait a day and see where she sits.',
      ];
  }
}

/** How fast the warmth is taken to fall along the tube, and why. */
export function fallWords({ fall: { by, n } }: HeatAlong): string {
  switch (by) {
    case 'itself':
      return 'How fast the warmth falls is as these readings show it.';
    case 'same-heat':
      return `How fast the warmth falls is known from ${n === 1 ? 'one reading' : `${n} readings`} of the heat at this place, at her tube or others’. If another mat lies here, read two places at once.`;
    case 'prior':
      return 'How fast the warmth falls along the tube is our own prior until two places were read at once.';
  }
}

/** What she seems to prefer, and how surely. */
export function preferenceWords({ preferred: { p10, p90 }, seats }: HeatBench): Phrase {
  return seats.length === 0
    ? phrase`Where she sat at the heat was never noted; her kind’s best is taken, ${{ tempC: p10 }} to ${{ tempC: p90 }}. Tap where she sits at each look.`
    : phrase`By where she sat (${{ word: String(seats.length) }} ${{ word: seats.length === 1 ? 'look' : 'looks' }}) she seems to prefer ${{ tempC: p10 }} to ${{ tempC: p90 }}, in eight cases of ten.`;
}

/** The same look by look, for who does not see it drawn. */
export const courseText = (course: readonly Preferred[], unit: Preferences['temperature']): string =>
  `${course
    .map(({ at, seat, band: { p10, p90 } }) => {
      const [sat, low, high] = [seat.tempC, p10, p90].map((c) => tempText(c, unit));
      return `${dayText(at)}: sat at ${sat}, then seemed to prefer ${low} to ${high}`;
    })
    .join('; ')}.`;
