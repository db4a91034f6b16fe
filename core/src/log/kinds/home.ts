import { z } from 'zod';
import {
  BROOD_THERE,
  COVERS,
  idSchema,
  instantSchema,
  JOINTS,
  MOVED_HOW,
  TAKEN_TO,
  TALLIED,
  TUBE_PURPOSES,
  tubePartSchema,
  WORKERS_THERE,
} from '../../facts';
import { mm, noteText } from '../../facts/common';
import { defineKind } from '../kind';

/** An air gap of a joint; none is never airtight, for cotton lets air through. */
const gapMm = mm('The gap at the joint', 0, 10);

/** A finished tube was set beside hers, or joined to it mouth to mouth. */
const setUp = z.object({
  what: z.literal('set-up'),
  part: tubePartSchema,
  purpose: z.enum(TUBE_PURPOSES).default('move'),
  by: z.enum(JOINTS),
  gapMm: gapMm.optional(),
});

/** A tube that stood beside was joined, or joined in another way. */
const joined = z.object({
  what: z.literal('joined'),
  partId: idSchema,
  by: z.enum(JOINTS),
  gapMm: gapMm.optional(),
});

const covered = z.object({ what: z.literal('covered'), partId: idSchema, cover: z.enum(COVERS) });

const tallied = z.partialRecord(
  z.enum(TALLIED),
  z.number().int('Half an ant is none. Count whole ones.').min(0).max(100_000),
);
/** A transfer by hand, counted: out of the old, into the new. */
const tallySchema = z.object({
  out: tallied,
  into: tallied,
  /** Why fewer came in than went out. */
  explained: noteText.optional(),
});
export type Tally = z.infer<typeof tallySchema>;

/** Who was seen in a tube, and how they came there. What is not said stays as it was. */
const movedIn = z.object({
  what: z.literal('moved-in'),
  partId: idSchema,
  queen: z.boolean().optional(),
  brood: z.enum(BROOD_THERE).optional(),
  workers: z.enum(WORKERS_THERE).optional(),
  how: z.enum(MOVED_HOW).default('by-themselves'),
  tally: tallySchema.optional(),
  /** Read in that tube, mm from its closed end. */
  waterLineMm: mm('The water line', 0, 500).optional(),
});

const takenAway = z.object({
  what: z.literal('taken-away'),
  partId: idSchema,
  to: z.enum(TAKEN_TO),
});

const changeSchema = z.discriminatedUnion('what', [setUp, joined, covered, movedIn, takenAway], {
  error: 'What was changed at her home is missing. Choose what was done.',
});
export type HomeChange = z.infer<typeof changeSchema>;

/** Her home changed: a tube more, a joint, light, who is where, a tube less. */
export const homeSchema = z.object({
  kind: z.literal('home'),
  at: instantSchema,
  change: changeSchema,
  text: noteText.optional(),
});

export const home = defineKind({
  kind: 'home',
  schema: homeSchema,
  disturbs: ({ change }) =>
    change.what !== 'moved-in' ? 'beside' : change.how === 'by-themselves' ? null : 'by-hand',
  refersTo: () => ({}),
});
