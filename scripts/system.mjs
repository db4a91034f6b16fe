// What the tests need beside Node: Debian's Chromium.
import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';

const isRoot = process.getuid?.() === 0;
let updated = false;

/** Installs a Debian package when this may be done here. */
export function aptInstall(name) {
  if (!isRoot || !existsSync('/usr/bin/apt-get')) return false;
  console.log(`Installing ${name} …`);
  const apt = (...args) =>
    spawnSync('apt-get', args, {
      stdio: 'ignore',
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    }).status === 0;
  updated ||= apt('update');
  return apt('install', '-y', '--no-install-recommends', name);
}

export function ensureChromium() {
  const path = process.env.CHROMIUM ?? '/usr/bin/chromium';
  if (existsSync(path) || (aptInstall('chromium') && existsSync(path))) return true;
  console.error(
    'Chromium is missing. Install it (Debian: apt-get install chromium), or name it with CHROMIUM=….',
  );
  return false;
}
