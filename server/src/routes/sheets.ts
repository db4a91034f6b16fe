import { dayOf, type Zone } from '@gentle-burrow/core/quantity';
import { withoutPlace } from '@gentle-burrow/core/records';
import { headsOf, logRows, stockRows, type SheetKind, type SheetRow } from '@gentle-burrow/core/sheets';
import { profilesWith } from '@gentle-burrow/core/species/catalogue';
import { stockLevels } from '@gentle-burrow/core/stock';
import type { FastifyInstance, FastifyReply } from 'fastify';
import type { ZodTypeProvider } from 'fastify-type-provider-zod';
import { z } from 'zod';
import type { Services } from '../services';
import { csvOf } from '../csv';
import { zoneAsked, zoneOf } from '../zone';

/** The log and the stock for a spreadsheet, CSV after RFC 4180. */
export async function sheetsRoutes(app: FastifyInstance, { store, now }: Services): Promise<void> {
  const api = app.withTypeProvider<ZodTypeProvider>();
  const tags = ['export'];
  function send(reply: FastifyReply, kind: SheetKind, rows: SheetRow[], zone: Zone) {
    const day = dayOf(now().toISOString(), zone);
    return reply
      .type('text/csv; charset=utf-8')
      .header('content-disposition', `attachment; filename="${kind}-${day}.csv"`)
      .send(csvOf(headsOf(kind), rows) as never);
  }

  api.get(
    '/log.csv',
    {
      schema: {
        tags,
        summary:
          'The log as it holds now, a row an entry; where queens were found is withheld unless places=exact',
        querystring: z.object({
          places: z.enum(['withheld', 'exact']).default('withheld'),
          ...zoneAsked,
        }),
      },
    },
    async (request, reply) => {
      const facts = await store.queenFacts((await store.shownQueens()).map((q) => q.id));
      const told = facts.map((f) => ({
        ...f,
        entries:
          request.query.places === 'exact'
            ? f.entries
            : f.entries.flatMap((value) => {
                const bare = withoutPlace({ fact: 'entry', value });
                return bare.fact === 'entry' ? [bare.value] : [];
              }),
      }));
      const zone = zoneOf(await store.settings(), request.query.zone);
      return send(reply, 'log', logRows(told, profilesWith(await store.ownKinds()), zone), zone);
    },
  );
  api.get(
    '/stock.csv',
    {
      schema: {
        tags,
        summary: 'What is in stock, a row a thing',
        querystring: z.object(zoneAsked),
      },
    },
    async (request, reply) => {
      const { items, moves } = await store.stock();
      const zone = zoneOf(await store.settings(), request.query.zone);
      return send(reply, 'stock', stockRows(stockLevels(items, moves)), zone);
    },
  );
}
