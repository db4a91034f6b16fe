import { spawn, type ChildProcess } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = fileURLToPath(new URL('../..', import.meta.url));

/** The built server on a data directory, measured from outside. */
export async function startServer(dataDir: string, env: Record<string, string> = {}) {
  const server: ChildProcess = spawn(process.execPath, [join(root, 'server', 'dist', 'main.js')], {
    env: { ...process.env, BURROW_DATA: dataDir, PORT: '0', DATABASE_URL: '', ...env },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  let said = '';
  const url = await new Promise<string>((resolve, reject) => {
    server.stdout?.on('data', (d: Buffer) => {
      said += d.toString();
      const found = /open at (http:\S+)/.exec(said);
      if (found) resolve(found[1] as string);
    });
    server.once('exit', () => reject(new Error(said)));
  });
  return {
    url,
    /** Resident memory, MB. */
    memoryMb(): number {
      const status = readFileSync(`/proc/${server.pid}/status`, 'utf8');
      return Number(/VmRSS:\s+(\d+)/.exec(status)?.[1] ?? NaN) / 1024;
    },
    async stop(): Promise<void> {
      const gone = new Promise((r) => server.once('exit', r));
      server.kill('SIGTERM');
      await gone;
    },
  };
}
