import swagger from '@fastify/swagger';
import Fastify, { type FastifyError, type FastifyInstance, type FastifyReply } from 'fastify';
import {
  hasZodFastifySchemaValidationErrors,
  jsonSchemaTransform,
  serializerCompiler,
  validatorCompiler,
  type ZodTypeProvider,
} from 'fastify-type-provider-zod';
import { refusalOfDisk } from './db/disk';
import { refusalOfDatabase } from './db/open';
import type { Store } from './db/store';
import { InputError } from '@gentle-burrow/core/quantity';
import { DailyBackups } from './backup/daily';
import { Refusal, type ErrorCode } from './errors';
import type { Views } from './jobs/views';
import { Printer } from './labels/printer';
import { asideRoutes } from './routes/aside';
import { agendaRoutes } from './routes/agenda';
import { backupRoutes } from './routes/backup';
import { capturesRoutes } from './routes/captures';
import { entriesRoutes } from './routes/entries';
import { exportRoutes } from './routes/export';
import { guard, knownHosts, type Knows } from './routes/guard';
import { healthRoutes } from './routes/health';
import { labelsRoutes } from './routes/labels';
import { methodsAllowed } from './routes/methods';
import { photosRoutes } from './routes/photos';
import { probesRoutes } from './routes/probes';
import { queensRoutes } from './routes/queens';
import { settingsRoutes } from './routes/settings';
import { soundInput } from './routes/sound-input';
import { sheetsRoutes } from './routes/sheets';
import { shelfRoutes } from './routes/shelf';
import { speciesRoutes } from './routes/species';
import { stockRoutes } from './routes/stock';
import { webRoutes } from './routes/web';
import type { Services } from './services';

interface AppOptions {
  store: Store;
  views: Views;
  version: string;
  /** Built web application; only the API is served when not given. */
  webRoot?: string | undefined;
  /** The clock, so that tests can set it. */
  now?: () => Date;
  /** The daily backup; none by itself when not given. */
  backups?: DailyBackups;
  /** Draws labels; in this thread when not given. */
  printer?: Printer;
  /** Names under which it may be asked; those of this machine alone when not given. */
  knows?: Knows;
  /** The description of the API as it was made when the server was built; made when it is first asked for when not given. */
  description?: string | undefined;
  /** Writes unexpected errors to the standard output. */
  logger?: boolean;
}

const BODY_LIMIT = 4 * 1024 * 1024;
/** The labels of a whole shelf are asked for in one address. */
const HEADER_LIMIT = 32 * 1024;

/** Builds the server: one plugin a resource under /api, and the web application beside it. */
export async function buildApp(options: AppOptions): Promise<FastifyInstance> {
  const app = Fastify({
    logger: options.logger ? { level: 'error' } : false,
    bodyLimit: BODY_LIMIT,
    http: { maxHeaderSize: HEADER_LIMIT },
    // addresses that are none come to no route
    frameworkErrors(error, _request, reply) {
      const refusal = toRefusal(error);
      // no route, so no schema of what it answers
      void (reply as unknown as FastifyReply).code(refusal.status).send(refusal.body());
    },
  }).withTypeProvider<ZodTypeProvider>();
  app.setValidatorCompiler(validatorCompiler);
  app.setSerializerCompiler(serializerCompiler);
  app.setErrorHandler((error: FastifyError | Refusal, request, reply) => {
    const away = options.store.kind === 'postgres' ? refusalOfDatabase(error) : null;
    const refusal = away ?? toRefusal(error);
    if (refusal.code === 'internal') request.log.error(error);
    if (refusal.retryAfterS !== null) reply.header('retry-after', refusal.retryAfterS);
    return reply.code(refusal.status).send(refusal.body());
  });
  await app.register(soundInput);
  await app.register(guard, { knows: options.knows ?? knownHosts('localhost') });

  await app.register(swagger, {
    openapi: {
      info: {
        title: 'Gentle Burrow',
        version: options.version,
        description: 'Founding logs for ant keepers.',
      },
    },
    transform: jsonSchemaTransform,
  });

  const now = options.now ?? (() => new Date());
  const services: Services = {
    store: options.store,
    views: options.views,
    version: options.version,
    printer: options.printer ?? new Printer(),
    backups: options.backups ?? new DailyBackups(options.store, options.version, now),
    now,
  };
  await app.register(
    async (api) => {
      const methods = methodsAllowed(api);
      await api.register(healthRoutes, services);
      await api.register(speciesRoutes, services);
      await api.register(settingsRoutes, services);
      await api.register(queensRoutes, services);
      await api.register(entriesRoutes, services);
      await api.register(shelfRoutes, services);
      await api.register(agendaRoutes, services);
      await api.register(probesRoutes, services);
      await api.register(stockRoutes, services);
      await api.register(labelsRoutes, services);
      await api.register(capturesRoutes, services);
      await api.register(sheetsRoutes, services);
      await api.register(photosRoutes, services);
      await api.register(exportRoutes, services);
      await api.register(asideRoutes, services);
      await api.register(backupRoutes, services);
      // it never changes while the server runs
      let document = options.description ?? null;
      api.get('/openapi.json', { schema: { hide: true } }, async (_, reply) =>
        reply.type('application/json; charset=utf-8').send((document ??= JSON.stringify(app.swagger()))),
      );
      methods.refuseOthers();
    },
    { prefix: '/api' },
  );
  await app.register(webRoutes, { webRoot: options.webRoot });
  return app;
}

