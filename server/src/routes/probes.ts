import { createHash, randomBytes, timingSafeEqual } from 'node:crypto';
import { Readable } from 'node:stream';
import rateLimit from '@fastify/rate-limit';
import {
  climateSchema,
  errorSchema,
  pushSchema,
  seriesSchema,
  takenSchema,
  tokenSchema,
} from '@gentle-burrow/contract';
import {
  columnsOf,
  correctionsOf,
  readingFault,
  readingsOf,
  readingsOfLines,
  type ProbeCorrections,
  type Reading,
  type Rolled,
} from '@gentle-burrow/core/climate';
import { idSchema, instantSchema, probeSchema } from '@gentle-burrow/core/facts';
import { DAY_MS, instantOf, msOf } from '@gentle-burrow/core/quantity';
import { batchOf, readingBatchSchema, takenBackSchema } from '@gentle-burrow/core/records';
import { stringify } from 'csv-stringify';
import type { FastifyInstance, FastifyRequest } from 'fastify';
import type { ZodTypeProvider } from 'fastify-type-provider-zod';
import { z } from 'zod';
import type { Services } from '../services';
import { Refusal } from '../errors';
import { climateNow, spreadOf } from '../jobs/climate-now';

/** So often a probe may send. */
const PER_MINUTE = 60;
const hashOf = (token: string): string => createHash('sha256').update(token).digest('hex');
const params = z.object({ id: idSchema });

