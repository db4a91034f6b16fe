import {
  countSchema,
  FOUND_HOW,
  idSchema,
  placeSchema,
  queenSchema,
  tubeSchema,
  type Count,
  type Entry,
  type Place,
} from '@gentle-burrow/core';
import type { NewQueen } from '@gentle-burrow/contract';
import { v7 } from 'uuid';
import { z } from 'zod';
import { dayInput } from '@/ui/dates';

const mm = tubeSchema.shape;

/** What the three steps ask for. Lengths in mm and temperatures in °C, whatever the keeper's units. */
export const queenFormSchema = z
  .object({
    found: z.enum(FOUND_HOW, { error: 'Say how she came to you; “not known” is an answer too.' }),
    day: z
      .string()
      .regex(/^\d{4}-\d{2}-\d{2}$/, 'The day is not complete. Choose day, month and year.')
      .refine((d) => d <= dayInput(new Date()), 'That day is still to come. Choose today or an earlier day.'),
    where: z.string().trim().max(200, 'The place is too long. Shorten it.'),
    label: queenSchema.shape.label,
    batch: z.string().trim().max(60, 'The batch is too long. Shorten it.'),
    broodWithHer: z.object({
      eggs: countSchema.nullable(),
      larvae: countSchema.nullable(),
      pupae: countSchema.nullable(),
      workers: countSchema.nullable(),
    }),
    profileId: z.string().min(1, 'Choose a species, or one of the two unknowns.'),
    sure: z.enum(['certain', 'likely', 'guess']),
    namedBy: z.string().trim().max(120, 'The name is too long. Shorten it.'),
    wings: z.enum(['winged', 'dealate', 'unknown']),
    outsideMm: mm.outsideMm,
    boreMm: mm.boreMm,
    lengthMm: mm.lengthMm,
    end: mm.end,
    waterLineMm: mm.waterLineMm,
    innerMm: mm.plugs.shape.innerMm,
    outerMm: mm.plugs.shape.outerMm,
    /** Empty for a new place. */
    placeId: z.union([z.literal(''), idSchema]),
    placeName: z.string(),
    tempC: placeSchema.shape.tempC,
    roomRelHumidity: placeSchema.shape.roomRelHumidity,
  })
  .superRefine((f, ctx) => {
    const tube = tubeSchema.safeParse(tubeOf(f, v7(), new Date().toISOString()));
    for (const issue of tube.error?.issues ?? []) {
      ctx.addIssue({
        code: 'custom',
        path: [issue.path[issue.path.length - 1] ?? 'waterLineMm'],
        message: issue.message,
      });
    }
    if (f.placeId === '' && f.placeName.trim() === '') {
      ctx.addIssue({
        code: 'custom',
        path: ['placeName'],
        message: 'Give the place a name, like “drawer under the window”.',
      });
    }
  });

export type QueenForm = z.infer<typeof queenFormSchema>;

/** Which fields each step asks for, so that a step is checked before the next. */
export const STEP_FIELDS: (keyof QueenForm)[][] = [
  ['found', 'day', 'where', 'label', 'batch', 'broodWithHer'],
  ['profileId', 'sure', 'namedBy', 'wings'],
  [
    'outsideMm',
    'boreMm',
    'lengthMm',
    'end',
    'waterLineMm',
    'innerMm',
    'outerMm',
    'placeId',
    'placeName',
    'tempC',
    'roomRelHumidity',
  ],
];

type TubeFields = Pick<
  QueenForm,
  'outsideMm' | 'boreMm' | 'lengthMm' | 'end' | 'waterLineMm' | 'innerMm' | 'outerMm'
>;

export function tubeOf(f: TubeFields, id: string, setUpAt: string) {
  return {
    id,
    kind: 'tube' as const,
    outsideMm: f.outsideMm,
    boreMm: f.boreMm,
    lengthMm: f.lengthMm,
    end: f.end,
    waterLineMm: f.waterLineMm,
    plugs: { innerMm: f.innerMm, outerMm: f.outerMm },
    setUpAt,
  };
}

/** Brood or workers may come with a queen that was not caught alone. */
export const comesWithBrood = (found: QueenForm['found'] | undefined): boolean =>
  found !== undefined && !['walking', 'digging', 'in-water'].includes(found);

/** Facts from a checked form: ids are made here, so that sending it twice is harmless. */
export function newQueenOf(form: QueenForm, places: readonly Place[], now = new Date()): NewQueen {
  const at = form.day === dayInput(now) ? now.toISOString() : new Date(`${form.day}T12:00:00`).toISOString();
  const queenId = v7();
  const tube = tubeOf(form, v7(), at);
  const place: Place = places.find((p) => p.id === form.placeId) ?? {
    id: v7(),
    name: form.placeName.trim(),
    tempC: form.tempC,
    roomRelHumidity: form.roomRelHumidity,
    winter: null,
  };
  const brood = comesWithBrood(form.found) ? form.broodWithHer : null;
  const counts = Object.fromEntries(
    Object.entries(brood ?? {}).flatMap(([k, c]: [string, Count | null]) => (c ? [[k, c]] : [])),
  );
  const intake: Extract<Entry, { kind: 'intake' }> = {
    kind: 'intake',
    id: v7(),
    queenId,
    at,
    loggedAt: now.toISOString(),
    found: form.found,
    ...(form.where ? { where: form.where } : {}),
    wings: form.wings,
    species: {
      profileId: form.profileId,
      sure: form.sure,
      ...(form.namedBy ? { namedBy: form.namedBy } : {}),
    },
    ...counts,
  };
  return {
    queen: {
      id: queenId,
      label: form.label.trim(),
      batch: form.batch,
      homeId: tube.id,
      placeId: place.id,
      lookingSchool: null,
      createdAt: now.toISOString(),
    },
    tube,
    place,
    intake,
  };
}

/** The next letter or number that is free: A, B … Z, A2 … */
export function nextLabel(taken: readonly string[]): string {
  const used = new Set(taken.map((t) => t.toUpperCase()));
  for (let round = 1; ; round++) {
    for (let c = 65; c <= 90; c++) {
      const label = String.fromCharCode(c) + (round === 1 ? '' : String(round));
      if (!used.has(label)) return label;
    }
  }
}
