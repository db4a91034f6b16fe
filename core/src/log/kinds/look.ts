import { z } from 'zod';
import {
  countSchema,
  idSchema,
  instantSchema,
  MOULD_SIZES,
  MOULDS,
  PUPAE_IN,
  TROUBLES,
  WET_FRONTS,
} from '../../facts';
import { noteText } from '../../facts/common';
import { defineKind } from '../kind';

const lineMm = z
  .number({ error: 'The water line is not a number.' })
  .min(0, 'The water line is below 0. Measure from the closed end.')
  .max(500, 'The water line is beyond 500 mm. Check the unit.');

export const lookSchema = z.object({
  kind: z.literal('look'),
  at: instantSchema,
  queen: z.enum(['seen', 'not-seen']).optional(),
  /** Where she sat, mm from the closed end. */
  queenAtMm: lineMm.optional(),
  /** How many queens, where there is more than one. */
  queensSeen: z.number().int().min(0).max(30).optional(),
  eggs: countSchema.optional(),
  larvae: countSchema.optional(),
  pupae: countSchema.optional(),
  workers: countSchema.optional(),
  /** Callows, majors and repletes are among the workers. */
  callows: countSchema.optional(),
  majors: countSchema.optional(),
  repletes: countSchema.optional(),
  alates: countSchema.optional(),
  /** Newly found dead, since the look before. */
  deadWorkers: countSchema.optional(),
  pupaeIn: z.enum(PUPAE_IN).optional(),
  /** Pictures taken at this look. */
  photos: z.array(idSchema).max(6, 'More than six photos of one look. Leave some out.').optional(),
  waterLineMm: lineMm.optional(),
  /** How far the dark wet front has come in the inner plug. */
  wetFront: z.enum(WET_FRONTS).optional(),
  mould: z.enum(MOULDS).optional(),
  mouldSize: z.enum(MOULD_SIZES).optional(),
  /** What is wrong with her home; an empty list says that nothing is. */
  troubles: z.array(z.enum(TROUBLES)).max(TROUBLES.length).optional(),
  text: noteText.optional(),
});

export const look = defineKind({
  kind: 'look',
  schema: lookSchema,
  disturbs: () => 'look',
  refersTo: ({ photos }) => ({ photos: photos ?? [] }),
});
