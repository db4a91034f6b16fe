import { z } from 'zod';
import { FIGURE_UNITS, OWN_FIGURE_IDS, type OwnFigureId } from './figures';
import { FIGURE_VALUES } from './figure-schemas';
import { ownKindSchema, type OwnKind } from './own-kind';

export const OWN_FORMAT = 'gentle-burrow-kinds';
export const OWN_VERSION = 1;

/** How a figure stands in a document: with its unit, so that it can be read without this application. */
const figureSchema = (id: OwnFigureId) => {
  const unit = FIGURE_UNITS[id];
  return z.strictObject({
    value: FIGURE_VALUES[id],
    ...(unit === null ? {} : { unit: z.literal(unit) }),
    source: z.string().min(1).max(200).describe('Who says so'),
  });
};

/** Own profiles to take along or to give away: an open document. */
const ownDocumentSchema = z.strictObject({
  format: z.literal(OWN_FORMAT),
  version: z.literal(OWN_VERSION),
  kinds: z.array(
    z.strictObject({
      id: ownKindSchema.shape.id,
      name: ownKindSchema.shape.name,
      copiedOf: ownKindSchema.shape.copiedOf.describe('Id of the kind that fills what is not said here'),
      copiedName: ownKindSchema.shape.copiedName.describe('Its scientific name'),
      figures: z.strictObject(
        Object.fromEntries(OWN_FIGURE_IDS.map((id) => [id, figureSchema(id).optional()])),
      ),
      changedAt: ownKindSchema.shape.changedAt,
    }),
  ),
});
type OwnDocument = z.infer<typeof ownDocumentSchema>;

/** The published schema of the document (JSON Schema, draft 2020-12). */
export const ownDocumentJsonSchema = (): object =>
  z.toJSONSchema(ownDocumentSchema, { target: 'draft-2020-12', unrepresentable: 'any' });

/** Own profiles as a document. Whose queens a figure was taken from stands in its source alone: to whoever reads it in they are not their own. */
export function ownDocument(kinds: readonly OwnKind[]): OwnDocument {
  return {
    format: OWN_FORMAT,
    version: OWN_VERSION,
    kinds: kinds.map(({ id, name, copiedOf, copiedName, figures, changedAt }) => ({
      ...{ id, name, copiedOf, copiedName, changedAt },
      figures: Object.fromEntries(
        OWN_FIGURE_IDS.flatMap((f) => {
          const own = figures[f];
          const unit = FIGURE_UNITS[f];
          return own
            ? [
                [
                  f,
                  {
                    value: own.value,
                    ...(unit ? { unit } : {}),
                    source: own.says,
                  },
                ],
              ]
            : [];
        }),
      ) as OwnDocument['kinds'][number]['figures'],
    })),
  };
}

/** What a document came to: profiles that can be used, and a sentence for each thing that cannot. */
export interface ReadDocument {
  kinds: OwnKind[];
  faults: string[];
}

const NONE = (fault: string): ReadDocument => ({ kinds: [], faults: [fault] });

/** Reads a document of own profiles. What can be read of it is; of the rest it says why not, and how to mend it. */
export function readOwnDocument(text: string): ReadDocument {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    return NONE('This file is not JSON. Was it cut off, or is it another file?');
  }
  const head = z.object({ format: z.literal(OWN_FORMAT), version: z.number() }).safeParse(value);
  if (!head.success)
    return NONE('This is no file of profiles from here. Choose one that was saved with “Take it with you”.');
  if (head.data.version > OWN_VERSION)
    return NONE(
      `This file is of version ${head.data.version}, and this application reads up to ${OWN_VERSION}. Bring the application up to date, or ask for the file in the older form.`,
    );
  const list = z.object({ kinds: z.array(z.unknown()) }).safeParse(value);
  if (!list.success) return NONE('There is no list of profiles in this file: “kinds” is missing.');
  const read = list.data.kinds.map((k, i) => readKind(k, i));
  return { kinds: read.flatMap((r) => r.kinds), faults: read.flatMap((r) => r.faults) };
}

const kindSchema = ownDocumentSchema.shape.kinds.element;

function readKind(value: unknown, i: number): ReadDocument {
  const named = z.object({ name: z.string().min(1) }).safeParse(value);
  const who = named.success ? `“${named.data.name}”` : `Profile ${i + 1}`;
  const read = kindSchema.safeParse(value);
  if (read.success) {
    const { figures, ...rest } = read.data;
    const mine = Object.fromEntries(
      Object.entries(figures).flatMap(([id, f]) => (f ? [[id, { value: f.value, says: f.source }]] : [])),
    );
    return { kinds: [{ ...rest, figures: mine as OwnKind['figures'] }], faults: [] };
  }
  return { kinds: [], faults: [...new Set(read.error.issues.map((issue) => `${who}: ${faultOf(issue)}`))] };
}

/** What is wrong with one part of a profile, in words. */
function faultOf({ path, message, code, ...issue }: z.core.$ZodIssue): string {
  const [part, id, field] = path as [string?, OwnFigureId?, string?];
  if (code === 'unrecognized_keys') {
    const keys = (issue as { keys?: string[] }).keys?.join(', ') ?? '';
    return `“${keys}” is not known here. Is the file from a newer version? Leave it out, or bring the application up to date.`;
  }
  if (part !== 'figures' || !id)
    return `“${path.join('.') || 'it'}” cannot be read (${message}). Put it right in the file, and read it in again.`;
  const unit = FIGURE_UNITS[id];
  if (field === 'unit') return `${id} has no unit, or another one. It is counted in “${unit}”.`;
  if (field === 'source') return `${id} has no source. Say who says so.`;
  return `${id}: ${message}`;
}
