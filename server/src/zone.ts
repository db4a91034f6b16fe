import type { KeeperSettings } from '@gentle-burrow/core/facts';
import type { Zone } from '@gentle-burrow/core/quantity';

/** The keeper's time zone: as set, or that of the machine that the server runs on. */
export const zoneOf = ({ zone }: Pick<KeeperSettings, 'zone'>): Zone =>
  zone ?? Intl.DateTimeFormat().resolvedOptions().timeZone;
