import { spawn, type ChildProcess } from 'node:child_process';
import { join } from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';
import { root } from '../bench/server';

const HOST = '127.0.0.1';
export const urlOf = (port: number): string => `http://${HOST}:${port}`;

/** A server that can be killed. */
interface Running {
  process: ChildProcess;
  gone: Promise<void>;
  said(): string;
  url: string;
}

export function start(data: string, port: number): Running {
  const child = spawn(process.execPath, [join(root, 'server', 'dist', 'main.js')], {
    env: { ...process.env, BURROW_DATA: data, PORT: String(port), HOST, DATABASE_URL: '' },
  });
  let said = '';
  child.stdout.on('data', (d: Buffer) => (said += d.toString()));
  child.stderr.on('data', (d: Buffer) => (said += d.toString()));
  return {
    process: child,
    gone: new Promise((r) => child.once('exit', () => r())),
    said: () => said,
    url: urlOf(port),
  };
}

/** @throws Error with what it said when it ends instead */
export async function isUp(server: Running): Promise<void> {
  for (;;) {
    if (server.process.exitCode !== null || server.process.signalCode !== null)
      throw new Error(`It did not start again:\n${server.said()}`);
    const up = await fetch(`${server.url}/api/health`).then(
      (r) => r.ok,
      () => false,
    );
    if (up) return;
    await sleep(20);
  }
}

export async function stopped(server: Running, signal: NodeJS.Signals): Promise<void> {
  server.process.kill(signal);
  await server.gone;
}
