import { errorSchema, speciesListSchema, speciesProfileSchema } from '@gentle-burrow/contract';
import { isKind, KIND_CARDS, speciesProfile } from '@gentle-burrow/core/species/catalogue';
import type { FastifyInstance } from 'fastify';
import type { ZodTypeProvider } from 'fastify-type-provider-zod';
import { z } from 'zod';
import { Refusal } from '../errors';

/** The catalogue: of all kinds what a list needs, of one everything by which she is reckoned. */
export async function speciesRoutes(app: FastifyInstance): Promise<void> {
  const api = app.withTypeProvider<ZodTypeProvider>();
  const tags = ['species'];
  api.get('/species', { schema: { tags, response: { 200: speciesListSchema } } }, async () => ({
    species: [...KIND_CARDS],
  }));
  api.get(
    '/species/:id',
    {
      schema: {
        tags,
        params: z.object({ id: z.string().max(100) }),
        response: { 200: speciesProfileSchema, 404: errorSchema },
      },
    },
    async ({ params: { id } }) => {
      if (!isKind(id)) throw new Refusal('no-such-kind', undefined, 'id');
      return speciesProfile(id);
    },
  );
}
