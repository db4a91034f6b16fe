import { speciesListSchema } from '@gentle-burrow/contract';
import type { FastifyInstance } from 'fastify';
import type { ZodTypeProvider } from 'fastify-type-provider-zod';
import type { Services } from '../app';

export async function speciesRoutes(app: FastifyInstance, { store }: Services): Promise<void> {
  app
    .withTypeProvider<ZodTypeProvider>()
    .get('/species', { schema: { tags: ['species'], response: { 200: speciesListSchema } } }, async () => ({
      species: await store.species(),
    }));
}
