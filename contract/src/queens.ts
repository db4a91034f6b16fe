import {
  homePartSchema,
  idSchema,
  instantSchema,
  placeSchema,
  queenSchema,
  stockMoveSchema,
} from '@gentle-burrow/core/facts';
import { entrySchema, intakeSchema } from '@gentle-burrow/core/log';
import { z } from 'zod';
import { placeRecordSchema } from './climate';
import { instant } from './common';
import { heatFallSchema, kindEvidenceSchema, queenViewSchema } from './view';

/** Takes a queen in: herself, her home, the place she stands and her intake, all or nothing. Sending it twice is harmless. */
export const newQueenSchema = z
  .object({
    queen: queenSchema,
    home: homePartSchema,
    place: placeSchema,
    intake: intakeSchema.extend({ id: idSchema, queenId: idSchema, loggedAt: instantSchema }),
    /** What was taken from the stock for her. */
    used: z.array(stockMoveSchema).max(20).optional(),
  })
  .superRefine((b, ctx) => {
    const fault = (path: string[], message: string) => ctx.addIssue({ code: 'custom', path, message });
    if (b.queen.homeId !== b.home.id)
      fault(['queen', 'homeId'], 'Her home is not the one that was sent with her.');
    if (b.queen.placeId !== b.place.id)
      fault(['queen', 'placeId'], 'Her place is not the place that was sent with her.');
    if (b.intake.queenId !== b.queen.id) fault(['intake', 'queenId'], 'The intake is about another queen.');
  });
export type NewQueen = z.infer<typeof newQueenSchema>;

/** What may be changed about a queen outside her log. */
export const queenPatchSchema = z
  .object({
    label: queenSchema.shape.label,
    batch: z.string().trim().max(60),
    lookingSchool: queenSchema.shape.lookingSchool.unwrap(),
    lightSchool: queenSchema.shape.lightSchool.unwrap(),
    patienceSchool: queenSchema.shape.patienceSchool.unwrap(),
  })
  .partial()
  .strict();
export type QueenPatch = z.infer<typeof queenPatchSchema>;

export const queenListSchema = z.object({ queens: z.array(queenSchema) });

const learnedByKind = z.record(z.string(), kindEvidenceSchema);
export const learnedSchema = z.object({ learned: learnedByKind });

/** One queen with all facts and everything derived from them. */
export const queenDetailSchema = z.object({
  at: instant,
  queen: queenSchema,
  home: homePartSchema.describe('The part she was taken in with'),
  place: placeSchema.describe('Where she stands now'),
  places: z.array(placeSchema).describe('Every place she has stood in'),
  measured: z
    .array(placeRecordSchema)
    .describe('What was measured at these places, as far back as it matters'),
  falls: z
    .array(heatFallSchema)
    .describe('How the heat at these places falls, as it was read at tubes of others'),
  entries: z.array(entrySchema),
  view: queenViewSchema,
  learned: learnedByKind.describe(
    'What the other queens say of the kinds she may be and their genera, so that a device alone gives the same view',
  ),
});
export type QueenDetail = z.infer<typeof queenDetailSchema>;
