import { ROOM_C } from '../../climate';
import { addDays, phrase } from '../../quantity';
import type { Case } from '../case';
import { heatsHere } from '../heated';
import { figure } from '../practice';
import { steadiness } from '../steadiness';
import { ask, COMMON_PRACTICE, criterion, type Criterion, type Verdict } from '../verdict';

/** What of her place disturbs her, as the place's own page says it: heat that kills is said by itself. */
const DISTURBS = [
  'swing',
  'swing-some',
  'light',
  'sun',
  'vibration',
  'air',
  'water-end',
  'lamp',
  'thermostat',
  'near',
];

/** Everything about her place that is not as it should be: one judgement for the place's page and for hers. */
export const spotCriteria = (c: Case): Criterion[] =>
  steadiness({ spot: c.place.spot, tempC: c.tempC })
    .criteria.filter((x) => x.state === 'unmet' && DISTURBS.includes(x.id))
    .map((x) => ({ ...x, id: `place-${x.id}` }));

/** What of it may stop her laying, or make her eat her brood. */
export const disturbingSpot = (c: Case): Criterion[] =>
  spotCriteria(c).filter((x) => UNSETTLES.includes(x.id));
const UNSETTLES = [
  'place-swing',
  'place-swing-some',
  'place-light',
  'place-sun',
  'place-vibration',
  'place-air',
];

const GRAVE = ['place-sun', 'place-water-end', 'place-swing'];

/** What of it is said at the head of her warmth: it floods her, cooks her, or makes her eat her brood. */
export function spotFault(c: Case): (Pick<Verdict, 'answer' | 'says'> & Partial<Verdict>) | null {
  const faults = spotCriteria(c).filter(
    (x) => GRAVE.includes(x.id) && (x.id !== 'place-water-end' || c.place.spot?.heat?.thermostat !== true),
  );
  const [first] = faults;
  if (!first) return null;
  const says = [...DEEDS[first.id as keyof typeof DEEDS], ' ', ...first.says];
  return {
    answer: first.id === 'place-water-end' ? 'heat at the water end' : 'yes, but not steadily',
    says,
    pressure: 'soon',
    asks: [ask(c, 'cool', [c.now, c.now, addDays(c.now, figure('coolSlackDays'))], says)],
  };
}

const DEEDS = {
  'place-water-end': ['Move the heat to the open end now, and run it on a thermostat.'],
  'place-sun': ['Cover the tube, or move it out of the sun, now.'],
  'place-swing': ['Find a steadier place for her.'],
} as const;

/** A reading along her tube that cannot be right is set aside, and takes nothing else away. */
export function setAside(c: Case): Criterion[] {
  const heat = c.tube ? heatsHere(c.known, c.tube).at(-1) : undefined;
  const wrong = (heat?.readings ?? []).find((r) => r.tempC > ROOM_C.max || r.tempC < ROOM_C.min);
  if (!heat || !wrong) return [];
  return [
    criterion(
      'heat-reading',
      'unknown',
      phrase`You entered ${{ tempC: wrong.tempC }} along her tube, which cannot be right. It is set aside.`,
      COMMON_PRACTICE,
      { evidence: [heat.entryId], settles: 'Read the thermometer again, and correct the entry.' },
    ),
  ];
}
