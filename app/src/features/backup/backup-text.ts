import type { BroughtBack, DailyBackup, KeptThing } from '@gentle-burrow/contract';
import { dayText } from '@/ui/dates';

/** What lies in a backup, as a keeper calls it. */
export const THINGS: Record<KeptThing, string> = {
  queen: 'Queens',
  entry: 'Entries of the log',
  photo: 'Photos',
  place: 'Places',
  home: 'First homes',
  probe: 'Probes',
  readings: 'Readings',
  'stock-item': 'Things in stock',
  'stock-move': 'Changes of stock',
  'own-kind': 'Profiles of your own',
  settings: 'Settings',
};
const ONE: Record<KeptThing, string> = {
  queen: 'Queen',
  entry: 'Entry',
  photo: 'Photo',
  place: 'Place',
  home: 'First home',
  probe: 'Probe',
  readings: 'Readings',
  'stock-item': 'In stock:',
  'stock-move': 'Change of stock',
  'own-kind': 'Profile',
  settings: 'Settings',
};

/** What may be told otherwise, in words; whatever else there is stays in its details. */
const PARTS: Record<string, string> = {
  name: 'name',
  label: 'letter',
  batch: 'batch',
  tempC: 'temperature',
  roomRelHumidity: 'humidity',
  winter: 'winter',
  spot: 'what the spot is like',
  stays: 'where it lay',
  checks: 'its checks',
  at: 'time',
  lookingSchool: 'method of looking',
  spaceSchool: 'when a foraging space is given',
  nestSchool: 'when a nest is given',
  lightSchool: 'when the old home is lit',
  patienceSchool: 'how long a move is given',
  learn: 'learning from your own queens',
  hemisphere: 'hemisphere',
  zone: 'time zone',
  weekdays: 'days on which you have time',
  absences: 'absences',
  lowAt: 'how few is low',
  delta: 'count',
};

export function contradictionText({ what, name, about }: BroughtBack['contradictions'][number]): string {
  const parts = [...new Set(about.map((a) => PARTS[a] ?? 'details'))];
  return `${[ONE[what], name].join(' ').trim()}: ${parts.join(', ')}`;
}

export const freshOf = ({ counts }: BroughtBack): number => counts.reduce((sum, c) => sum + c.fresh, 0);
export const otherwiseOf = ({ counts }: BroughtBack): number =>
  counts.reduce((sum, c) => sum + c.contradictory, 0);

/** What is to be done where a backup holds less than an earlier one: nothing goes by itself. */
export const LESS = {
  todo: 'Look whether anybody is missing; if so, bring an earlier one back.',
  meanwhile: 'All that hold more are kept meanwhile. If nothing is missing, move them out of the folder.',
};

/** How a daily backup failed. */
export function failedText({ at, went, says }: NonNullable<DailyBackup['last']>): string {
  const which = `The backup of ${dayText(at)}`;
  return went === 'less'
    ? `${which} holds less than an earlier one: something may have been lost.`
    : `${which} did not come about. ${says}`;
}

/** How large a file is. */
export function bytesText(bytes: number): string {
  if (bytes < 1024 ** 2) return `${Math.max(1, Math.round(bytes / 1024))} kB`;
  return `${(bytes / 1024 ** 2).toFixed(bytes < 10 * 1024 ** 2 ? 1 : 0)} MB`;
}
