// A PostgreSQL server for the storage tests: its own directory, its own port, gone afterwards.
import { spawnSync } from 'node:child_process';
import { chownSync, existsSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { aptInstall } from './system.mjs';

function binaries() {
  const base = '/usr/lib/postgresql';
  const versions = existsSync(base)
    ? readdirSync(base).filter((v) => existsSync(join(base, v, 'bin', 'initdb')))
    : [];
  const newest = versions.sort((a, b) => Number(b) - Number(a))[0];
  return newest ? join(base, newest, 'bin') : null;
}

/** Starts it and returns its address; null when there is none and it cannot be installed. */
export function startPostgres() {
  if (process.env.TEST_DATABASE_URL) return { url: process.env.TEST_DATABASE_URL, stop() {} };
  const bin = binaries() ?? (aptInstall('postgresql') ? binaries() : null);
  if (!bin) return null;
  const folder = mkdtempSync(join(tmpdir(), 'burrow-pg-'));
  const port = 20_000 + (process.pid % 30_000);
  // PostgreSQL refuses to run as root
  const asRoot = process.getuid?.() === 0;
  const uid = asRoot ? Number(spawnSync('id', ['-u', 'postgres']).stdout.toString()) : undefined;
  if (asRoot) {
    if (!uid) return null;
    chownSync(folder, uid, uid);
  }
  const run = (command, args) =>
    spawnSync(join(bin, command), args, { cwd: folder, stdio: 'ignore', ...(uid ? { uid, gid: uid } : {}) })
      .status === 0;
  const data = join(folder, 'data');
  const options = `-p ${port} -c listen_addresses=127.0.0.1 -c unix_socket_directories=${folder}`;
  const ready =
    run('initdb', ['-A', 'trust', '-U', 'burrow', '-D', data]) &&
    run('pg_ctl', ['-D', data, '-w', '-o', options, 'start']);
  const stop = () => {
    run('pg_ctl', ['-D', data, '-m', 'immediate', 'stop']);
    rmSync(folder, { recursive: true, force: true });
  };
  if (!ready) {
    stop();
    return null;
  }
  return { url: `postgres://burrow@127.0.0.1:${port}/postgres`, stop };
}
