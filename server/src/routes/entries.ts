import { appendedSchema, appendSchema, entriesSchema, errorSchema } from '@gentle-burrow/contract';
import { idSchema } from '@gentle-burrow/core/facts';
import type { FastifyInstance } from 'fastify';
import type { ZodTypeProvider } from 'fastify-type-provider-zod';
import { z } from 'zod';
import type { Services } from '../services';
import { Refusal } from '../errors';
import { refuseFuture } from './future';
import { refuseHalf } from './twins';

/** The log: entries are added, one or many, and never changed. */
export async function entriesRoutes(app: FastifyInstance, { store, now }: Services): Promise<void> {
  const api = app.withTypeProvider<ZodTypeProvider>();
  const tags = ['entries'];
  api.post(
    '/entries',
    {
      schema: {
        tags,
        body: appendSchema,
        response: {
          200: appendedSchema,
          400: errorSchema,
          404: errorSchema,
          409: errorSchema,
          422: errorSchema,
        },
      },
    },
    async (request) => {
      const entries = 'entries' in request.body ? request.body.entries : [request.body];
      refuseFuture(entries, now());
      await refuseHalf(entries, store);
      return store.write(entries.map((value) => ({ fact: 'entry' as const, value })));
    },
  );
  api.get(
    '/queens/:id/entries',
    {
      schema: {
        tags,
        params: z.object({ id: idSchema }),
        response: { 200: entriesSchema, 404: errorSchema },
      },
    },
    async (request) => {
      const { id } = request.params;
      if ((await store.queenFacts([id])).length === 0) throw new Refusal('no-such-queen');
      return { entries: (await store.entriesOf([id])).get(id) ?? [] };
    },
  );
}
