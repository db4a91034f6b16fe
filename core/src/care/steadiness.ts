import { type Place, type Spot } from '../facts';
import { phrase } from '../quantity';
import { thermometerErrorC } from '../warmth';
import { dangerC, heatOf } from './heat';
import { figure } from './practice';
import { COMMON_PRACTICE as PRACTICE, criterion, OWN_PRIOR, type Criterion } from './verdict';

export interface Steadiness {
  answer: 'steady' | 'nearly steady' | 'unsteady' | 'too hot' | 'not known';
  says: string;
  criteria: Criterion[];
}

const DANGER_C = dangerC(null);

/**
 * Is this a good spot for a founding tube: dark, free of vibration, steadily warm, away from moving air and from heat on
 * the water end? Each point is met, missed or not known (common practice; the limits are our own priors).
 */
export function steadiness({ spot = {}, tempC }: Pick<Place, 'spot' | 'tempC'>): Steadiness {
  const errorC = thermometerErrorC({ spot });
  const criteria = [
    ...warm(tempC, errorC),
    ...peak(spot, errorC),
    swing(spot),
    light(spot),
    vibration(spot),
    air(spot),
    ...heat(spot),
  ];
  const missed = criteria.filter((c) => c.state === 'unmet').length;
  const unknown = criteria.filter((c) => c.state === 'unknown').length;
  const grave = criteria.some(
    (c) => c.state === 'unmet' && ['swing', 'close', 'reaches-close', 'water-end', 'sun'].includes(c.id),
  );
  if (criteria.some((c) => c.state === 'unmet' && (c.id === 'too-hot' || c.id === 'hot')))
    return {
      answer: 'too hot',
      says: 'Brood and queens die here. Cool it, or carry the tubes elsewhere, today.',
      criteria,
    };
  if (grave || missed > 1)
    return {
      answer: 'unsteady',
      says: 'She may stop laying or eat her brood here. Mend what is missed, or choose another spot.',
      criteria,
    };
  if (missed === 1) return { answer: 'nearly steady', says: 'One thing could be better.', criteria };
  if (unknown > 2)
    return { answer: 'not known', says: 'Say what the spot is like, and it is judged.', criteria };
  return { answer: 'steady', says: 'A good spot: leave the tubes there.', criteria };
}

/** A place is judged by its temperature as well as by its steadiness. */
function warm(tempC: number, errorC: number): Criterion[] {
  const heat = heatOf(null, tempC, errorC);
  if (heat !== 'danger' && heat !== 'close') return [];
  const says =
    heat === 'danger'
      ? phrase`At ${{ tempC }} it is dangerous for most kinds, day and night.`
      : phrase`${{ tempC: DANGER_C }} is dangerous for most species. It is ${{ tempC }}, and a thermometer can be off by more than the difference.`;
  return [
    criterion(heat === 'danger' ? 'too-hot' : 'close', 'unmet', says, PRACTICE, {
      margin: { value: DANGER_C - tempC, unit: '°C' },
    }),
  ];
}

/** The warmest of a day counts as much as its mean. */
function peak({ dayHighC }: Spot, errorC: number): Criterion[] {
  if (dayHighC === undefined) return [];
  const heat = heatOf(null, dayHighC, errorC);
  if (heat !== 'danger' && heat !== 'close') return [];
  const says =
    heat === 'danger'
      ? phrase`It reaches ${{ tempC: dayHighC }}: dangerous for most.`
      : phrase`It reaches ${{ tempC: dayHighC }}. ${{ tempC: DANGER_C }} is dangerous for most species, and a thermometer can be off by more than the difference.`;
  return [
    criterion(heat === 'danger' ? 'hot' : 'reaches-close', 'unmet', says, PRACTICE, {
      margin: { value: DANGER_C - dayHighC, unit: '°C' },
    }),
  ];
}

function swing({ dayLowC, dayHighC }: Spot): Criterion {
  if (dayLowC === undefined || dayHighC === undefined) {
    return criterion(
      'swing',
      'unknown',
      ['How far the temperature swings in a day is not known.'],
      PRACTICE,
      {
        settles: 'Leave a thermometer that remembers lowest and highest for a day.',
      },
    );
  }
  const c = dayHighC - dayLowC;
  const words = phrase`It swings by ${{ tempDiffC: c }} in a day.`;
  return criterion(
    c > figure('wildSwingC') ? 'swing' : 'swing-some',
    c <= figure('calmSwingC') ? 'met' : 'unmet',
    words,
    OWN_PRIOR,
    { margin: { value: figure('calmSwingC') - c, unit: '°C' } },
  );
}

