import type { KeeperSettings, Zone } from '@gentle-burrow/core';

/** The keeper's time zone: as set, or that of the machine that the server runs on. */
export const zoneOf = ({ zone }: Pick<KeeperSettings, 'zone'>): Zone =>
  zone ?? Intl.DateTimeFormat().resolvedOptions().timeZone;
