import { healthSchema } from '@gentle-burrow/contract';
import type { FastifyInstance } from 'fastify';
import type { ZodTypeProvider } from 'fastify-type-provider-zod';
import type { Services } from '../services';
import { DATA_FORMAT } from '../db/data-dir';

export async function healthRoutes(app: FastifyInstance, { store, version, now }: Services): Promise<void> {
  app
    .withTypeProvider<ZodTypeProvider>()
    .get('/health', { schema: { tags: ['health'], response: { 200: healthSchema } } }, async () => ({
      ok: true as const,
      name: 'gentle-burrow' as const,
      version,
      storage: store.kind,
      dataFormat: DATA_FORMAT,
      now: now().toISOString(),
    }));
}
