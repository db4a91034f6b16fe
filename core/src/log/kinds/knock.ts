import { z } from 'zod';
import { instantSchema } from '../../facts';
import { noteText } from '../../facts/common';
import { defineKind } from '../kind';

/** The tube was knocked, dropped or shaken, not on purpose. */
const knockSchema = z.object({
  kind: z.literal('knock'),
  at: instantSchema,
  text: noteText.optional(),
});

export const knock = defineKind({
  kind: 'knock',
  schema: knockSchema,
  disturbs: () => 'knock',
  refersTo: () => ({}),
});
