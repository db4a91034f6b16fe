import { isIP } from 'node:net';
import { networkInterfaces } from 'node:os';
import type { FastifyInstance } from 'fastify';
import fp from 'fastify-plugin';
import { Refusal } from '../errors';

const LOOPBACK = ['localhost', '127.0.0.1', '::1'];
const EVERYWHERE = ['0.0.0.0', '::'];

/** Whether only this machine can reach a server that listens there. */
export const isLoopback = (host: string): boolean => LOOPBACK.includes(host) || host.startsWith('127.');

/** Tells whether the server may be asked under a name. */
export type Knows = (name: string) => boolean;

/**
 * Names under which the server may be asked. A page of another site can make a browser ask a name of its own that leads here, and
 * would read what it is answered: so only names that are known are answered.
 * @param host where it listens; everywhere: by every address that this machine has just then
 * @param more further names, by commas
 */
export function knownHosts(host: string, more = ''): Knows {
  const everywhere = EVERYWHERE.includes(host);
  const told = more.split(',').map((h) => h.trim().toLowerCase());
  const names = new Set([...LOOPBACK, host.toLowerCase(), ...told.filter((h) => h !== '')]);
  return (name) => names.has(name) || (everywhere && isIP(name) > 0 && ownAddresses().includes(name));
}

const ownAddresses = (): string[] =>
  Object.values(networkInterfaces()).flatMap((all) => (all ?? []).map((a) => a.address.toLowerCase()));

/** The name alone, without brackets and port. */
function nameIn(header: string): string {
  const name = /^\[(.*)\](?::\d+)?$/.exec(header)?.[1] ?? header.replace(/:\d+$/, '');
  return (isIP(name) === 6 ? name : name.replace(/\.$/, '')).toLowerCase();
}

/** Nothing but what this server serves itself; styles are made by the page as it is drawn. */
const POLICY = [
  "default-src 'self'",
  "script-src 'self'",
  "style-src 'self' 'unsafe-inline'",
  "img-src 'self' data: blob:",
  "worker-src 'self' blob:",
  "object-src 'none'",
  "base-uri 'none'",
  "form-action 'self'",
  "frame-ancestors 'none'",
].join('; ');

/** Only the camera is ever used, to read a label. */
const PERMISSIONS =
  'camera=(self), geolocation=(), microphone=(), payment=(), usb=(), serial=(), bluetooth=()';

/** Refuses names that are not known, and tells browsers what pages of this server may do. */
export const guard = fp(async function guard(app: FastifyInstance, { knows }: { knows: Knows }) {
  app.addHook('onRequest', async (request) => {
    if (!knows(nameIn(request.headers.host ?? ''))) throw new Refusal('wrong-host');
  });
  app.addHook('onSend', async (_request, reply) => {
    reply.header('x-content-type-options', 'nosniff');
    reply.header('referrer-policy', 'no-referrer');
    reply.header('content-security-policy', POLICY);
    reply.header('permissions-policy', PERMISSIONS);
    reply.header('cross-origin-opener-policy', 'same-origin');
    reply.header('cross-origin-resource-policy', 'same-origin');
  });
});
