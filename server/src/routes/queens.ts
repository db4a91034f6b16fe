import {
  errorSchema,
  newQueenSchema,
  queenDetailSchema,
  queenListSchema,
  queenPatchSchema,
  type QueenDetail,
} from '@gentle-burrow/contract';
import { idSchema, queenSchema, type Queen } from '@gentle-burrow/core/facts';
import type { FastifyInstance } from 'fastify';
import type { ZodTypeProvider } from 'fastify-type-provider-zod';
import { z } from 'zod';
import type { Services } from '../app';
import { Refusal } from '../errors';
import { refuseFuture } from './future';

export async function queensRoutes(app: FastifyInstance, { store, views, now }: Services): Promise<void> {
  const api = app.withTypeProvider<ZodTypeProvider>();
  const params = z.object({ id: idSchema });
  const tags = ['queens'];

  api.get('/queens', { schema: { tags, response: { 200: queenListSchema } } }, async () => ({
    queens: await store.queens(),
  }));

  api.post(
    '/queens',
    {
      schema: {
        tags,
        body: newQueenSchema,
        response: { 201: queenSchema, 400: errorSchema, 409: errorSchema },
      },
    },
    async (request, reply) => {
      const { queen, tube, place, intake, used = [] } = request.body;
      refuseFuture([intake], now());
      const [known] = await store.queenFacts([queen.id]);
      // sent again: the first telling stands, also if she has been renamed since
      if (known) return reply.code(201).send(known.queen);
      await store.write([
        { fact: 'place', value: place },
        { fact: 'home', value: tube },
        { fact: 'queen', value: queen },
        { fact: 'entry', value: intake },
        ...used.map((value) => ({ fact: 'stock-move' as const, value })),
      ]);
      return reply.code(201).send(queen);
    },
  );

  api.get(
    '/queens/:id',
    { schema: { tags, params, response: { 200: queenDetailSchema, 404: errorSchema } } },
    async (request): Promise<QueenDetail> => {
      const at = now().toISOString();
      const found = await views.queen(request.params.id, at);
      if (!found) throw new Refusal('no-such-queen');
      return { at, ...found.facts, view: found.view, learned: found.learned };
    },
  );

  api.patch(
    '/queens/:id',
    {
      schema: {
        tags,
        params,
        body: queenPatchSchema,
        response: { 200: queenSchema, 400: errorSchema, 404: errorSchema },
      },
    },
    async (request) => {
      const [found] = await store.queenFacts([request.params.id]);
      if (!found) throw new Refusal('no-such-queen');
      const patch = Object.fromEntries(Object.entries(request.body).filter(([, v]) => v !== undefined));
      const queen: Queen = { ...found.queen, ...patch };
      await store.write([{ fact: 'queen', value: queen }]);
      return queen;
    },
  );
}
