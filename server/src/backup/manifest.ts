import { instantSchema } from '@gentle-burrow/core/facts';
import { z } from 'zod';

/** Raised when what lies in a backup changes in a way that older versions cannot read. */
export const BACKUP_FORMAT = 1;
export const FACTS_FILE = 'facts.jsonl';
export const MANIFEST_FILE = 'manifest.json';
export const PHOTOS_FOLDER = 'photos/';

/** What lies in a backup, written last. */
export const manifestSchema = z.object({
  name: z.literal('gentle-burrow-backup'),
  format: z.number().int().min(1),
  /** Of the program that wrote it. */
  version: z.string(),
  madeAt: instantSchema,
  /** How much of everything is in it; readings one by one. */
  counts: z.record(z.string(), z.number().int()),
  /** Every other file in it, with its length and checksum. */
  files: z.array(z.object({ name: z.string(), bytes: z.number().int(), sha256: z.string() })),
});
export type Manifest = z.infer<typeof manifestSchema>;
