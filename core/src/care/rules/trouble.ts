import type { Trouble } from '../../facts';
import { nounOf, underWay } from '../../housing';
import { addDays, daysBetween, msOf, phrase, type Instant, type Phrase } from '../../quantity';
import { fedThroughout, type Case } from '../case';
import { narrowerThan } from '../gap';
import type { Pressure } from '../pressure';
import { figure } from '../practice';
import {
  ask,
  COMMON_PRACTICE,
  criterion,
  OWN_PRIOR,
  verdict,
  type Ask,
  type Criterion,
  type Rule,
} from '../verdict';
import { againAfter } from './again';
import { byHandNow } from './moving';
import { newHome, newHomeTask } from './home';

/** What is done about it, the least first. */
const MEASURES = ['watch', 'clean', 'offer', 'offer now', 'move now', 'force'] as const;
type Measure = (typeof MEASURES)[number];

/** At least as grave. */
const worse = (a: Measure, b: Measure): boolean => MEASURES.indexOf(a) >= MEASURES.indexOf(b);

const PRESSURES: Record<Measure, Pressure> = {
  watch: 'rest',
  clean: 'free',
  offer: 'soon',
  'offer now': 'now',
  'move now': 'now',
  force: 'now',
};

/** One thing that is wrong, weighed. */
interface Weighed {
  id: Trouble | 'mould';
  measure: Measure;
  says: Phrase;
  evidence: string[];
  /** When it is judged again. */
  again: Instant;
}

/** Is anything wrong with her home? Each thing weighed, the gravest answers. Mould at the brood is told with water and plug. */
export const trouble: Rule = (c) => {
  if (c.life === 'gone') return null;
  const found = [...c.known.troubles.map((t) => weigh(c, t)), ...farMould(c)].sort(
    (a, b) => MEASURES.indexOf(b.measure) - MEASURES.indexOf(a.measure),
  );
  const [worst] = found;
  if (!worst) return null;
  const common = {
    id: 'trouble',
    question: 'Is anything wrong with her home?',
    criteria: found.map(asCriterion),
  } as const;
  const says = found.flatMap((t, i): Phrase => (i === 0 ? t.says : [' ', ...t.says]));
  // in the cold nothing is opened but for what kills at once
  if (c.wintering && worst.measure !== 'move now')
    return verdict({
      ...common,
      answer: worst.measure === 'watch' ? 'watch' : 'after winter',
      says: [...says, ' Not in the cold of winter: leave it until she wakes.'],
    });
  const moves = underWay(c.move);
  // what kills is not waited out for ever: the gentle ways had their time
  if (worse(worst.measure, 'offer now') && byHandNow(c))
    return verdict({
      ...common,
      answer: 'force',
      says: [
        ...says,
        ' She does not go by herself, and the gentle ways had their time: bring her over now, as her move says step by step.',
      ],
      pressure: PRESSURES.force,
    });
  return verdict({
    ...common,
    answer: worst.measure,
    says: moves && worse(worst.measure, 'offer') ? [...says, ' A fresh home stands ready for her.'] : says,
    pressure: moves && worst.measure !== 'move now' ? 'rest' : PRESSURES[worst.measure],
    until: worst.measure === 'watch' ? worst.again : null,
    asks: [...freshHome(c, worst, moves), ...cleaning(c, found)],
  });
};

