import { z } from 'zod';
import { idSchema, instantSchema } from '../facts';
import type { Disturbance, References } from './kind';
import { KIND_NAMES, KINDS, type KindName } from './registry';

type SchemaOf<K extends KindName> = (typeof KINDS)[K]['schema'];
export type BodyOf<K extends KindName> = z.infer<SchemaOf<K>>;
/** What an entry says, without who it is about or when it was written. */
export type EntryBody = { [K in KindName]: BodyOf<K> }[KindName];

const head = {
  id: idSchema,
  queenId: idSchema,
  loggedAt: instantSchema,
  /** What the clock of the device showed, where that was known to be wrong and `at` is put right. */
  ownAt: instantSchema.optional(),
};
type Head = { id: string; queenId: string; loggedAt: string; ownAt?: string | undefined };

const listed = (names: readonly string[]): string =>
  `${names.slice(0, -1).join(', ')} or ${names[names.length - 1] ?? ''}`;
const unknownKind = (names: readonly string[]): string =>
  `The kind of entry is missing or unknown. Use ${listed(names)}.`;

type Option = z.ZodObject<{ kind: z.ZodLiteral<KindName> }>;
const schemas = KIND_NAMES.map((k): Option => KINDS[k].schema as unknown as Option);

export const entryBodySchema = z.discriminatedUnion('kind', schemas as [Option, ...Option[]], {
  error: unknownKind(KIND_NAMES),
}) as unknown as z.ZodType<EntryBody>;

/** Puts another entry right, or withdraws it when the replacement is null. The other entry stays as it was written. */
export const amendmentSchema = z.object({
  kind: z.literal('amendment'),
  ...head,
  at: instantSchema,
  amends: idSchema,
  /**
   * The amendment that held where this one was written, null when none did: two over the same did not know of one another.
   * Not said by older logs.
   */
  over: idSchema.nullable().optional(),
  replacement: entryBodySchema.nullable(),
});
export type Amendment = z.infer<typeof amendmentSchema>;
export type FactEntry = EntryBody & Head;
export type EntryOf<K extends KindName> = BodyOf<K> & Head;
export type Entry = FactEntry | Amendment;
export type EntryKind = Entry['kind'];

export const entrySchema = z.discriminatedUnion(
  'kind',
  [...schemas.map((s) => s.extend(head)), amendmentSchema] as unknown as [Option, ...Option[]],
  { error: unknownKind([...KIND_NAMES, 'amendment']) },
) as unknown as z.ZodType<Entry>;

/** What an entry does to her peace; null when nothing. */
export function disturbanceOf(body: EntryBody): Disturbance | null {
  return (KINDS[body.kind].disturbs as (b: EntryBody) => Disturbance | null)(body);
}

/** What an entry names besides the queen; of an amendment, what its replacement names. */
export function referencesOf(entry: Entry | EntryBody): References {
  const body = entry.kind === 'amendment' ? entry.replacement : entry;
  return body ? (KINDS[body.kind].refersTo as (b: EntryBody) => References)(body) : {};
}
