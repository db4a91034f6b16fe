import { z } from 'zod';
import { OWN_FIGURE_IDS, type KindFigures, type OwnFigureId } from './figures';
import { FIGURE_VALUES } from './figure-schemas';

/** A figure as a keeper gives it: never without somebody who says so. */
interface OwnFigure<T> {
  value: T;
  says: string;
  /** Taken from so many of the keeper's queens: what they teach is not counted a second time. */
  queens?: number;
}
export type OwnFigures = { [K in OwnFigureId]?: OwnFigure<KindFigures[K]> };

const figure = <T extends z.ZodType>(value: T) =>
  z.object({
    value,
    says: z
      .string({ error: 'Nobody says so. Name who does: your own queens, another keeper, a book.' })
      .trim()
      .min(1, 'Say who says so: your own queens, another keeper, a book.')
      .max(200, 'Keep who says so to 200 letters.'),
    queens: z.number().int().min(1).optional(),
  });

const ownFiguresSchema = z.strictObject(
  Object.fromEntries(OWN_FIGURE_IDS.map((id) => [id, figure(FIGURE_VALUES[id]).optional()])),
) as unknown as z.ZodType<OwnFigures>;

/**
 * A profile of the keeper's own: a copy of one of the catalogue with some figures changed. What it does not say follows the
 * kind that was copied, also when that is brought up to date; what it says is never written over.
 */
export const ownKindSchema = z.object({
  id: z.uuid('Its id is none. Leave the line out of the file, and it gets one.'),
  name: z.string().trim().min(1, 'Give it a name.').max(80, 'Keep its name to 80 letters.'),
  /** Of the catalogue. */
  copiedOf: z.string().min(1).max(100),
  /** The scientific name of that, for whoever reads it without the catalogue. */
  copiedName: z.string().max(120),
  figures: ownFiguresSchema,
  changedAt: z.iso.datetime({ offset: true }),
  /** Put away: not offered any more, but reckoned with where a queen has it. */
  retired: z.literal(true).optional(),
});
export type OwnKind = z.infer<typeof ownKindSchema>;
