import {
  errorSchema,
  newQueenSchema,
  queenDetailSchema,
  queenListSchema,
  queenPatchSchema,
  type QueenDetail,
  type QueenPatch,
} from '@gentle-burrow/contract';
import { isDeepStrictEqual } from 'node:util';
import { idSchema, queenSchema, type HomePart, type Queen } from '@gentle-burrow/core/facts';
import type { Entry } from '@gentle-burrow/core/log';
import { msOf } from '@gentle-burrow/core/quantity';
import type { FastifyInstance } from 'fastify';
import type { ZodTypeProvider } from 'fastify-type-provider-zod';
import { v7 } from 'uuid';
import { z } from 'zod';
import type { Services } from '../services';
import { Refusal } from '../errors';
import { refuseFuture } from './future';

/** With methods of her own; one that is taken back leaves no trace. */
function patchedQueen(
  queen: Queen,
  { lookingSchool = queen.lookingSchool, lightSchool, patienceSchool }: QueenPatch,
): Queen {
  const { lightSchool: light, patienceSchool: patience, ...rest } = queen;
  const own = {
    lightSchool: lightSchool === undefined ? light : lightSchool,
    patienceSchool: patienceSchool === undefined ? patience : patienceSchool,
  };
  return {
    ...rest,
    lookingSchool,
    ...(own.lightSchool ? { lightSchool: own.lightSchool } : {}),
    ...(own.patienceSchool ? { patienceSchool: own.patienceSchool } : {}),
  };
}

/** Whether she was taken in just so; what is chosen for her later is no part of it. */
function sameTaken(
  known: { queen: Queen; home: HomePart; intake: Entry | null },
  told: { queen: Queen; home: HomePart; intake: Entry },
): boolean {
  const as = ({
    queen: { lookingSchool: _, lightSchool: _l, patienceSchool: _p, createdAt, ...queen },
    home,
    intake,
  }: typeof known) => ({
    queen: { ...queen, createdAt: msOf(createdAt) },
    home: { ...home, setUpAt: msOf(home.setUpAt) },
    intake,
  });
  return isDeepStrictEqual(as(known), as(told));
}

export async function queensRoutes(app: FastifyInstance, { store, views, now }: Services): Promise<void> {
  const api = app.withTypeProvider<ZodTypeProvider>();
  const params = z.object({ id: idSchema });
  const tags = ['queens'];

  api.get('/queens', { schema: { tags, response: { 200: queenListSchema } } }, async () => {
    const shown = await store.queenFacts((await store.shownQueens()).map((q) => q.id));
    return { queens: shown.map((f) => f.queen) };
  });

  api.post(
    '/queens',
    {
      schema: {
        tags,
        body: newQueenSchema,
        response: { 201: queenSchema, 400: errorSchema, 409: errorSchema },
      },
      // kept on a device without a connection since before homes were more than tubes
      preValidation: async (request) => {
        const sent = request.body as { tube?: unknown; home?: unknown } | null;
        if (sent?.tube !== undefined && sent.home === undefined) sent.home = sent.tube;
      },
    },
    async (request, reply) => {
      const { queen, home, place, intake, used = [] } = request.body;
      refuseFuture([intake], now());
      await store.write(async () => {
        const known = await store.takenIn(queen.id);
        // sent again: the first telling stands, also if she has been renamed since
        if (known) {
          if (!sameTaken(known, { queen, home, intake }))
            throw new Refusal('id-taken', undefined, 'queen.id');
          return [];
        }
        if (await store.hasHome(home.id)) throw new Refusal('id-taken', undefined, 'home.id');
        const there = (await store.places()).some((p) => p.id === place.id);
        return [
          // what is known of a place is newer than what a device says that was without a connection when she was taken in
          ...(there ? [] : [{ fact: 'place' as const, value: place }]),
          { fact: 'home', value: home },
          { fact: 'queen', value: queen },
          { fact: 'entry', value: intake },
          ...used.map((value) => ({ fact: 'stock-move' as const, value })),
        ];
      });
      const [taken] = await store.queenFacts([queen.id]);
      return reply.code(201).send((taken as NonNullable<typeof taken>).queen);
    },
  );

  api.get(
    '/queens/:id',
    { schema: { tags, params, response: { 200: queenDetailSchema, 404: errorSchema } } },
    async (request): Promise<QueenDetail> => {
      const at = now().toISOString();
      const found = await views.queen(request.params.id, at);
      if (!found) throw new Refusal('no-such-queen');
      return { at, ...found.facts, view: found.view, learned: found.learned };
    },
  );

  api.patch(
    '/queens/:id',
    {
      schema: {
        tags,
        params,
        body: queenPatchSchema,
        response: { 200: queenSchema, 400: errorSchema, 404: errorSchema },
      },
    },
    async (request) => {
      const { id } = request.params;
      const written = (await store.queens()).find((q) => q.id === id);
      const [found] = await store.queenFacts([id]);
      if (!found || !written) throw new Refusal('no-such-queen');
      const { label, batch, lookingSchool, lightSchool, patienceSchool } = request.body;
      const at = now().toISOString();
      // a name is put right in her log, where the old one stays
      const correct = {
        ...(label !== undefined && label !== found.queen.label
          ? { label: { was: found.queen.label, is: label } }
          : {}),
        ...(batch !== undefined && batch !== found.queen.batch
          ? { batch: { was: found.queen.batch, is: batch } }
          : {}),
      };
      await store.write([
        ...(lookingSchool !== undefined || lightSchool !== undefined || patienceSchool !== undefined
          ? [{ fact: 'queen' as const, value: patchedQueen(written, request.body) }]
          : []),
        ...(Object.keys(correct).length > 0
          ? [
              {
                fact: 'entry' as const,
                value: { kind: 'correct' as const, id: v7(), queenId: id, at, loggedAt: at, ...correct },
              },
            ]
          : []),
      ]);
      const [patched] = await store.queenFacts([id]);
      return (patched as NonNullable<typeof patched>).queen;
    },
  );
}
