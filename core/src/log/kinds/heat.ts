import { z } from 'zod';
import { instantSchema } from '../../facts';
import { noteText } from '../../facts/common';
import { defineKind } from '../kind';

const tempC = z
  .number({ error: 'The temperature is not a number.' })
  .min(-10, 'The temperature is below −10 °C. Check the figure and its unit.')
  .max(70, 'The temperature is above 70 °C. Check the figure and its unit.');

/** Where a mat or cable lies at her tube, and how warm it was along it. */
const heatSchema = z.object({
  kind: z.literal('heat'),
  at: instantSchema,
  /** From the mouth to the edge of the heat, mm; below 0 it reaches under the tube; null: it was taken away. */
  matMm: z
    .number({ error: 'The distance is not a number. Give it in mm.' })
    .min(-500, 'The distance is below −500 mm.')
    .max(2000, 'The distance is above 2 m: then it does not heat her.')
    .nullable(),
  /** The room beside it. */
  roomC: tempC.optional(),
  /** Read along the tube, mm from its closed end. */
  readings: z
    .array(z.object({ mm: z.number().min(0).max(500), tempC }))
    .max(8, 'More than eight readings. Leave some out.')
    .optional(),
  /** What its thermostat is set to. */
  setC: tempC.optional(),
  text: noteText.optional(),
});

export const heat = defineKind({
  kind: 'heat',
  schema: heatSchema,
  disturbs: () => null,
  refersTo: () => ({}),
});