function weigh(c: Case, { what, since, entryId }: Case['known']['troubles'][number]): Weighed {
  const again = againAfter(since, figure('troubleAgainDays'), c.now);
  const base = { id: what, evidence: [entryId], again };
  const home = nounOf(c.part);
  switch (what) {
    case 'flooded':
      return {
        ...base,
        measure: 'move now',
        says: [
          c.tube
            ? `Her cell is flooded: she and her brood may drown. Stand the tube with its mouth a little higher, keep heat from the water end, and offer a dry ${newHome(c)} now.`
            : `Her ${home} is flooded: she and her brood may drown. Soak the water up with cotton without chasing her, and offer a dry home now.`,
        ],
      };
    case 'black-water':
      return {
        ...base,
        measure: 'offer now',
        says: [
          ...phrase`Her water is black since ${{ date: since }}: something rots in it.`,
          ` Offer a ${newHome(c)} now, joined to her home, dark and moist.`,
        ],
      };
    case 'brown-water':
      return {
        ...base,
        measure: 'offer',
        says: [
          ...phrase`Her water is brown since ${{ date: since }}: often only what cotton gives off.`,
          ` Make a ${newHome(c)} ready and offer it in these weeks; the move itself may take weeks.`,
        ],
      };
    case 'dirt':
      return c.workers || fedThroughout(c.eating)
        ? {
            ...base,
            measure: 'clean',
            says: [
              'Dirt in her home moulds: take it out with a damp cotton bud at the next feed, from the edge inward, and leave the brood alone.',
            ],
          }
        : {
            ...base,
            measure: 'watch',
            says: phrase`Some dirt: a queen alone heaps it up herself. Leave her in peace, and judge it again on ${{ date: again }}.`,
          };
    case 'cotton-pulled':
      return daysBetween(since, c.now) >= figure('cottonPulledDays')
        ? {
            ...base,
            measure: 'clean',
            says: phrase`Cotton has been pulled about since ${{ date: since }}: see that the outer plug still closes, with no gap as wide as ${{ word: narrowerThan(c.profile) }}, and set a new one before it when it has worn thin. Strong jaws open it in the end.`,
          }
        : {
            ...base,
            measure: 'watch',
            says: phrase`Cotton is pulled about: fibres over the brood do no harm. See that the plug still closes, with no gap as wide as ${{ word: narrowerThan(c.profile) }}; judge it again on ${{ date: again }}.`,
          };
  }
}

/** Mould away from the brood: a speck is watched, what grows is not. */
function farMould(c: Case): Weighed[] {
  const { mould, mouldSize, mouldGrew } = c.known;
  if (mould?.value !== 'far-plug') return [];
  const again = againAfter(mould.since, figure('troubleAgainDays'), c.now);
  const base = { id: 'mould' as const, evidence: [mould.entryId], again };
  if (mouldGrew || mouldSize === 'much')
    return [
      {
        ...base,
        measure: 'offer',
        evidence: [...new Set([mould.entryId, mouldGrew?.entryId ?? mould.entryId])],
        says: [
          ...(mouldGrew
            ? phrase`The mould away from her brood has grown by ${{ date: mouldGrew.at }}`
            : ['There is much mould, though away from her brood']),
          `: offer a ${newHome(c)} before it reaches her.`,
        ],
      },
    ];
  return [
    {
      ...base,
      measure: 'watch',
      says: phrase`A speck of mould away from her brood: watched, not acted on. Judge it again on ${{ date: again }}, and say how much there is.`,
    },
  ];
}

const asCriterion = ({ id, measure, says, evidence }: Weighed): Criterion =>
  criterion(
    id,
    measure === 'watch' ? 'met' : 'unmet',
    says,
    `${COMMON_PRACTICE}; how many days are given is ${OWN_PRIOR}`,
    { evidence },
  );

/** A fresh home, within days or weeks; none while one stands ready. */
function freshHome(c: Case, { measure, says, evidence }: Weighed, moves: boolean): Ask[] {
  if (moves || measure === 'watch' || measure === 'clean') return [];
  const seen = c.known.troubles.find((t) => evidence.includes(t.entryId))?.at ?? c.known.mould?.at ?? c.now;
  const days =
    measure === 'move now'
      ? 1
      : measure === 'offer now'
        ? figure('blackWaterDays')
        : figure('brownWaterDays');
  const to = addDays(seen, days);
  const by = msOf(to) < msOf(c.now) ? c.now : to;
  return [ask(c, newHomeTask(c), [c.now, c.now, by], says)];
}

/** Taken out at a feed, since that opens it anyway. */
function cleaning(c: Case, found: readonly Weighed[]): Ask[] {
  const dirty = found.find((t) => t.measure === 'clean');
  if (!dirty) return [];
  return [
    ask(c, 'clean', [c.now, c.now, addDays(c.now, figure('cleanDays'))], dirty.says, { obligatory: false }),
  ];
}