/** Whatever measures: what it is and where it lies, what it sends, and what it has measured. */
export async function probesRoutes(app: FastifyInstance, { store, views, now }: Services): Promise<void> {
  const api = app.withTypeProvider<ZodTypeProvider>();
  const tags = ['climate'];
  await api.register(rateLimit, { global: false, addHeaders: LEFT_HEADERS });

  api.get(
    '/climate',
    {
      schema: {
        tags,
        summary: 'Whatever measures with what it shows now, and what is wrong at the places',
        response: { 200: climateSchema },
      },
    },
    () => climateNow(store, views, now().toISOString()),
  );
  api.put(
    '/probes/:id',
    {
      schema: {
        tags,
        params,
        body: probeSchema,
        response: { 200: probeSchema, 400: errorSchema, 404: errorSchema },
      },
    },
    async ({ body, params: { id } }) => {
      if (body.id !== id)
        throw new Refusal('invalid', 'The id in the address and in the body are not the same.', 'id');
      await store.write([{ fact: 'probe', value: body }]);
      return body;
    },
  );
  api.post(
    '/probes/:id/token',
    {
      schema: {
        tags,
        summary: 'A secret with which the probe may send by itself; the one before no longer holds',
        params,
        response: { 201: tokenSchema, 404: errorSchema },
      },
    },
    async ({ params: { id } }, reply) => {
      await known(id);
      // digits and letters alone: a secret that began with a dash was taken for an option on a command line
      const token = randomBytes(24).toString('hex');
      await store.keepToken(id, hashOf(token), now());
      return reply.code(201).send({ token });
    },
  );
  api.post(
    '/probes/:id/push',
    {
      // who asks without the secret, or too often, is turned away before the body is read
      onRequest: async (request) => allowed(request as FastifyRequest<{ Params: { id: string } }>),
      config: {
        takesText: true,
        rateLimit: {
          max: PER_MINUTE,
          timeWindow: 60_000,
          keyGenerator: (request: FastifyRequest) => (request.params as { id: string }).id,
          errorResponseBuilder: () => new Refusal('too-often'),
        },
      },
      schema: {
        tags,
        summary:
          'What a probe sends by itself, with "Authorization: Bearer …": JSON, or text/plain with a reading a line: moment, °C, % humidity, "-" for none',
        params,
        body: z.union([z.string(), pushSchema]),
        response: {
          200: takenSchema,
          400: errorSchema,
          401: errorSchema,
          404: errorSchema,
          429: errorSchema,
        },
      },
    },
    async ({ body, params: { id } }) => write(id, typeof body === 'string' ? ofLines(body) : ofJson(body)),
  );
  api.post(
    '/readings',
    {
      schema: {
        tags,
        summary: 'Readings of one probe, a column each measure: read by hand, or from a file',
        body: readingBatchSchema,
        response: { 200: takenSchema, 400: errorSchema, 404: errorSchema },
      },
    },
    async ({ body: { probeId, ms, tempC, rh } }) =>
      write(
        probeId,
        ms.map((at, i) => ({ ms: at, tempC: tempC[i] ?? null, rh: rh[i] ?? null })),
      ),
  );
  api.post(
    '/readings/taken-back',
    {
      schema: {
        tags,
        summary: 'Readings that were written by mistake are taken out',
        body: takenBackSchema,
        response: { 200: z.object({}), 400: errorSchema, 404: errorSchema },
      },
    },
    async ({ body }) => {
      await known(body.probeId);
      await store.write([{ fact: 'readings-taken-back', value: body }]);
      return {};
    },
  );
  api.get(
    '/probes/:id/series',
    {
      schema: {
        tags,
        summary: 'Readings between two moments as columns of a chart: lowest, mean and highest of each',
        params,
        querystring: z
          .object({
            from: instantSchema,
            to: instantSchema,
            columns: z.coerce.number().int().min(1).max(2000).default(390),
          })
          .refine((q) => msOf(q.to) > msOf(q.from), {
            path: ['to'],
            error: 'The end is not after the beginning. Swap them.',
          })
          .refine((q) => msOf(q.to) - msOf(q.from) < 40 * 366 * DAY_MS, {
            path: ['from'],
            error: 'That is longer than forty years. Ask for less.',
          }),
        response: { 200: seriesSchema, 400: errorSchema, 404: errorSchema },
      },
    },
    async ({ params: { id }, query: { from, to, columns } }) => {
      const truth = correctionsOf(await known(id));
      const parts = await store.series(id, msOf(from), msOf(to), columns);
      return { from, to, columns: parts.map((part) => columnOf(part, truth)) };
    },
  );
  api.get(
    '/probes/:id/readings.csv',
    {
      schema: {
        tags: ['export'],
        summary: 'Every reading of a probe as it was shown, CSV after RFC 4180',
        params,
      },
    },
    async ({ params: { id } }, reply) => {
      const probe = await known(id);
      const rows = async function* () {
        yield ['at', 'tempC', 'humidityPercent'];
        for await (const columns of store.readings(id, 0, now().getTime() + 366 * DAY_MS))
          for (const r of readingsOf(columns))
            yield [instantOf(r.ms), r.tempC ?? '', r.rh === null ? '' : Math.round(r.rh * 10_000) / 100];
      };
      return reply
        .type('text/csv; charset=utf-8')
        .header('content-disposition', `attachment; filename="readings-${probe.id}.csv"`)
        .send(Readable.from(rows()).pipe(stringify({ record_delimiter: '\r\n' })));
    },
  );

  async function known(id: string) {
    const probe = (await store.probes()).find((p) => p.id === id);
    if (!probe) throw new Refusal('no-such-probe', undefined, 'id');
    return probe;
  }

  async function allowed(request: FastifyRequest<{ Params: { id: string } }>): Promise<void> {
    const { id } = request.params;
    const given = /^Bearer (\S+)$/.exec(request.headers.authorization ?? '')?.[1];
    const kept = idSchema.safeParse(id).success ? await store.tokenOf(id) : null;
    if (!given || !kept || !timingSafeEqual(Buffer.from(hashOf(given)), Buffer.from(kept.hash)))
      throw new Refusal('wrong-token');
  }

  function ofJson({ readings }: z.infer<typeof pushSchema>): Reading[] {
    return readings.map((r) => ({
      ms: Date.parse(r.at),
      tempC: r.tempC,
      rh: r.humidityPercent === null ? null : r.humidityPercent / 100,
    }));
  }

  function ofLines(text: string): Reading[] {
    const read = readingsOfLines(text, now().getTime());
    if ('reason' in read)
      throw new Refusal('invalid', `Line ${read.line}: ${read.reason}`, `line ${read.line}`);
    if (read.readings.length === 0) throw new Refusal('invalid', 'There is no reading in it.');
    return read.readings;
  }

  /** All of them, or none: the first that cannot be is named. */
  async function write(probeId: string, readings: Reading[]) {
    const nowMs = now().getTime();
    readings.forEach((r, i) => {
      const fault = readingFault(r, nowMs);
      if (fault) throw new Refusal('invalid', `Reading ${i + 1}: ${fault}`, `readings.${i}`);
    });
    const value = batchOf(probeId, columnsOf(readings));
    return (await store.write([{ fact: 'readings', value }])).readings;
  }
}

const LEFT_HEADERS = {
  'x-ratelimit-limit': false,
  'x-ratelimit-remaining': false,
  'x-ratelimit-reset': false,
};

const columnOf = ({ ms, n, temp, rh }: Rolled, truth: ProbeCorrections) => ({
  at: instantOf(Math.round(ms)),
  n,
  tempC: spreadOf(temp, 100, truth.tempC),
  rh: spreadOf(rh, 10_000, truth.rh),
});
