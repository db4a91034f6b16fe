import type { LightSchoolId, LookingSchoolId, NestSchoolId, PatienceSchoolId, SpaceSchoolId } from '../facts';
import type { KindFigures } from '../species';
import { figure } from './practice';

export interface LookingSchool {
  id: LookingSchoolId;
  name: string;
  says: string;
  /** Days that must lie between disturbances; null: no look before the first workers are likely. */
  everyDays: number | null;
}

/** The methods of looking while a queen founds. Common practice, no source. */
export const LOOKING_SCHOOLS: readonly LookingSchool[] = [
  { id: 'weekly', name: 'Weekly', says: 'One short, planned look a week.', everyDays: figure('weeklyDays') },
  {
    id: 'fortnightly',
    name: 'Every two weeks',
    says: 'One look in two weeks.',
    everyDays: figure('fortnightDays'),
  },
  {
    id: 'three-to-four-weeks',
    name: 'Every three to four weeks',
    says: 'At the most one look in three weeks.',
    everyDays: figure('threeWeeksDays'),
  },
  {
    id: 'hands-off',
    name: 'Hands off',
    says: 'No look until the date on which the first workers are likely.',
    everyDays: null,
  },
];

export function lookingSchool(id: LookingSchoolId): LookingSchool {
  return LOOKING_SCHOOLS.find((s) => s.id === id) ?? (LOOKING_SCHOOLS[1] as LookingSchool);
}

/** Null: as long as it takes. */
export const patienceDaysOf = (id: PatienceSchoolId): number | null =>
  PATIENCE_SCHOOLS.find((s) => s.id === id)?.days ?? null;

export interface GrowthSchool<Id> {
  id: Id;
  name: string;
  says: string;
  /** Why those who go by it do so, as they say it. */
  because: string;
}

/** The methods of when a foraging space is due. Common practice, no source. */
export const SPACE_SCHOOLS: readonly GrowthSchool<SpaceSchoolId>[] = [
  {
    id: 'first-workers',
    name: 'First hardened workers',
    says: 'A very small one as soon as the first workers have hardened.',
    because: 'they can be fed without opening the tube',
  },
  {
    id: 'about-fifteen',
    name: 'About fifteen workers',
    says: 'A small one at about fifteen workers.',
    because: 'there are enough to go out and enough to stay in',
  },
  {
    id: 'tube-full',
    name: 'When the tube is full',
    says: 'Only when the tube has no more room.',
    because: 'a tight home keeps a small colony together',
  },
  {
    id: 'from-the-start',
    name: 'From the start',
    says: 'From the first week, for queens that must eat.',
    because: 'she goes out for food herself',
  },
];

/** When the old home is lit in a move. Common practice, no source. */
export const LIGHT_SCHOOLS: readonly GrowthSchool<LightSchoolId>[] = [
  {
    id: 'at-once',
    name: 'Lit at once',
    says: 'The old home in indirect daylight and the new one dark from the first hour.',
    because: 'ants leave a lit home for a dark one',
  },
  {
    id: 'offer-first',
    name: 'Offered in the dark first',
    says: 'Both dark; the old one is lit when your patience is over.',
    because: 'those who move by themselves are not disturbed',
  },
  {
    id: 'never',
    name: 'Never lit',
    says: 'Both stay dark, however long it takes.',
    because: 'light is stress for a queen and her brood',
  },
];

/** How long each step of a move is given. Common practice, no source. */
export const PATIENCE_SCHOOLS: readonly (GrowthSchool<PatienceSchoolId> & { days: number | null })[] = [
  {
    id: 'week',
    name: 'A week at most',
    says: 'A week for each step.',
    because: 'most colonies that will move do so within days',
    days: figure('weekPatienceDays'),
  },
  {
    id: 'two-weeks',
    name: 'Two weeks',
    says: 'Two weeks for each step.',
    because: 'many colonies dawdle',
    days: figure('offerDays'),
  },
  {
    id: 'as-long-as-it-takes',
    name: 'As long as it takes',
    says: 'No step is forced while nothing presses.',
    because: 'a move that is not forced costs nothing',
    days: null,
  },
];

/**
 * The methods of when a nest is due that can be gone by: how they behave is logged by nothing yet, and where all workers are of one size
 * nobody waits for a large one.
 */
export const nestSchoolsFor = (
  profile: { castes: { value: KindFigures['castes'] } } | null,
): GrowthSchool<NestSchoolId>[] =>
  NEST_SCHOOLS.filter(
    (s) => s.id !== 'behaviour' && !(s.id === 'first-major' && profile?.castes.value === 'alike'),
  );

/** The methods of when a nest is due. Common practice, no source. */
export const NEST_SCHOOLS: readonly GrowthSchool<NestSchoolId>[] = [
  {
    id: 'count',
    name: 'By count',
    says: 'At 20 workers for large kinds, at 30 to 50 for small ones.',
    because: 'so many can hold a nest and still forage',
  },
  {
    id: 'packed-full',
    name: 'Packed full',
    says: 'When the tube is packed.',
    because: 'ants like it cramped',
  },
  {
    id: 'as-late-as-possible',
    name: 'As late as possible',
    says: 'Only when the tube is dry, dirty or too small.',
    because: 'too early means refuse and mould inside, and hunger because all stay in',
  },
  {
    id: 'first-major',
    name: 'First major',
    says: 'At the first major, in kinds that have them.',
    because: 'a colony that can afford one is past its start',
  },
  {
    id: 'behaviour',
    name: 'How they behave',
    says: 'When they hold the foraging space and find food fast.',
    because: 'that shows that they will forage from a nest too',
  },
];
