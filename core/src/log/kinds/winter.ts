import { z } from 'zod';
import { idSchema, instantSchema } from '../../facts';
import { noteText } from '../../facts/common';
import { defineKind } from '../kind';

/** When and where she winters, and where she stands afterwards. */
const winterPlanSchema = z
  .object({
    placeId: idSchema,
    from: instantSchema,
    until: instantSchema,
    thenPlaceId: idSchema,
  })
  .refine((p) => Date.parse(p.until) > Date.parse(p.from), {
    path: ['until'],
    error: 'Her winter ends before it begins. Swap the dates.',
  })
  .refine((p) => p.placeId !== p.thenPlaceId, {
    path: ['thenPlaceId'],
    error: 'She would stand in the same place afterwards. Choose where she is warmed again.',
  });

/** Her winter is planned, or planned anew; null: it is called off, or over. */
const winterSchema = z.object({
  kind: z.literal('winter'),
  at: instantSchema,
  plan: winterPlanSchema.nullable(),
  text: noteText.optional(),
});

export const winter = defineKind({
  kind: 'winter',
  schema: winterSchema,
  disturbs: () => null,
  refersTo: ({ plan }) => (plan ? { places: [plan.placeId, plan.thenPlaceId] } : {}),
});
