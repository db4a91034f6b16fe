import { Readable } from 'node:stream';
import type { FastifyInstance } from 'fastify';
import type { Services } from '../app';

/** The whole log as JSON Lines: one fact a line, in an order in which it can be read back. */
export async function exportRoutes(app: FastifyInstance, { store, now }: Services): Promise<void> {
  app.get(
    '/export.jsonl',
    { schema: { tags: ['export'], summary: 'All facts, one JSON object a line' } },
    (_, reply) => {
      async function* lines() {
        for await (const fact of store.allFacts()) yield `${JSON.stringify(fact)}\n`;
      }
      const day = now().toISOString().slice(0, 10);
      return reply
        .type('application/jsonl; charset=utf-8')
        .header('content-disposition', `attachment; filename="gentle-burrow-${day}.jsonl"`)
        .send(Readable.from(lines()));
    },
  );
}
