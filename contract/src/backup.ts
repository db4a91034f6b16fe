import { z } from 'zod';
import { instant } from './common';

/** What can be in a backup, as its lines call it, and photos. */
export const KEPT_THINGS = [
  'queen',
  'entry',
  'photo',
  'place',
  'home',
  'probe',
  'readings',
  'stock-item',
  'stock-move',
  'own-kind',
  'settings',
] as const;
export type KeptThing = (typeof KEPT_THINGS)[number];

/** Of what is told otherwise here and in a file: which holds. */
export const PREFERENCES = ['here', 'file'] as const;
export type Preference = (typeof PREFERENCES)[number];

/** What a file holds that is brought back, held against what is here; or what was taken of it. */
export const broughtBackSchema = z.object({
  taken: z.boolean().describe('False: nothing was written'),
  madeAt: instant.nullable().describe('When the backup was made; null for a log alone'),
  version: z.string().nullable(),
  counts: z.array(
    z.object({
      what: z.enum(KEPT_THINGS),
      fresh: z.number().int().describe('Not here: taken'),
      same: z.number().int().describe('Here already, just so'),
      contradictory: z.number().int().describe('Here already, and told otherwise'),
    }),
  ),
  contradictions: z
    .array(
      z.object({
        what: z.enum(KEPT_THINGS),
        name: z.string(),
        about: z.array(z.string()),
        lasting: z.boolean().describe('What is here stays in any case: it is only ever added to'),
      }),
    )
    .describe('The first of them'),
  refused: z
    .array(z.object({ where: z.string(), reason: z.string() }))
    .describe('The first lines and files that cannot be taken, and why'),
  refusedCount: z.number().int(),
  warnings: z.array(z.string()).describe('What is wrong with the file as a whole'),
});
export type BroughtBack = z.infer<typeof broughtBackSchema>;

/** The daily backup: where it goes, and how the last ones went. */
export const dailyBackupSchema = z.object({
  folder: z.string().nullable().describe('On the machine that runs the server; null: none is made'),
  kept: z.array(z.object({ name: z.string(), madeAt: instant, bytes: z.number().int() })),
  last: z
    .object({ at: instant, went: z.enum(['well', 'less', 'wrong']), says: z.string() })
    .nullable()
    .describe('The last one that was tried; less: it holds less than an earlier one, which is kept'),
});
export type DailyBackup = z.infer<typeof dailyBackupSchema>;

export const dailyBackupChangeSchema = z.object({
  folder: z
    .string()
    .trim()
    .min(1, 'Name a folder, or leave the daily backup off.')
    .max(1000, 'The name of the folder is too long.')
    .nullable(),
});
