import { z } from 'zod';
import { FINDINGS, instantSchema } from '../../facts';
import { noteText } from '../../facts/common';
import { defineKind } from '../kind';

/** Looked over again: findings, and the quarantine that follows or ends. */
export const healthSchema = z.object({
  kind: z.literal('health'),
  at: instantSchema,
  findings: z.array(z.enum(FINDINGS)),
  /** null ends the quarantine. */
  quarantineUntil: instantSchema.nullable(),
  text: noteText.optional(),
});

export const health = defineKind({
  kind: 'health',
  schema: healthSchema,
  disturbs: () => 'health',
  refersTo: () => ({}),
});
