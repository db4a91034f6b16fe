import { z } from 'zod';
import {
  BROOD_THERE,
  COVERS,
  dividerSchema,
  GATES,
  idSchema,
  instantSchema,
  JOINTS,
  MOISTURES,
  MOVED_HOW,
  partSchema,
  PURPOSES,
  TAKEN_TO,
  TALLIED,
  WORKERS_THERE,
} from '../../facts';
import { mm, noteText } from '../../facts/common';
import { defineKind } from '../kind';

/** A port by its place in the part, a tube's mouth, or the floor on which another part lies open. */
const portName = z
  .string()
  .regex(/^(mouth|floor|port-\d{1,2})$/, 'The port is not known. Choose one of the part.');

/** How a part is joined: what is not said is its next free port, and the part where she lives. */
const joint = {
  by: z.enum(JOINTS),
  port: portName.optional(),
  toId: idSchema.optional(),
  toPort: portName.optional(),
  /** None is never airtight: cotton lets air through. */
  gapMm: mm('The gap at the joint', 0, 10).optional(),
  /** Of a pipe. */
  lengthMm: mm('The length of the pipe', 1, 5000).optional(),
};

/** A finished part was set beside hers, or joined to it. */
const setUp = z.object({
  what: z.literal('set-up'),
  part: partSchema,
  purpose: z.enum(PURPOSES).default('move'),
  ...joint,
  /** Made ready and joined, and the way into it still shut. */
  shut: z.boolean().optional(),
  /** Of the tube that lies open in it. */
  mouth: z.enum(['open', 'narrowed']).optional(),
});

/** A part that stood beside was joined, or joined in another way. */
const joined = z.object({ what: z.literal('joined'), partId: idSchema, ...joint });

const parted = z.object({ what: z.literal('parted'), partId: idSchema });

/** A port, or a room, was opened, plugged or shut. */
const gate = z.object({
  what: z.literal('gate'),
  partId: idSchema,
  gate: z
    .string()
    .regex(/^(mouth|port-\d{1,2}|room-\d{1,2})$/, 'The door is not known. Choose one of the part.'),
  state: z.enum(GATES),
});

/** A wall with a straw was set into a tube, or taken out of it. */
const divided = z.object({ what: z.literal('divided'), partId: idSchema, divider: dividerSchema.nullable() });

/** Its water was filled up, or its stone wetted; and how wet it was before. */
const watered = z.object({
  what: z.literal('watered'),
  partId: idSchema,
  ml: z.number().min(0.1, 'Less water than 0.1 ml is none. Check the figure.').max(5000).optional(),
  was: z.enum(MOISTURES).optional(),
  /** It was opened for that. */
  opened: z.boolean().optional(),
});

/** It had been taken away before: nobody was disturbed by it. */
const aside = { aside: z.literal(true).optional() };

const cleaned = z.object({ what: z.literal('cleaned'), partId: idSchema, ...aside });

const covered = z.object({ what: z.literal('covered'), partId: idSchema, cover: z.enum(COVERS) });

const tallied = z.partialRecord(
  z.enum(TALLIED),
  z.number().int('Half an ant is none. Count whole ones.').min(0).max(100_000),
);
/** A transfer by hand, counted: out of the old, into the new. */
const tallySchema = z.object({
  out: tallied,
  into: tallied,
  /** Seen to be still in the old one, and not found any more. */
  left: tallied.optional(),
  lost: tallied.optional(),
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
  ...aside,
});

const CHANGES = [
  setUp,
  joined,
  parted,
  gate,
  divided,
  watered,
  cleaned,
  covered,
  movedIn,
  takenAway,
] as const;
const changeSchema = z.discriminatedUnion('what', CHANGES, {
  error: 'What was changed at her home is missing. Choose what was done.',
});
export type HomeChange = z.infer<typeof changeSchema>;

/** Her home changed: a part more, a joint, a door, water, light, who is where, a part less. */
export const homeSchema = z.object({
  kind: z.literal('home'),
  at: instantSchema,
  change: changeSchema,
  text: noteText.optional(),
});

export const home = defineKind({
  kind: 'home',
  schema: homeSchema,
  disturbs: ({ change }) => {
    if ('aside' in change && change.aside) return null;
    if (change.what === 'moved-in') return change.how === 'by-themselves' ? null : 'by-hand';
    if (change.what === 'watered') return change.opened ? 'water-open' : 'water';
    // a wall is set into the tube itself
    return change.what === 'divided' ? 'look' : 'beside';
  },
  refersTo: () => ({}),
});
