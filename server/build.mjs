// Bundles the server and its worker, so that it starts fast and a worker thread needs no loader.
import { spawnSync } from 'node:child_process';
import { readFileSync, rmSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { build } from 'esbuild';

const at = (path) => fileURLToPath(new URL(path, import.meta.url));
const { dependencies } = JSON.parse(readFileSync(at('package.json'), 'utf8'));
const own = (name) => name.startsWith('@gentle-burrow/');

rmSync(at('dist'), { recursive: true, force: true });
await build({
  entryPoints: [
    at('src/main.ts'),
    at('src/check-main.ts'),
    at('src/restore-main.ts'),
    at('src/describe-main.ts'),
    at('src/serve.ts'),
    at('src/jobs/project.worker.ts'),
    at('src/labels/print.worker.ts'),
  ],
  outdir: at('dist'),
  entryNames: '[name]',
  bundle: true,
  // what only a few requests need stays in files of its own, beside the others, until it is asked for
  splitting: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  sourcemap: true,
  // each file of the bundle is one module: where it lies, told as the sources ask for it
  banner: {
    js: "import { fileURLToPath as pathOf } from 'node:url'; const __filename = pathOf(import.meta.url);",
  },
  // the installed packages stay where they are; only our own code is bundled
  external: Object.keys(dependencies).flatMap((name) => (own(name) ? [] : [name, `${name}/*`])),
  logLevel: 'warning',
});
const described = spawnSync(process.execPath, [at('dist/describe-main.js')], { stdio: 'inherit' });
if (described.status !== 0) process.exit(1);
