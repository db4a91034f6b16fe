import {
  errorSchema,
  learnedSchema,
  ownKindListSchema,
  speciesListSchema,
  speciesProfileSchema,
} from '@gentle-burrow/contract';
import { ownFaults, isKind, KIND_CARDS, profilesWith } from '@gentle-burrow/core/species/catalogue';
import { ownDocumentJsonSchema, ownKindSchema } from '@gentle-burrow/core/species/own';
import type { FastifyInstance } from 'fastify';
import type { ZodTypeProvider } from 'fastify-type-provider-zod';
import { z } from 'zod';
import type { Services } from '../services';
import { Refusal } from '../errors';

/** The catalogue, the keeper's own profiles beside it, and what the queens say of their kinds. */
export async function speciesRoutes(app: FastifyInstance, { store, views, now }: Services): Promise<void> {
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
        summary: 'Everything by which one kind is reckoned, of the catalogue or the keeper’s own',
        params: z.object({ id: z.string().max(100) }),
        response: { 200: speciesProfileSchema, 404: errorSchema },
      },
    },
    async ({ params: { id } }) => {
      const own = await store.ownKinds();
      if (!isKind(id) && !own.some((k) => k.id === id)) throw new Refusal('no-such-kind', undefined, 'id');
      return profilesWith(own)(id);
    },
  );
  api.get('/own-kinds', { schema: { tags, response: { 200: ownKindListSchema } } }, async () => ({
    kinds: await store.ownKinds(),
  }));
  api.put(
    '/own-kinds/:id',
    {
      schema: {
        tags,
        params: z.object({ id: ownKindSchema.shape.id }),
        body: ownKindSchema,
        response: { 200: ownKindSchema, 400: errorSchema, 422: errorSchema },
      },
    },
    async ({ body, params }) => {
      if (body.id !== params.id)
        throw new Refusal('invalid', 'The id in the address and in the body are not the same.', 'id');
      const [fault] = ownFaults(body, await store.ownKinds());
      if (fault) throw new Refusal('not-usable', fault.says, fault.at);
      await store.write([{ fact: 'own-kind', value: body }]);
      return body;
    },
  );
  api.get(
    '/own-kinds/schema.json',
    { schema: { tags, summary: 'JSON Schema of the document in which own profiles are taken along' } },
    async () => ownDocumentJsonSchema(),
  );
  api.get(
    '/learned',
    { schema: { tags, summary: 'What all queens say of their kinds', response: { 200: learnedSchema } } },
    async () => ({ learned: await views.lessonsOfAll(now().toISOString()) }),
  );
}
