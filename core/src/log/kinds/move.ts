import { z } from 'zod';
import { idSchema, instantSchema } from '../../facts';
import { noteText } from '../../facts/common';
import { defineKind } from '../kind';

/** The tube was carried to another place. */
export const moveSchema = z.object({
  kind: z.literal('move'),
  at: instantSchema,
  placeId: idSchema,
  text: noteText.optional(),
});

export const move = defineKind({
  kind: 'move',
  schema: moveSchema,
  disturbs: () => 'move',
  refersTo: ({ placeId }) => ({ places: [placeId] }),
});
