import { z } from 'zod';
import { idSchema, instantSchema, mm, shortText } from './common';
import { tubePartSchema, tubeSchema, type TubeHome } from './tube';
import { BODY_KINDS, MATERIALS, WATER_SOURCES } from './vocabulary';

/** A hole in a wall: what goes into it, and, where a nozzle stands on it, what goes over that. */
const portSchema = z.object({
  boreMm: mm('The bore of a port', 1, 100),
  outsideMm: mm('The outside of a port', 1, 100).optional(),
});

const measures = {
  kind: z.enum(BODY_KINDS),
  /** The keeper's own name for it. */
  name: shortText(60, 'The name').optional(),
  /** Inside; of a round one both are its diameter. */
  widthMm: mm('The width inside', 5, 2000),
  depthMm: mm('The depth inside', 5, 2000),
  heightMm: mm('The height inside', 2, 1000),
  round: z.boolean().default(false),
  material: z.enum(MATERIALS),
  water: z.enum(WATER_SOURCES),
  /** What its water source takes up when it is filled, ml; reckoned by its area where it is not measured. */
  waterMl: z.number().min(0.1, 'Less water than 0.1 ml is none. Check the figure.').max(5000).optional(),
  /** The opening of its mesh; null where it has none. */
  meshMm: mm('The opening of the mesh', 0.05, 5).nullable().default(null),
  ports: z.array(portSchema).max(12, 'More than 12 ports. Leave out those that are never used.').default([]),
  /** Rooms of a nest that can be shut one by one; 1 for a single room. */
  rooms: z.number().int('Count whole rooms.').min(1).max(24).default(1),
  /** What it was before, in the home of another. */
  was: idSchema.optional(),
};

/** What of a part that is no tube is measured. */
export const bodyMeasuresSchema = z.object(measures).superRefine(mustBe);
export type BodyMeasures = z.infer<typeof bodyMeasuresSchema>;

/** A part of a home that is no tube, as it is set up. */
export const bodyPartSchema = z.object({ id: idSchema, ...measures }).superRefine(mustBe);
export type BodyPart = z.infer<typeof bodyPartSchema>;
export const bodySchema = z.object({ id: idSchema, ...measures, setUpAt: instantSchema }).superRefine(mustBe);
export type BodyHome = z.infer<typeof bodySchema>;

/** Anything that ants live in, with the id it keeps in whosever home it stands. */
export const partSchema = z.union([tubePartSchema, bodyPartSchema]);
export type Part = z.infer<typeof partSchema>;
/** The same, standing: lengths in mm, tubes from the deepest point of the closed end. */
export const homePartSchema = z.discriminatedUnion('kind', [tubeSchema, bodySchema]);
export type HomePart = z.infer<typeof homePartSchema>;

/** A part as the tube it is; null when it is none. */
export const asTube = (part: HomePart): TubeHome | null => (part.kind === 'tube' ? part : null);

function mustBe(b: z.infer<z.ZodObject<typeof measures>>, ctx: z.RefinementCtx): void {
  const fault = (path: string, message: string) => ctx.addIssue({ code: 'custom', path: [path], message });
  if (b.round && b.widthMm !== b.depthMm)
    fault('depthMm', 'What is round is as deep as it is wide. Give its diameter for both.');
  if (b.ports.some((p) => p.outsideMm !== undefined && p.outsideMm <= p.boreMm))
    fault('ports', 'The outside of a port is not larger than its bore. Swap them.');
  if (b.kind === 'drinker' && b.water === 'none')
    fault('water', 'A drinker without water is none. Say where its water is.');
}

/** Floor inside, mm². */
export const bodyFloorMm2 = ({
  widthMm,
  depthMm,
  round,
}: Pick<BodyHome, 'widthMm' | 'depthMm' | 'round'>): number =>
  round ? (Math.PI / 4) * widthMm * widthMm : widthMm * depthMm;
