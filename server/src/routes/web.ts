import { existsSync } from 'node:fs';
import { join } from 'node:path';
import fastifyStatic from '@fastify/static';
import type { FastifyInstance } from 'fastify';
import fp from 'fastify-plugin';
import { Refusal } from '../errors';

/** Serves the built application; every page address that is not a file gets its first page. */
export const webRoutes = fp(async function webRoutes(
  app: FastifyInstance,
  { webRoot }: { webRoot?: string | undefined },
) {
  const there = webRoot !== undefined && existsSync(join(webRoot, 'index.html'));
  if (there) {
    await app.register(fastifyStatic, {
      root: webRoot,
      wildcard: true,
      cacheControl: false,
      setHeaders(reply, file) {
        const immutable = /\/(_expo\/static|assets)\//.test(file);
        reply.header('cache-control', immutable ? 'public, max-age=31536000, immutable' : 'no-cache');
      },
    });
  }
  app.setNotFoundHandler((request, reply) => {
    const wantsPage =
      there &&
      request.method === 'GET' &&
      !request.url.startsWith('/api/') &&
      (request.headers.accept ?? '').includes('text/html');
    if (wantsPage) return reply.sendFile('index.html');
    throw new Refusal('not-found');
  });
});
