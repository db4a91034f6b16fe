import { addDays, daysBetween, msOf, phrase, type Phrase } from '../../quantity';
import type { Case } from '../case';
import { figure } from '../practice';
import { COMMON_PRACTICE, criterion, type Criterion } from '../verdict';
import { newHome, newHomeTask } from './home';

/** A fault seen in her tube that is acted on whatever the method of looking says. */
interface Fault {
  id: 'plug' | 'mould';
  task: 'plug' | 'fresh-home' | 'nest';
  answer: string;
  /** What it is, and what helps at once. */
  aid: Phrase;
  /** The same, and that a fresh tube is offered. */
  says: Phrase;
  entryId: string;
  /** Nothing but a fresh tube mends it. */
  needsFresh?: boolean;
}

/** What in her home is acted on now; null when nothing is. */
export function tubeFault(c: Case): Fault | null {
  const { known, now } = c;
  const { who, has, her } = WORDS[c.life === 'orphans' ? 'orphans' : 'hers'];
  const front = known.wetFront;
  if (front?.value === 'leaking')
    return {
      id: 'plug',
      task: 'plug',
      answer: 'no: it leaks',
      ...told(
        `Water leaks past the plug: ${who} may drown. Stand the tube with its mouth a little higher, and keep heat from the water end.`,
        ` Offer a dry ${newHome(c)} now.`,
      ),
      entryId: front.entryId,
      needsFresh: true,
    };
  if (front?.value === 'dry')
    return {
      id: 'plug',
      task: 'plug',
      answer: 'no: the plug is dry',
      ...told(
        `The inner plug has gone dry: ${who} ${has} no water. Tap the water against it, gently.`,
        ` If it stays dry, offer a ${newHome(c)} now.`,
      ),
      entryId: front.entryId,
    };
  const soaked = `The inner plug is soaked through: ${who} may drown.`;
  const mop = ` Where it can be mopped dry without chasing ${her}, mop it and watch.`;
  if (front?.value === 'soaked')
    return {
      id: 'plug',
      task: 'plug',
      answer: 'no: the plug is soaked',
      aid: [soaked, mop],
      says: [soaked, ` Is the floor wet? Then offer a dry ${newHome(c)} now.`, mop],
      entryId: front.entryId,
    };
  const mouldNear = known.mould?.value === 'near-brood' ? known.mould : null;
  if (mouldNear) {
    const patience = figure('mouldSwapDays');
    const turn = addDays(mouldNear.since, figure('mouldJudgeDays'));
    const again = msOf(turn) > msOf(now) ? turn : addDays(mouldNear.since, patience);
    const light = c.lightSchool === 'never' ? '' : ', and uncover the old one to indirect daylight';
    const waited = daysBetween(mouldNear.since, now) >= patience;
    return {
      id: 'mould',
      task: newHomeTask(c),
      answer: 'no: mould near the brood',
      aid: phrase`Mould has stood near the brood since ${{ date: mouldNear.since }}.`,
      says: waited
        ? [
            `Mould has stood near the brood for a week. If ${who} ${has} not moved into a ${newHome(c)} yet, go one step further: keep the fresh one dark and moist, light the old one by indirect daylight, no lamp. Moving ${her} by hand is the last step.`,
          ]
        : [
            `Mould grows toward the brood. Offer a ${newHome(c)} joined to her home now, dark and moist, with a small gap for air${light}.`,
            ...phrase` Judge it again on ${{ date: again }}.`,
          ],
      entryId: mouldNear.entryId,
    };
  }
  return null;
}

/** A colony without its queen is spoken of as the many that it is. */
const WORDS = {
  hers: { who: 'she', has: 'has', her: 'her' },
  orphans: { who: 'they', has: 'have', her: 'them' },
} as const;

const told = (aid: string, offer: string): Pick<Fault, 'aid' | 'says'> => ({
  aid: [aid],
  says: [aid, offer],
});

/** Mould at her brood; what is away from it is weighed with all else that is wrong. */
export function mould(c: Case): Criterion[] {
  const { mould: seen } = c.known;
  if (seen?.value !== 'near-brood') return [];
  return [
    criterion(
      'mould',
      'unmet',
      phrase`Mould near the brood since ${{ date: seen.since }}.`,
      COMMON_PRACTICE,
      {
        evidence: [seen.entryId],
      },
    ),
  ];
}