function light({ light: l }: Spot): Criterion {
  if (l === undefined)
    return criterion('light', 'unknown', ['How dark the spot is has not been said.'], PRACTICE, {
      settles: 'Say how dark it is.',
    });
  if (l === 'sun')
    return criterion('sun', 'unmet', ['Sun falls on it: a tube in the sun cooks in minutes.'], PRACTICE);
  return l === 'dark'
    ? criterion('light', 'met', ['Dark: light can still be used later, to make them move.'], PRACTICE)
    : criterion(
        'light',
        'unmet',
        ['Not dark: cover the tubes with foil or a sleeve, or use a drawer.'],
        PRACTICE,
      );
}

function vibration({ vibration: v }: Spot): Criterion {
  if (v === undefined)
    return criterion('vibration', 'unknown', ['Whether it shakes has not been said.'], PRACTICE, {
      settles: 'A glass of water beside the tubes shows it.',
    });
  return v === 'none'
    ? criterion('vibration', 'met', ['Free of vibration.'], PRACTICE)
    : criterion(
        'vibration',
        'unmet',
        ['It shakes: pad the tubes, or move them from speakers, doors and machines.'],
        PRACTICE,
      );
}

function air({ airConditioning: a }: Spot): Criterion {
  if (a === undefined)
    return criterion('air', 'unknown', ['Whether moved air reaches it has not been said.'], PRACTICE, {
      settles: 'Say whether air conditioning or a fan runs near.',
    });
  return a === 'blows on it'
    ? criterion('air', 'unmet', ['Moved air reaches it: it dries tubes and chills them in turns.'], PRACTICE)
    : criterion('air', 'met', ['No moved air reaches it.'], PRACTICE);
}

function heat({ heat: h }: Spot): Criterion[] {
  if (!h) return [];
  const list: Criterion[] = [];
  if (h.end === 'water' || h.end === 'whole')
    list.push(
      criterion(
        'water-end',
        'unmet',
        ['The water end is warmed: the bubble behind the plug grows and floods her. Warm the open end only.'],
        PRACTICE,
      ),
    );
  if (h.source === 'lamp' || h.source === 'sun')
    list.push(criterion('lamp', 'unmet', ['A lamp close by heats in swings and can cook her.'], PRACTICE));
  else if (h.thermostat === false)
    list.push(
      criterion(
        'thermostat',
        'unmet',
        [
          'No thermostat: mats and cables run on one, on a fire-safe surface, never under bedding or foil packs.',
        ],
        PRACTICE,
      ),
    );
  if (h.distanceMm !== undefined && h.distanceMm < figure('nearHeatMm') && h.thermostat !== true)
    list.push(
      criterion(
        'near',
        'unmet',
        phrase`The heat is ${{ mm: h.distanceMm }} away: start far and move closer in small steps.`,
        OWN_PRIOR,
        {
          margin: null,
        },
      ),
    );
  const untold = untoldOfHeat(h);
  if (list.length === 0 && untold.length === 0)
    list.push(
      criterion('heat', 'met', ['The heat is far enough, on the open end, and controlled.'], PRACTICE),
    );
  return [...list, ...untold];
}

/** What nobody has said of the heat is not taken to be in order. */
function untoldOfHeat({ end, thermostat, distanceMm, source }: NonNullable<Spot['heat']>): Criterion[] {
  const untold = (id: string, says: string, settles: string) =>
    criterion(id, 'unknown', [says], PRACTICE, { settles });
  return [
    ...(end === 'unknown'
      ? [
          untold(
            'heat-end',
            'You haven’t said which part of the tube is nearer to the heat.',
            'Warm the open end only: heat at the water end floods her.',
          ),
        ]
      : []),
    ...(thermostat === undefined && source !== 'lamp' && source !== 'sun'
      ? [
          untold(
            'thermostat',
            'You haven’t said whether a thermostat controls the heat.',
            'Run mats and cables on a thermostat, and say so here.',
          ),
        ]
      : []),
    ...(distanceMm === undefined
      ? [
          untold(
            'heat-distance',
            'You haven’t said how far the heat is from the tubes.',
            'Measure it: start far, and move closer in small steps.',
          ),
        ]
      : []),
  ];
}
