import { z } from 'zod';
import { instantSchema } from '../../facts';
import { noteText } from '../../facts/common';
import { defineKind } from '../kind';

/** A look not taken, on purpose: she is left alone until a date. */
const restSchema = z.object({
  kind: z.literal('rest'),
  at: instantSchema,
  until: instantSchema,
  text: noteText.optional(),
});

export const rest = defineKind({
  kind: 'rest',
  schema: restSchema,
  disturbs: () => null,
  refersTo: () => ({}),
});
