import { readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { buildApp } from './app';

// run by the build: lays the description of the API beside the server, for no data are needed to tell it
const here = dirname(fileURLToPath(import.meta.url));
const { version } = JSON.parse(readFileSync(join(here, '..', 'package.json'), 'utf8')) as { version: string };
const app = await buildApp({ store: { root: null } as never, views: {} as never, version });
await app.ready();
writeFileSync(join(here, 'openapi.json'), JSON.stringify(app.swagger()));
