import type { DailyBackups } from './backup/daily';
import type { Store } from './db/store';
import type { Views } from './jobs/views';
import type { Printer } from './labels/printer';

/** What every route is given. */
export interface Services {
  store: Store;
  views: Views;
  version: string;
  printer: Printer;
  backups: DailyBackups;
  now: () => Date;
}
