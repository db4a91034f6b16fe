import { Readable } from 'node:stream';
import { setImmediate as breathe } from 'node:timers/promises';
import type { FastifyInstance } from 'fastify';
import type { Entry } from '@gentle-burrow/core/log';
import { dayOf } from '@gentle-burrow/core/quantity';
import { z } from 'zod';
import type { ZodTypeProvider } from 'fastify-type-provider-zod';
import type { Fact } from '../db/facts';
import type { Services } from '../app';
import { zoneOf } from '../zone';

/** So long it goes on before others have their turn. */
const AT_A_TIME_MS = 15;

/** The whole log as JSON Lines: one fact a line, in an order in which it can be read back. */
export async function exportRoutes(app: FastifyInstance, { store, now }: Services): Promise<void> {
  app.withTypeProvider<ZodTypeProvider>().get(
    '/export.jsonl',
    {
      schema: {
        tags: ['export'],
        summary: 'All facts, one JSON object a line; where queens were found is withheld unless places=exact',
        querystring: z.object({ places: z.enum(['withheld', 'exact']).default('withheld') }),
      },
    },
    async (request, reply) => {
      const told = (fact: Fact) => (request.query.places === 'exact' ? fact : withoutPlace(fact));
      async function* lines() {
        let since = performance.now();
        for await (const fact of store.allFacts()) {
          yield `${JSON.stringify(told(fact))}\n`;
          if (performance.now() - since < AT_A_TIME_MS) continue;
          // others are answered meanwhile
          await breathe();
          since = performance.now();
        }
      }
      const day = dayOf(now().toISOString(), zoneOf(await store.settings()));
      return reply
        .type('application/jsonl; charset=utf-8')
        .header('content-disposition', `attachment; filename="gentle-burrow-${day}.jsonl"`)
        .send(Readable.from(lines()));
    },
  );
}

/** An intake without where she was found: the keeper decides whether that leaves the house. */
function withoutPlace(fact: Fact): Fact {
  if (fact.fact !== 'entry') return fact;
  const e = fact.value;
  if (e.kind === 'amendment' && e.replacement?.kind === 'intake')
    return { fact: 'entry', value: { ...e, replacement: bare(e.replacement) } };
  return e.kind === 'intake' ? { fact: 'entry', value: bare(e) } : fact;
}

function bare<T extends Pick<Extract<Entry, { kind: 'intake' }>, 'where' | 'coordinates'>>(intake: T): T {
  const { where: _where, coordinates: _coordinates, ...rest } = intake;
  return rest as T;
}
