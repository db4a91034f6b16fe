import { homePartSchema } from '@gentle-burrow/core/facts';
import { MOVE_STAGES } from '@gentle-burrow/core/housing';
import { COVERS, GATES, JOINTS, MOISTURES, PURPOSES, TAKEN_TO } from '@gentle-burrow/core/vocabulary';
import { z } from 'zod';
import { instant } from '../common';

const id = z.string();

const share = z.object({ low: z.number(), high: z.number() });
const moveSchema = z.object({
  from: id,
  to: id,
  offeredAt: instant,
  entryId: id,
  stage: z.enum(MOVE_STAGES),
  since: instant,
  swappedAt: instant.nullable(),
  byHandAt: instant.nullable(),
});
const linkEnd = z.object({ partId: id, port: z.string() });
const links = z
  .array(
    z.object({
      a: linkEnd,
      b: linkEnd,
      by: z.enum(JOINTS),
      gapMm: z.number().nullable(),
      lengthMm: z.number().nullable(),
      entryId: id,
    }),
  )
  .readonly();
const gates = z.record(z.string(), z.object({ value: z.enum(GATES), since: instant, entryId: id }));

/** What of a home its picture needs. */
export const drawnHomeSchema = z.object({
  parts: z.array(z.object({ part: homePartSchema, gates })).readonly(),
  links,
  home: id,
});

/** What is joined to what, and who lives where. */
export const housingSchema = z.object({
  parts: z
    .array(
      z.object({
        part: homePartSchema,
        purpose: z.enum(['first', ...PURPOSES]),
        entryId: id.nullable(),
        gone: z.object({ at: instant, to: z.enum(TAKEN_TO), entryId: id }).nullable(),
        cover: z.object({ value: z.enum(COVERS), since: instant, entryId: id }).nullable(),
        gates,
        holds: z.object({ queen: share, brood: share, workers: share }),
        saidAt: instant.nullable(),
        waterings: z.array(
          z.object({
            at: instant,
            ml: z.number().nullable(),
            was: z.enum(MOISTURES).nullable(),
            entryId: id,
          }),
        ),
        cleanedAt: instant.nullable(),
      }),
    )
    .readonly(),
  links,
  home: id,
  move: moveSchema.nullable(),
  past: z.array(moveSchema).readonly(),
  faults: z.array(z.object({ entryId: id, at: instant, says: z.string() })).readonly(),
});
