import { errorSchema, measuredSchema, placeListSchema, settingsSchema } from '@gentle-burrow/contract';
import { idSchema, placeSchema } from '@gentle-burrow/core/facts';
import type { FastifyInstance } from 'fastify';
import type { ZodTypeProvider } from 'fastify-type-provider-zod';
import { z } from 'zod';
import type { Services } from '../services';
import { Refusal } from '../errors';

/** What the keeper has decided, and the places where tubes stand. */
export async function settingsRoutes(app: FastifyInstance, { store, views }: Services): Promise<void> {
  const api = app.withTypeProvider<ZodTypeProvider>();
  api.get('/settings', { schema: { tags: ['settings'], response: { 200: settingsSchema } } }, () =>
    store.settings(),
  );
  api.put(
    '/settings',
    {
      schema: {
        tags: ['settings'],
        body: settingsSchema,
        response: { 200: settingsSchema, 400: errorSchema },
      },
    },
    async (request) => {
      await store.write([{ fact: 'settings', value: request.body }]);
      return request.body;
    },
  );
  api.get('/places', { schema: { tags: ['places'], response: { 200: placeListSchema } } }, async () => ({
    places: await store.places(),
  }));
  api.get(
    '/places/:id/measured',
    {
      schema: {
        tags: ['places'],
        summary: 'What was measured there, as outlooks take it up; null where too little was',
        params: z.object({ id: idSchema }),
        response: { 200: measuredSchema },
      },
    },
    async ({ params: { id } }) => ({ record: (await views.measuredAt([id]))[0] ?? null }),
  );
  api.put(
    '/places/:id',
    {
      schema: {
        tags: ['places'],
        params: z.object({ id: idSchema }),
        body: placeSchema,
        response: { 200: placeSchema, 400: errorSchema },
      },
    },
    async (request) => {
      if (request.body.id !== request.params.id) {
        throw new Refusal('invalid', 'The id in the address and in the body are not the same.', 'id');
      }
      await store.write([{ fact: 'place', value: request.body }]);
      return request.body;
    },
  );
}
