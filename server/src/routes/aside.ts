import { setAsideListSchema } from '@gentle-burrow/contract';
import type { FastifyInstance } from 'fastify';
import type { ZodTypeProvider } from 'fastify-type-provider-zod';
import type { Services } from '../services';

/** What could not be used at a start and was set aside. */
export async function asideRoutes(app: FastifyInstance, { store }: Services): Promise<void> {
  app.withTypeProvider<ZodTypeProvider>().get(
    '/set-aside',
    {
      schema: {
        tags: ['export'],
        summary: 'What could not be used at a start and was set aside, never deleted; the newest first',
        response: { 200: setAsideListSchema },
      },
    },
    async () => ({ setAside: store.setAside() }),
  );
}
