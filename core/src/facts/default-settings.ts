import type { Hemisphere } from '../season';
import type {
  LightSchoolId,
  LookingSchoolId,
  NestSchoolId,
  PatienceSchoolId,
  SpaceSchoolId,
} from './vocabulary';

/** What the keeper has decided for all queens. */
export interface KeeperSettings {
  lookingSchool: LookingSchoolId;
  spaceSchool: SpaceSchoolId;
  nestSchool: NestSchoolId;
  lightSchool: LightSchoolId;
  patienceSchool: PatienceSchoolId;
  hemisphere: Hemisphere;
  /** The keeper's time zone; null: that of the device or the server that asks. */
  zone: string | null;
  /** Weekdays with time for the tubes, 0 Sunday to 6 Saturday; all when empty. */
  weekdays: number[];
  /** Days away, both inclusive, yyyy-mm-dd. */
  absences: { from: string; to: string }[];
  /** Finished stages of the keeper's own queens move what is expected of the others of their kind. */
  learn: boolean;
}

/** What holds until the keeper decides otherwise. */
export const DEFAULT_SETTINGS: KeeperSettings = {
  lookingSchool: 'fortnightly',
  spaceSchool: 'about-fifteen',
  nestSchool: 'count',
  lightSchool: 'offer-first',
  patienceSchool: 'two-weeks',
  hemisphere: 'north',
  zone: null,
  weekdays: [],
  absences: [],
  learn: true,
};
