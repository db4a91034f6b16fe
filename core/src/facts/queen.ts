import { z } from 'zod';
import { idSchema, instantSchema } from './common';
import { LIGHT_SCHOOL_IDS, LOOKING_SCHOOL_IDS, PATIENCE_SCHOOL_IDS } from './vocabulary';

export const queenSchema = z.object({
  id: idSchema,
  /** Letter or number on the tube. */
  label: z.string().trim().min(1, 'Give her a letter or a name.').max(40, 'Her name is too long.'),
  /** Sisters caught together share a batch. */
  batch: z.string().trim().max(60, "The batch's name is too long.").default(''),
  homeId: idSchema,
  /** Where she was first put; a move is an entry. */
  placeId: idSchema,
  /** Overrides the keeper's school of looking for this colony. */
  lookingSchool: z.enum(LOOKING_SCHOOL_IDS).nullable().default(null),
  /** And those of lighting the old home in a move, and of patience. */
  lightSchool: z.enum(LIGHT_SCHOOL_IDS).nullish(),
  patienceSchool: z.enum(PATIENCE_SCHOOL_IDS).nullish(),
  createdAt: instantSchema,
});

export type Queen = z.infer<typeof queenSchema>;
