import { shelfSchema } from '@gentle-burrow/contract';
import type { FastifyInstance } from 'fastify';
import type { ZodTypeProvider } from 'fastify-type-provider-zod';
import type { Services } from '../services';

export async function shelfRoutes(app: FastifyInstance, { views, now }: Services): Promise<void> {
  app
    .withTypeProvider<ZodTypeProvider>()
    .get(
      '/shelf',
      { schema: { tags: ['shelf'], response: { 200: shelfSchema } } },
      async (_request, reply) => {
        const text = await views.shelf(now().toISOString());
        // already JSON of the shape above (a test holds it to the schema): not parsed and written once more
        return reply
          .serializer((payload: unknown) => payload as string)
          .type('application/json; charset=utf-8')
          .send(text as never);
      },
    );
}
