import { errorSchema, photoListSchema } from '@gentle-burrow/contract';
import { idSchema, instantSchema } from '@gentle-burrow/core/facts';
import type { FastifyInstance } from 'fastify';
import type { ZodTypeProvider } from 'fastify-type-provider-zod';
import { z } from 'zod';
import type { Services } from '../services';
import { Refusal } from '../errors';

const MOST_BYTES = 16 * 1024 * 1024;
/** A photo never changes: its id names one picture for ever. */
const FOR_EVER = 'private, max-age=31536000, immutable';

/** Photos of looks. They are kept by this server alone and sent nowhere else. */
export async function photosRoutes(app: FastifyInstance, { store, now }: Services): Promise<void> {
  const api = app.withTypeProvider<ZodTypeProvider>();
  const tags = ['photos'];
  const params = z.object({ id: idSchema });

  // the header is not believed: what the bytes are is read from the bytes
  app.addContentTypeParser(
    /^(image\/.+|application\/octet-stream)$/,
    { parseAs: 'buffer' },
    (_, body, done) => done(null, body),
  );

  api.put(
    '/photos/:id',
    {
      bodyLimit: MOST_BYTES,
      schema: {
        tags,
        summary: 'Keeps a picture (JPEG, PNG, WebP or AVIF as the body); sending it twice is harmless',
        params,
        querystring: z.object({ queen: idSchema, at: instantSchema }),
        response: { 201: z.object({ id: z.string() }), 404: errorSchema, 413: errorSchema, 415: errorSchema },
      },
      errorHandler(error, request, reply) {
        const refusal = error.code === 'FST_ERR_CTP_BODY_TOO_LARGE' ? new Refusal('photo-too-large') : error;
        return app.errorHandler(refusal as never, request, reply);
      },
    },
    async (request, reply) => {
      const { queen, at } = request.query;
      if (!Buffer.isBuffer(request.body)) throw new Refusal('not-a-picture');
      const moment = new Date(at);
      if (moment.getTime() > now().getTime() + 600_000) throw new Refusal('in-the-future');
      await store.photos.keep({ id: request.params.id, queenId: queen, at: moment }, request.body);
      return reply.code(201).send({ id: request.params.id });
    },
  );

  for (const size of ['whole', 'thumb'] as const)
    api.get(
      size === 'whole' ? '/photos/:id' : '/photos/:id/thumb',
      { schema: { tags, params, summary: size === 'whole' ? 'The picture, JPEG' : 'Its thumbnail, JPEG' } },
      async (request, reply) => {
        const bytes = await store.photos.read(request.params.id, size);
        if (!bytes) throw new Refusal('no-such-photo');
        return reply.header('cache-control', FOR_EVER).type('image/jpeg').send(bytes);
      },
    );

  api.get(
    '/queens/:id/photos',
    { schema: { tags, params, response: { 200: photoListSchema } } },
    async (request) => ({
      photos: (await store.photos.of(request.params.id)).map((p) => ({ ...p, at: p.at.toISOString() })),
    }),
  );
}
