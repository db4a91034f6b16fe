import { errorSchema } from '@gentle-burrow/contract';
import { idSchema } from '@gentle-burrow/core/facts';
import { ledger } from '@gentle-burrow/core/founding';
import { partAt } from '@gentle-burrow/core/housing';
import { LABEL_SHEETS, lookAddress, placeLabels, type LabelSheet } from '@gentle-burrow/core/labels';
import { dayOf, type Zone } from '@gentle-burrow/core/quantity';
import { profilesWith, type ProfileOf } from '@gentle-burrow/core/species/catalogue';
import type { QueenFacts } from '@gentle-burrow/core/view';
import type { FastifyInstance } from 'fastify';
import type { ZodTypeProvider } from 'fastify-type-provider-zod';
import { z } from 'zod';
import type { Services } from '../services';
import { Refusal } from '../errors';
import type { LabelText } from '../labels/design';
import { breathe } from '../unhurried';
import { zoneAsked, zoneOf } from '../zone';

const MOST = 500;
/** So many are read at once. */
const AT_ONCE = 20;
/** What a label says comes from these: her letter, her species, her day and the part that she lives in. */
const TOLD_ON_LABELS = ['intake', 'identify', 'correct', 'home'] as const;

const asked = z.object({
  queens: z
    .string()
    .transform((text) => text.split(','))
    .pipe(
      z
        .array(idSchema)
        .min(1, 'No queen is chosen. Choose at least one.')
        .max(MOST, `More than ${MOST} labels at once. Print them in parts.`),
    ),
  sheet: z.enum(LABEL_SHEETS.map((s) => s.id)),
  /** Labels of the first sheet that are used already. */
  skip: z.coerce.number().int().min(0).max(200).default(0),
  /** The address at which the application is reached from the telephone that scans. */
  origin: z
    .url({ protocol: /^https?$/, error: 'The address must begin with http:// or https://.' })
    .max(120, 'The address is too long for a small code.'),
  ...zoneAsked,
});
type LabelsAsked = z.infer<typeof asked>;

/** Labels with letter, species, day and a code that opens the queen's look, as PDF and as SVG. */
export async function labelsRoutes(app: FastifyInstance, { store, printer, now }: Services): Promise<void> {
  const api = app.withTypeProvider<ZodTypeProvider>();
  const tags = ['labels'];
  async function texts({ queens: ids, origin, zone: asked }: LabelsAsked): Promise<LabelText[]> {
    const zone = zoneOf(await store.settings(), asked);
    const profileOf = profilesWith(await store.ownKinds());
    const at = now().toISOString();
    const labels: LabelText[] = [];
    for (let i = 0; i < ids.length; i += AT_ONCE) {
      const facts = await store.queenFacts(ids.slice(i, i + AT_ONCE), { kinds: TOLD_ON_LABELS });
      labels.push(...facts.map((f) => labelOf(f, at, zone, profileOf, lookAddress(origin, f.queen.id))));
      // others are answered meanwhile
      await breathe();
    }
    if (labels.length < ids.length) throw new Refusal('no-such-queen', undefined, 'queens');
    return labels;
  }

  api.get(
    '/labels.pdf',
    {
      schema: {
        tags,
        summary: 'Labels as PDF, in real size',
        querystring: asked,
        response: { 404: errorSchema },
      },
    },
    async (request, reply) => {
      const { sheet, skip } = request.query;
      printer.ready();
      const labels = await texts(request.query);
      fits(sheet, labels.length, skip);
      const bytes = await printer.print({ as: 'pdf', sheet, labels, skip, page: 0 });
      return reply
        .type('application/pdf')
        .header('content-disposition', 'inline; filename="labels.pdf"')
        .send(Buffer.from(bytes) as never);
    },
  );
  api.get(
    '/labels.svg',
    {
      schema: {
        tags,
        summary: 'One sheet of labels as SVG, in real size',
        querystring: asked.extend({ page: z.coerce.number().int().min(0).max(50).default(0) }),
        response: { 404: errorSchema },
      },
    },
    async (request, reply) => {
      const { sheet, skip, page } = request.query;
      const labels = await texts(request.query);
      fits(sheet, labels.length, skip);
      const svg = await printer.print({ as: 'svg', sheet, labels, skip, page });
      return reply.type('image/svg+xml; charset=utf-8').send(Buffer.from(svg) as never);
    },
  );
}

/** @throws InputError when more are left out than the sheet has */
function fits(sheet: string, n: number, skip: number): void {
  placeLabels(LABEL_SHEETS.find((s) => s.id === sheet) as LabelSheet, n, skip);
}

function labelOf(
  { queen, home, entries }: QueenFacts,
  now: string,
  zone: Zone,
  profileOf: ProfileOf,
  address: string,
): LabelText {
  const known = ledger(
    entries.filter((e) => e.kind === 'intake' || e.kind === 'identify' || e.kind === 'amendment'),
    now,
  )[queen.id];
  const species = known?.species ? profileOf(known.species.profileId) : null;
  return {
    letter: queen.label,
    species: species?.name ?? 'Unknown',
    day: dayOf(known?.intake?.at ?? queen.createdAt, zone),
    batch: queen.batch,
    home: partAt({ home, entries }, now),
    address,
  };
}
