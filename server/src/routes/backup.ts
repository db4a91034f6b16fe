import {
  broughtBackSchema,
  dailyBackupChangeSchema,
  dailyBackupSchema,
  errorSchema,
  PREFERENCES,
} from '@gentle-burrow/contract';
import { dayOf } from '@gentle-burrow/core/quantity';
import type { FastifyInstance, FastifyRequest } from 'fastify';
import type { ZodTypeProvider } from 'fastify-type-provider-zod';
import { z } from 'zod';
import type { Services } from '../services';
import { bringBack } from '../backup/bring-back';
import { Incoming } from '../backup/incoming';
import { openBrought } from '../backup/read-archive';
import { archiveOf } from '../backup/write-archive';
import { Refusal } from '../errors';
import { zoneAsked, zoneOf } from '../zone';

const TYPES = ['application/zip', 'application/jsonl', 'application/x-ndjson'];

/** A whole backup out, and in again; and the one that is made every day. */
export async function backupRoutes(
  app: FastifyInstance,
  { store, backups, version, now }: Services,
): Promise<void> {
  const api = app.withTypeProvider<ZodTypeProvider>();
  const tags = ['backup'];
  const incoming = new Incoming(store.root, () => store.needRoom());
  const sent = new WeakMap<FastifyRequest, string>();
  // it may be larger than the memory: it goes to the disk, and is looked at there
  app.addContentTypeParser(TYPES, async (request: FastifyRequest, bytes: NodeJS.ReadableStream) => {
    sent.set(request, await incoming.keep(bytes as never));
    return null;
  });
  const drop = async (request: FastifyRequest) => {
    const file = sent.get(request);
    if (file) incoming.drop(file);
  };
  app.addHook('onResponse', drop);
  app.addHook('onRequestAbort', drop);

  api.get(
    '/backup.zip',
    {
      schema: {
        tags,
        summary: 'Everything as one zip: facts.jsonl, photos, and manifest.json with counts and checksums',
        description: 'Where queens were found is in it exactly. Secrets of probes are not.',
        querystring: z.object(zoneAsked),
      },
    },
    async (request, reply) => {
      const madeAt = now().toISOString();
      const day = dayOf(madeAt, zoneOf(await store.settings(), request.query.zone));
      return reply
        .type('application/zip')
        .header('content-disposition', `attachment; filename="gentle-burrow-${day}.zip"`)
        .send(await archiveOf(store, { version, madeAt }));
    },
  );

  api.post(
    '/bring-back',
    {
      schema: {
        tags,
        summary:
          'Brings back a backup (application/zip) or a log (application/jsonl), by id; the same again changes nothing',
        querystring: z.object({
          take: z.enum(['no', 'yes']).default('no').describe('no: tells what would become of it'),
          prefer: z.enum(PREFERENCES).default('here').describe('what holds where both tell otherwise'),
        }),
        response: { 200: broughtBackSchema, 413: errorSchema, 415: errorSchema, 422: errorSchema },
      },
    },
    async (request) => {
      const path = sent.get(request);
      if (!path) throw new Refusal('wrong-type', `Send the file as one of ${TYPES.join(', ')}.`);
      const file = await openBrought(path);
      try {
        const { take, prefer } = request.query;
        return await bringBack(store, file, { take: take === 'yes', prefer, now: now() });
      } finally {
        file.close();
      }
    },
  );

  api.get('/daily-backup', { schema: { tags, response: { 200: dailyBackupSchema } } }, () => backups.state());
  api.put(
    '/daily-backup',
    {
      schema: {
        tags,
        summary:
          'Chooses the folder of the daily backup, on the machine that runs the server; null makes none any more',
        body: dailyBackupChangeSchema,
        response: { 200: dailyBackupSchema, 422: errorSchema },
      },
    },
    (request) => backups.choose(request.body.folder),
  );
}
