import { z } from 'zod';
import { instantSchema, SHAPES } from '../../facts';
import { noteText } from '../../facts/common';
import { defineKind } from '../kind';

/** Something seen of her that tells what kind of founder she is. */
export const signSchema = z.object({
  kind: z.literal('sign'),
  at: instantSchema,
  shape: z.enum(SHAPES).optional(),
  /** Paces and searches a week after she settled. */
  restless: z.boolean().optional(),
  protein: z.enum(['accepted', 'refused']).optional(),
  /** Larvae grew to pupae without any food given. */
  broodUnfed: z.boolean().optional(),
  text: noteText.optional(),
});

export const sign = defineKind({
  kind: 'sign',
  schema: signSchema,
  disturbs: () => null,
  refersTo: () => ({}),
});
