import type { NestSchoolId, Trouble } from '../../../facts';
import { nounOf } from '../../../housing';
import { daysBetween, phrase } from '../../../quantity';
import { countedRange } from '../../../words';
import type { Case } from '../../case';
import { figure } from '../../practice';
import { nestSchoolsFor, type GrowthSchool } from '../../schools';
import { FLOOR_SOURCE, floorWords, fullTo, reached, type Judged } from './growth';

/** Every method that is offered to her species, and the keeper's own first: by count where his is not offered to it. */
export function judgedNest(c: Case): { mine: Judged<NestSchoolId>; others: Judged<NestSchoolId>[] } {
  const judged = nestSchoolsFor(c.profile).map((s) => judge(c, s));
  const mine = (judged.find((j) => j.school.id === c.nestSchool) ?? judged[0]) as Judged<NestSchoolId>;
  return { mine, others: judged.filter((j) => j !== mine) };
}

const isLarge = ({ profile }: Case): boolean => profile.workerLengthMm.value.high > figure('largeWorkerMm');

/** What makes a tube dirty, for those who wait as long as they can. */
const FOULS: readonly Trouble[] = ['dirt', 'brown-water', 'black-water'];

function judge(c: Case, school: GrowthSchool<NestSchoolId>): Judged<NestSchoolId> {
  const range = c.workers?.range ?? { low: 0, high: 0 };
  const evidence = c.workers ? [c.workers.entryId] : [];
  const base = { school, evidence, until: null, margin: null };
  const counting = { settles: 'Count the workers at the next look.' };
  switch (school.id) {
    case 'count': {
      const large = isLarge(c);
      const need = large ? figure('nestLarge') : figure('nestSmall');
      const to = large ? '' : ` to ${figure('nestSmallBy')}`;
      return {
        ...base,
        ...counting,
        ...reached(range, need),
        says: [`${countedRange(range, 'worker')}; for her kind a nest is given at ${need}${to}.`],
      };
    }
    case 'packed-full':
      return {
        ...base,
        ...counting,
        ...fullTo(c, figure('tubePackedShare')),
        says: floorWords(c),
        prior: FLOOR_SOURCE,
      };
    case 'as-late-as-possible': {
      const dry = c.water?.dryAt.p10 ?? null;
      const days = dry === null ? null : daysBetween(c.now, dry);
      const dirty = c.known.troubles.some((t) => FOULS.includes(t.what));
      const worn =
        (days !== null && days <= figure('freshHomeEarlyDays')) ||
        c.known.mould?.value === 'near-brood' ||
        dirty;
      const full = fullTo(c, figure('tubePackedShare'));
      return {
        ...base,
        ...counting,
        state: worn ? 'met' : full.state,
        margin: full.margin,
        says: worn
          ? [`Her ${nounOf(c.part)} is running dry, or fouling.`]
          : [...floorWords(c), ` Her ${nounOf(c.part)} is neither dry nor dirty.`],
      };
    }
    case 'first-major': {
      const majors = c.known.castes.majors;
      const seen = majors?.first.by ?? null;
      return {
        ...base,
        state: seen ? 'met' : majors ? 'unmet' : 'unknown',
        evidence: majors ? [majors.last.entryId] : [],
        says: seen
          ? phrase`The first major was seen by ${{ date: seen }}.`
          : majors
            ? ['No major yet.']
            : ['Nobody has looked for majors.'],
        settles: 'Note majors at the next look, if her kind has them.',
      };
    }
    case 'behaviour':
      // nothing logs yet how fast they find food: not offered
      return { ...base, state: 'unknown', says: ['How fast they find food is not logged.'] };
  }
}
