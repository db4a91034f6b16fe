import { z } from 'zod';
import { idSchema, instantSchema } from './common';
import { HEAT_SOURCES } from './vocabulary';

const mmFrom = z
  .number({ error: 'The distance is not a number. Give it in mm.' })
  .min(0, 'The distance is below 0 mm.')
  .max(5000, 'The distance is above 5 m: then it does not heat her. Choose “none”.');

/** What a spot is like beside its middle temperature; what is not known is left out. */
export const spotSchema = z.object({
  /** Coldest and warmest of a usual day, °C. */
  dayLowC: z.number().min(-10).max(50).optional(),
  dayHighC: z.number().min(-10).max(60).optional(),
  light: z.enum(['dark', 'dim', 'daylight', 'sun']).optional(),
  vibration: z.enum(['none', 'some', 'strong']).optional(),
  airConditioning: z.enum(['none', 'in the room', 'blows on it']).optional(),
  /** False: nobody has measured, and the middle temperature is what rooms usually have. */
  measured: z.boolean().optional(),
  /** The thermometer was checked against another or in melting ice: its reading is trusted. */
  thermometerChecked: z.boolean().optional(),
  heat: z
    .object({
      source: z.enum(HEAT_SOURCES),
      /** Not said by whoever has not measured it. */
      distanceMm: mmFrom.optional(),
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

export type Place = z.infer<typeof placeSchema>;
export type Spot = z.infer<typeof spotSchema>;