const BY_FASTIFY_CODE: Record<string, ErrorCode> = {
  FST_ERR_BAD_URL: 'not-found',
  FST_ERR_MAX_PARAM_LENGTH: 'not-found',
  FST_ERR_CTP_INVALID_MEDIA_TYPE: 'wrong-type',
  FST_ERR_CTP_BODY_TOO_LARGE: 'too-large',
  FST_ERR_CTP_INVALID_JSON_BODY: 'bad-json',
  FST_ERR_CTP_EMPTY_JSON_BODY: 'bad-json',
};

/** What is refused before a route is found, or by what serves files. */
const BY_STATUS: Record<number, ErrorCode> = {
  400: 'bad-json',
  403: 'not-found',
  404: 'not-found',
  412: 'not-found',
  413: 'too-large',
  414: 'too-large',
  415: 'wrong-type',
  416: 'bad-range',
  431: 'too-large',
};

function toRefusal(error: FastifyError | Refusal | InputError): Refusal {
  if (error instanceof Refusal) return error;
  if (error instanceof InputError) return new Refusal('not-usable', error.message, error.field);
  const ofDisk = refusalOfDisk(error);
  if (ofDisk) return ofDisk;
  if (hasZodFastifySchemaValidationErrors(error)) {
    const { path, message } = likeliestIssue(
      error.validation.map((v) => ({
        path: v.instancePath.split('/').slice(1),
        message: v.message ?? '',
        errors: (v.params as { errors?: Issue[][] }).errors,
      })),
    );
    return new Refusal('invalid', sentence(message), path.join('.') || undefined);
  }
  const code = BY_FASTIFY_CODE[error.code];
  if (code) return new Refusal(code);
  const ofStatus = error.statusCode === undefined ? undefined : BY_STATUS[error.statusCode];
  if (ofStatus) return new Refusal(ofStatus);
  return new Refusal('internal');
}

interface Issue {
  path: (string | number)[];
  message: string;
  /** For a union: what was wrong with each branch. */
  errors?: Issue[][] | undefined;
}

/** The first issue; within a union, that of the branch that was meant: the one that was read deepest. */
function likeliestIssue(issues: Issue[]): Issue {
  const first = issues[0] ?? { path: [], message: '' };
  if (!first.errors?.length) return first;
  const depth = (branch: Issue[]) => Math.max(0, ...branch.map((i) => i.path.length));
  const meant = first.errors.reduce((a, b) => (depth(b) >= depth(a) ? b : a));
  const inner = likeliestIssue(meant);
  return { path: [...first.path, ...inner.path].filter((p) => p !== ''), message: inner.message };
}

function sentence(text: string | undefined): string {
  if (!text) return new Refusal('invalid').message;
  return /[.!?]$/.test(text) ? text : `${text}.`;
}
