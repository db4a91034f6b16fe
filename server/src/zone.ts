import type { KeeperSettings } from '@gentle-burrow/core/facts';
import { isZone, type Zone } from '@gentle-burrow/core/quantity';
import { z } from 'zod';

/** The keeper's time zone: as set, else that of the page that asks, else that of the machine that the server runs on. */
export const zoneOf = ({ zone }: Pick<KeeperSettings, 'zone'>, asked?: Zone): Zone =>
  zone ?? asked ?? Intl.DateTimeFormat().resolvedOptions().timeZone;

/** What a page says of its zone when it asks for a file. */
export const zoneAsked = {
  zone: z
    .string()
    .refine(isZone, 'This is not a time zone. Give one like Europe/Berlin.')
    .optional()
    .describe('The zone of whoever asks, by which days are told where the keeper has set none'),
};
