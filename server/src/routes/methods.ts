import type { FastifyInstance, HTTPMethods } from 'fastify';
import { Refusal } from '../errors';

const ALL: HTTPMethods[] = ['GET', 'HEAD', 'POST', 'PUT', 'PATCH', 'DELETE'];

/** Answers 405 with an Allow header where an address exists but not for that method. */
export function methodsAllowed(api: FastifyInstance) {
  const allowed = new Map<string, Set<string>>();
  let closing = false;
  api.addHook('onRoute', (route) => {
    if (closing) return;
    const url = route.url.slice(api.prefix.length);
    const set = allowed.get(url) ?? new Set();
    for (const m of [route.method].flat()) set.add(m);
    allowed.set(url, set);
  });
  return {
    /** To be called when all routes are registered. */
    refuseOthers(): void {
      closing = true;
      for (const [url, set] of allowed) {
        const others = ALL.filter((m) => !set.has(m));
        if (others.length === 0) continue;
        api.route({
          method: others,
          url,
          schema: { hide: true },
          // before the body is read: its type does not matter for a method that is not there
          onRequest: async (request, reply) => {
            reply.header('allow', [...set].sort().join(', '));
            throw new Refusal(
              'method-not-allowed',
              `${request.method} is not possible here. Use ${[...set].filter((m) => m !== 'HEAD').join(' or ')}.`,
            );
          },
          handler: async () => {},
        });
      }
    },
  };
}
