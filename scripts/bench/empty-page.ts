import { spawnSync } from 'node:child_process';
import { readFile } from 'node:fs/promises';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { extname, join } from 'node:path';
import { root } from './server';

const TYPES: Record<string, string> = {
  '.html': 'text/html',
  '.js': 'text/javascript',
  '.ico': 'image/x-icon',
};

/** A page of the same stack with nothing on it, built as the application is and served plainly: what its first paint is held against. */
export async function serveEmptyPage(folder: string): Promise<{ url: string; stop(): void }> {
  const cwd = join(root, 'scripts', 'bench', 'empty-page');
  const built = spawnSync('npx', ['expo', 'export', '--platform', 'web', '--output-dir', folder], {
    cwd,
    env: { ...process.env, CI: '1', EXPO_OFFLINE: '1', EXPO_NO_TELEMETRY: '1' },
  });
  if (built.status !== 0) throw new Error(`The empty page was not built: ${built.stderr.toString()}`);
  const server = createServer((request, response) => {
    const path = new URL(request.url ?? '/', 'http://localhost').pathname;
    const file = path === '/' ? '/index.html' : path;
    readFile(join(folder, file)).then(
      (body) => response.writeHead(200, { 'content-type': TYPES[extname(file)] ?? 'text/plain' }).end(body),
      () => response.writeHead(404).end(),
    );
  });
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  return {
    url: `http://127.0.0.1:${(server.address() as AddressInfo).port}/`,
    stop: () => void server.close(),
  };
}
