import { z } from 'zod';
import { idSchema, instantSchema, mm } from './common';
import { CONNECTOR_FORMS, STOCK_KINDS, STOCK_WHYS } from './vocabulary';

/** One round end of a connector. */
const endSchema = z
  .object({
    boreMm: mm('The bore of an end', 1, 100).optional(),
    outsideMm: mm('The outside of an end', 1, 100).optional(),
  })
  .refine((e) => e.boreMm !== undefined || e.outsideMm !== undefined, {
    error: 'Nothing is known of one end. Measure its bore, its outside, or both.',
  })
  .refine((e) => e.boreMm === undefined || e.outsideMm === undefined || e.boreMm < e.outsideMm, {
    error: 'The bore of an end is not smaller than its outside. Swap them.',
  });

/** Something kept ready. A tube's size makes it one of the keeper's own sizes. */
export const stockItemSchema = z.object({
  id: idSchema,
  kind: z.enum(STOCK_KINDS),
  name: z.string().trim().min(1, 'Give it a name.').max(80, 'The name is too long. Shorten it.'),
  tube: z
    .object({
      outsideMm: mm("The tube's outside diameter", 4, 100),
      boreMm: mm("The tube's bore", 3, 80),
      lengthMm: mm("The tube's length", 20, 500),
      end: z.enum(['round', 'flat']),
    })
    .refine((t) => t.boreMm < t.outsideMm, {
      path: ['boreMm'],
      error: 'The bore is not smaller than the outside. Swap them.',
    })
    .nullable()
    .default(null),
  /** Of a connector: its two ends, and the opening of a mesh in its wall. */
  connector: z
    .object({
      form: z.enum(CONNECTOR_FORMS),
      ends: z.tuple([endSchema, endSchema]),
      meshMm: mm('The opening of the mesh', 0.05, 5).nullable().default(null),
    })
    .nullable()
    .optional(),
  /** Said to be low at this many or fewer. */
  lowAt: z.number().int().min(0).max(1000).default(0),
});

/** A change of the stock; never altered, so that sending one twice is harmless. */
export const stockMoveSchema = z.object({
  id: idSchema,
  itemId: idSchema,
  at: instantSchema,
  delta: z
    .number({ error: 'The number is not a number.' })
    .int('Count whole pieces.')
    .min(-10_000)
    .max(10_000)
    .refine((d) => d !== 0, 'A change of nothing changes nothing. Give a number.'),
  why: z.enum(STOCK_WHYS),
  queenId: idSchema.nullable().default(null),
});

export type StockItem = z.infer<typeof stockItemSchema>;
export type StockMove = z.infer<typeof stockMoveSchema>;
