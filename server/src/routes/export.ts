import { Readable } from 'node:stream';
import type { FastifyInstance } from 'fastify';
import { dayOf } from '@gentle-burrow/core/quantity';
import { withoutPlace } from '@gentle-burrow/core/records';
import { z } from 'zod';
import type { ZodTypeProvider } from 'fastify-type-provider-zod';
import type { Fact } from '../db/facts';
import type { Services } from '../services';
import { linesOf } from '../backup/write-archive';
import { zoneAsked, zoneOf } from '../zone';

/** The whole log as JSON Lines: one fact a line, in an order in which it can be read back. */
export async function exportRoutes(app: FastifyInstance, { store, now }: Services): Promise<void> {
  app.withTypeProvider<ZodTypeProvider>().get(
    '/export.jsonl',
    {
      schema: {
        tags: ['export'],
        summary: 'All facts, one JSON object a line; where queens were found is withheld unless places=exact',
        querystring: z.object({
          places: z.enum(['withheld', 'exact']).default('withheld'),
          readings: z.enum(['with', 'without']).default('with'),
          ...zoneAsked,
        }),
      },
    },
    async (request, reply) => {
      const told = (fact: Fact) => (request.query.places === 'exact' ? fact : withoutPlace(fact));
      async function* facts() {
        for await (const fact of store.allFacts()) {
          // they come last, and are most of it
          if (fact.fact === 'readings' && request.query.readings === 'without') return;
          yield told(fact);
        }
      }
      const day = dayOf(now().toISOString(), zoneOf(await store.settings(), request.query.zone));
      return reply
        .type('application/jsonl; charset=utf-8')
        .header('content-disposition', `attachment; filename="gentle-burrow-${day}.jsonl"`)
        .send(Readable.from(linesOf(facts())));
    },
  );
}
