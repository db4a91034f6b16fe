import { z } from 'zod';
import { idSchema, instantSchema } from './entry';

const mm = (name: string, min: number, max: number) =>
  z
    .number({ error: `${name} is not a number. Give it in mm.` })
    .min(min, `${name} is below ${min} mm. Check the figure and its unit.`)
    .max(max, `${name} is above ${max} mm. Check the figure and its unit.`);

/** A founding tube, as it was set up. Lengths run from the deepest point of the closed end. */
export const tubeSchema = z
  .object({
    id: idSchema,
    kind: z.literal('tube'),
    outsideMm: mm("The tube's outside diameter", 4, 100),
    boreMm: mm("The tube's bore", 3, 80),
    lengthMm: mm("The tube's length", 20, 500),
    end: z.enum(['round', 'flat']),
    waterLineMm: mm('The water line', 0, 500),
    plugs: z.object({
      innerMm: mm('The inner plug', 2, 200),
      outerMm: mm('The outer plug', 2, 200),
    }),
    setUpAt: instantSchema,
  })
  .superRefine((t, ctx) => {
    const fault = (path: string, message: string) => ctx.addIssue({ code: 'custom', path: [path], message });
    if (t.boreMm >= t.outsideMm) {
      fault(
        'boreMm',
        `The bore (${t.boreMm} mm) is not smaller than the outside (${t.outsideMm} mm). Swap them.`,
      );
    }
    if (t.lengthMm <= t.boreMm) {
      fault(
        'lengthMm',
        `The tube (${t.lengthMm} mm) is not longer than it is wide (${t.boreMm} mm). Check both.`,
      );
    }
    if (t.waterLineMm > t.lengthMm) {
      fault(
        'waterLineMm',
        `The water line (${t.waterLineMm} mm) lies beyond the tube (${t.lengthMm} mm). Check the tube's length or the reading.`,
      );
    } else if (t.waterLineMm + t.plugs.innerMm + t.plugs.outerMm >= t.lengthMm) {
      fault(
        'waterLineMm',
        'Water and plugs leave no chamber. Use less water, shorter plugs or a longer tube.',
      );
    }
  });

const mmFrom = z
  .number({ error: 'The distance is not a number. Give it in mm.' })
  .min(0, 'The distance is below 0 mm.')
  .max(5000, 'The distance is above 5 m: then it does not heat her. Choose “none”.');

export const HEAT_SOURCES = ['mat', 'cable', 'lamp', 'radiator', 'sun', 'other'] as const;

/** What a spot is like beside its middle temperature; what is not known is left out. */
export const spotSchema = z.object({
  /** Coldest and warmest of a usual day, °C. */
  dayLowC: z.number().min(-10).max(50).optional(),
  dayHighC: z.number().min(-10).max(60).optional(),
  light: z.enum(['dark', 'dim', 'daylight', 'sun']).optional(),
  vibration: z.enum(['none', 'some', 'strong']).optional(),
  airConditioning: z.enum(['none', 'in the room', 'blows on it']).optional(),
  heat: z
    .object({
      source: z.enum(HEAT_SOURCES),
      distanceMm: mmFrom,
      /** Which part of the tube is nearer to it. */
      end: z.enum(['open', 'water', 'whole', 'unknown']).default('unknown'),
      thermostat: z.boolean().optional(),
    })
    .nullable()
    .optional(),
});

/** Where tubes stand. */
export const placeSchema = z.object({
  id: idSchema,
  name: z.string().trim().min(1, 'Give the place a name.').max(80, "The place's name is too long."),
  tempC: z
    .number({ error: 'The temperature is not a number.' })
    .min(0, 'The temperature is below 0 °C: water would freeze. Check the figure and its unit.')
    .max(45, 'The temperature is above 45 °C: no queen lives there. Check the figure and its unit.'),
  roomRelHumidity: z
    .number({ error: 'The humidity is not a number.' })
    .min(0, 'The humidity is below 0 %.')
    .max(1, 'The humidity is above 100 %.'),
  /** For a wintering place: until when, and how warm she stands afterwards. */
  winter: z
    .object({ until: instantSchema, thenTempC: z.number().min(0).max(45) })
    .nullable()
    .default(null),
  spot: spotSchema.optional(),
});

export const LOOKING_SCHOOL_IDS = ['weekly', 'fortnightly', 'three-to-four-weeks', 'hands-off'] as const;
export type LookingSchoolId = (typeof LOOKING_SCHOOL_IDS)[number];

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
  createdAt: instantSchema,
});

export type TubeHome = z.infer<typeof tubeSchema>;
export type Place = z.infer<typeof placeSchema>;
export type Queen = z.infer<typeof queenSchema>;
export type Spot = z.infer<typeof spotSchema>;

export const STOCK_KINDS = ['finished-tube', 'empty-tube', 'plug', 'barrier', 'food', 'other'] as const;

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
  /** Said to be low at this many or fewer. */
  lowAt: z.number().int().min(0).max(1000).default(0),
});

export const STOCK_WHYS = ['counted', 'made', 'bought', 'used', 'broken'] as const;

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
