import { dayOf } from '@gentle-burrow/core/quantity';
import { captureRecords, DARWIN_CORE_TERMS, PLACE_CHOICES } from '@gentle-burrow/core/records';
import { profilesWith } from '@gentle-burrow/core/species/catalogue';
import type { FastifyInstance } from 'fastify';
import type { ZodTypeProvider } from 'fastify-type-provider-zod';
import { z } from 'zod';
import type { Services } from '../services';
import { csvOf, figure } from '../csv';
import { zoneAsked, zoneOf } from '../zone';

/** The captures as Darwin Core occurrences, CSV after RFC 4180. Places are withheld unless they are asked for. */
export async function capturesRoutes(app: FastifyInstance, { store, now }: Services): Promise<void> {
  app.withTypeProvider<ZodTypeProvider>().get(
    '/captures.csv',
    {
      schema: {
        tags: ['export'],
        summary: 'Captures as Darwin Core occurrences',
        querystring: z.object({ places: z.enum(PLACE_CHOICES).default('withheld'), ...zoneAsked }),
      },
    },
    async (request, reply) => {
      const zone = zoneOf(await store.settings(), request.query.zone);
      const facts = await store.queenFacts((await store.shownQueens()).map((q) => q.id));
      const records = captureRecords(facts, profilesWith(await store.ownKinds()), request.query.places, zone);
      const day = dayOf(now().toISOString(), zone);
      return reply
        .type('text/csv; charset=utf-8')
        .header('content-disposition', `attachment; filename="captures-${day}.csv"`)
        .send(
          csvOf(
            DARWIN_CORE_TERMS,
            records.map((r) => Object.fromEntries(Object.entries(r).map(([k, v]) => [k, figure(v)]))),
          ),
        );
    },
  );
}
