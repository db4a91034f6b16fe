import type { FastifyInstance } from 'fastify';
import fp from 'fastify-plugin';
import { Refusal } from '../errors';

declare module 'fastify' {
  interface FastifyContextConfig {
    /** Lines of text are a body too. */
    takesText?: boolean;
  }
}

/** The longest list that any request holds is that of readings; nothing that is sent lies deeper than a few steps. */
const LONGEST_LIST = 20_000;
const DEEPEST = 40;

/** Refuses what no request holds before anything else is done with it: what a database cannot store, and what would take long to look through. */
export const soundInput = fp(async function soundInput(app: FastifyInstance) {
  app.addHook('preValidation', async (request) => {
    // JSON is asked for: what says that it is text is not taken for a JSON string
    const isText = /^text\//.test(request.headers['content-type'] ?? '');
    if (isText && !request.routeOptions.config.takesText) throw new Refusal('wrong-type');
    for (const part of [request.params, request.query, request.body]) mustBeSound(part);
  });
});

/** @throws Refusal naming the field */
export function mustBeSound(input: unknown): void {
  if (Buffer.isBuffer(input)) return;
  const open: { value: unknown; path: string; depth: number }[] = [{ value: input, path: '', depth: 0 }];
  for (let next = open.pop(); next; next = open.pop()) {
    const { value, path, depth } = next;
    if (typeof value === 'string') mustBeText(value, path);
    if (typeof value !== 'object' || value === null) continue;
    if (depth > DEEPEST) throw new Refusal('invalid', 'The request is nested too deeply.', path);
    const inside = Array.isArray(value) ? value.entries() : Object.entries(value);
    if (Array.isArray(value) && value.length > LONGEST_LIST)
      throw new Refusal('too-large', `A list holds at most ${LONGEST_LIST} things. Send it in parts.`, path);
    for (const [key, within] of inside) {
      if (typeof key === 'string') mustBeText(key, path);
      // numbers, of which there are many, need no further look
      if (typeof within === 'string' || typeof within === 'object')
        open.push({ value: within, path: path ? `${path}.${key}` : String(key), depth: depth + 1 });
    }
  }
}

function mustBeText(text: string, path: string): void {
  if (text.includes('\u0000') || !isWellFormed(text))
    throw new Refusal(
      'invalid',
      'A text holds a character that is none. Write it without.',
      path || undefined,
    );
}

/** Halves of a character that stand alone, as a text has that was cut in the midst of one. */
const isWellFormed = (text: string): boolean => !/\p{Surrogate}/u.test(text);
