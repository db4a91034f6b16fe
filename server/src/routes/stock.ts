import { errorSchema, stockSchema } from '@gentle-burrow/contract';
import { idSchema, stockItemSchema, stockMoveSchema } from '@gentle-burrow/core/facts';
import { usedParts } from '@gentle-burrow/core/housing';
import { caughtOutdoors } from '@gentle-burrow/core/records';
import { stockLevels, tubesToMake } from '@gentle-burrow/core/stock';
import type { FastifyInstance } from 'fastify';
import type { ZodTypeProvider } from 'fastify-type-provider-zod';
import { z } from 'zod';
import type { Services } from '../services';
import { Refusal } from '../errors';

/** What is kept ready: things, their changes, and what to make before the flights. */
export async function stockRoutes(app: FastifyInstance, { store, now }: Services): Promise<void> {
  const api = app.withTypeProvider<ZodTypeProvider>();
  const tags = ['stock'];
  api.get('/stock', { schema: { tags, response: { 200: stockSchema } } }, async () => {
    const { items, moves } = await store.stock();
    const levels = stockLevels(items, moves);
    const ready = levels
      .filter((l) => l.item.kind === 'finished-tube')
      .reduce((sum, l) => sum + Math.max(0, l.count), 0);
    const catches = (await store.intakes()).filter((i) => caughtOutdoors(i.found)).map((i) => i.at);
    const { hemisphere } = await store.settings();
    const at = now().toISOString();
    const used = usedParts(await store.withUsedParts(at), at);
    return { levels, used, plan: tubesToMake(catches, ready, at, hemisphere) };
  });
  api.put(
    '/stock/items/:id',
    {
      schema: {
        tags,
        params: z.object({ id: idSchema }),
        body: stockItemSchema,
        response: { 200: stockItemSchema, 400: errorSchema },
      },
    },
    async (request) => {
      if (request.body.id !== request.params.id) {
        throw new Refusal('invalid', 'The id in the address and in the body are not the same.', 'id');
      }
      await store.write([{ fact: 'stock-item', value: request.body }]);
      return request.body;
    },
  );
  api.post(
    '/stock/moves',
    {
      schema: {
        tags,
        body: stockMoveSchema,
        response: { 201: stockMoveSchema, 400: errorSchema, 404: errorSchema },
      },
    },
    async (request, reply) => {
      await store.write([{ fact: 'stock-move', value: request.body }]);
      return reply.code(201).send(request.body);
    },
  );
}
