import type { SpeciesProfile } from './profile';

type Value<F extends { value: unknown }> = Pick<F, 'value'>;

/** What a list, a picker or a drawing needs of a kind: its names and what is seen of it. The rest is in its profile. */
export interface KindCard extends Pick<
  SpeciesProfile,
  | 'id'
  | 'rank'
  | 'name'
  | 'plainName'
  | 'kin'
  | 'copiedOf'
  | 'climate'
  | 'regions'
  | 'status'
  | 'differs'
  | 'cautions'
> {
  /** An own profile that was put away. */
  retired: boolean;
  /** Former and everyday names, its plain name too. */
  otherNames: readonly string[];
  founder: Pick<SpeciesProfile['founder'], 'value' | 'source'>;
  queenLengthMm: Value<SpeciesProfile['queenLengthMm']>;
  workerLengthMm: Value<SpeciesProfile['workerLengthMm']>;
  workerHeadMm: Value<SpeciesProfile['workerHeadMm']>;
  pupae: Value<SpeciesProfile['pupae']>;
  flightMonths: Value<SpeciesProfile['flightMonths']>;
  diet: Value<SpeciesProfile['diet']>;
  colours: Value<SpeciesProfile['colours']>;
  waist: Value<SpeciesProfile['waist']>;
  temper: Value<SpeciesProfile['temper']>;
}

/** What a drawing needs of a kind. */
export type KindLooks = Pick<KindCard, 'queenLengthMm' | 'workerLengthMm' | 'pupae'>;
