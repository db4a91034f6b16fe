import { z } from 'zod';
import { bodyMeasuresSchema, idSchema, instantSchema, queenSchema, tubeMeasuresSchema } from '../../facts';
import { noteText } from '../../facts/common';
import { defineKind } from '../kind';

/** What was held, and what is right: the old value stays in the log. */
const change = <S extends z.ZodType>(value: S) => z.object({ was: value, is: value });

/** What stands outside the log is put right: her name, her batch, her first home as it was set up, where she was first put. */
const correctSchema = z.object({
  kind: z.literal('correct'),
  at: instantSchema,
  label: change(queenSchema.shape.label).optional(),
  batch: change(z.string().trim().max(60, "The batch's name is too long.")).optional(),
  tube: change(tubeMeasuresSchema).optional(),
  /** The same of a first home that is no tube. */
  body: change(bodyMeasuresSchema).optional(),
  placeId: change(idSchema).optional(),
  text: noteText.optional(),
});

export const correct = defineKind({
  kind: 'correct',
  schema: correctSchema,
  disturbs: () => null,
  refersTo: ({ placeId }) => (placeId ? { places: [placeId.was, placeId.is] } : {}),
});
