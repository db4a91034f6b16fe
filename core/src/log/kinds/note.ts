import { z } from 'zod';
import { instantSchema } from '../../facts';
import { noteText } from '../../facts/common';
import { defineKind } from '../kind';

export const noteSchema = z.object({
  kind: z.literal('note'),
  at: instantSchema,
  text: noteText.min(1, 'The note is empty. Write something or leave it out.'),
});

export const note = defineKind({
  kind: 'note',
  schema: noteSchema,
  disturbs: () => null,
  refersTo: () => ({}),
});
