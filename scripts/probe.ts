// `npm run probe`: a made-up logger in a made-up room. Into a file, or sent to the server as a real one would.
import { createWriteStream } from 'node:fs';
import { setTimeout as sleep } from 'node:timers/promises';
import { once } from 'node:events';
import { parseArgs } from 'node:util';
import { InputError, instantOf, msOf, need } from '@gentle-burrow/core/quantity';
import { shownAt, simulateProbe, USUAL_PROBE_WORLD, type ProbeWorld } from '@gentle-burrow/core/world';

const HELP = `A made-up logger: a room with day and season, noise, drop-outs and drift.

  npm run probe -- --out FILE.csv [--from 2026-05-01T00:00:00Z] [--days 60] [--every 600]
  npm run probe -- --to ADDRESS --token SECRET [--every 60] [--speed 1] [--from 2026-05-01T00:00:00Z] [--for 3600]

  --to        the address that Places shows for the probe, like http://127.0.0.1:4860/api/probes/ID/push
  --every     seconds between two readings
  --speed     so many times as fast as the clock; --from then lies in the past
  --for       ends after so many seconds; otherwise it goes on until it is stopped
  --seed      another number, another room (1)
  --mean 22 --season 1.5 --day 1 --humidity 50 --mat 27 --noise 0.06 --drift 0.2 --drop-outs 0.01 --south
`;
const SENT_AT_ONCE = 1000;
/** So often the server is spoken to at the most, ms. */
const PAUSE_MS = 1100;

/** As for the server: a made-up moment to start at. */
const ahead = process.env.BURROW_NOW ? msOf(process.env.BURROW_NOW, 'BURROW_NOW') - Date.now() : 0;
const clock = () => Date.now() + ahead;

const { values } = parseArgs({
  options: {
    out: { type: 'string' },
    to: { type: 'string' },
    token: { type: 'string' },
    from: { type: 'string' },
    days: { type: 'string', default: '60' },
    every: { type: 'string' },
    speed: { type: 'string', default: '1' },
    for: { type: 'string' },
    seed: { type: 'string', default: '1' },
    mean: { type: 'string' },
    season: { type: 'string' },
    day: { type: 'string' },
    humidity: { type: 'string' },
    mat: { type: 'string' },
    noise: { type: 'string' },
    drift: { type: 'string' },
    'drop-outs': { type: 'string' },
    south: { type: 'boolean', default: false },
    help: { type: 'boolean', default: false },
  },
});

function number(name: keyof typeof values, fallback: number): number {
  const given = values[name];
  const value = given === undefined ? fallback : Number(given);
  need(Number.isFinite(value), name, `--${name} is "${given}", which is not a number.`);
  return value;
}

const world = (): ProbeWorld => ({
  seed: number('seed', 1),
  meanC: number('mean', USUAL_PROBE_WORLD.meanC),
  seasonC: number('season', USUAL_PROBE_WORLD.seasonC),
  dayC: number('day', USUAL_PROBE_WORLD.dayC),
  rh: number('humidity', 100 * USUAL_PROBE_WORLD.rh) / 100,
  noiseC: number('noise', USUAL_PROBE_WORLD.noiseC),
  driftC: number('drift', USUAL_PROBE_WORLD.driftC),
  dropOuts: number('drop-outs', USUAL_PROBE_WORLD.dropOuts),
  south: values.south,
  ...(values.mat === undefined ? {} : { matC: number('mat', 27) }),
});

async function intoFile(file: string): Promise<void> {
  const everyS = number('every', 600);
  const days = number('days', 60);
  need(everyS > 0 && days > 0, 'every', '--every and --days must be above 0.');
  const from = values.from === undefined ? clock() - days * 86_400_000 : msOf(values.from, 'from');
  const out = createWriteStream(file);
  out.write('time;temperature °C;humidity %\r\n');
  let n = 0;
  for (const r of simulateProbe(world(), from, from + days * 86_400_000, everyS)) {
    n++;
    const line = `${instantOf(r.ms)};${r.tempC?.toFixed(2) ?? ''};${r.rh === null ? '' : (100 * r.rh).toFixed(1)}\r\n`;
    if (!out.write(line)) await once(out, 'drain');
  }
  out.end();
  await once(out, 'finish');
  console.log(`${n} readings are in ${file}.`);
}

async function live(address: string): Promise<void> {
  need(values.token !== undefined, 'token', 'Give the secret that Places shows once: --token …');
  const everyS = number('every', 60);
  const speed = number('speed', 1);
  need(everyS > 0 && speed > 0, 'speed', '--every and --speed must be above 0.');
  const room = world();
  const began = clock();
  const from = values.from === undefined ? began : msOf(values.from, 'from');
  const until = values.for === undefined ? Infinity : began + 1000 * number('for', 60);
  let next = from;
  for (;;) {
    const simulated = from + speed * (clock() - began);
    const lines: string[] = [];
    for (; next <= Math.min(simulated, clock()) && lines.length < SENT_AT_ONCE; next += 1000 * everyS) {
      const r = shownAt(room, next, from);
      if (r)
        lines.push(`${instantOf(r.ms)} ${r.tempC ?? '-'} ${r.rh === null ? '-' : (100 * r.rh).toFixed(1)}`);
    }
    if (lines.length > 0) {
      const answer = await fetch(address, {
        method: 'POST',
        headers: { authorization: `Bearer ${values.token}`, 'content-type': 'text/plain' },
        body: lines.join('\n'),
      });
      const said = (await answer.json()) as { added?: number; error?: { message: string } };
      need(answer.ok, 'to', `The server answered ${answer.status}: ${said.error?.message ?? ''}`);
      console.log(`${lines.at(-1)} · ${said.added} new`);
    }
    if (clock() >= until) return;
    await sleep(PAUSE_MS);
  }
}

try {
  if (values.help || (!values.out && !values.to)) process.stdout.write(HELP);
  else if (values.out) await intoFile(values.out);
  else if (values.to) await live(values.to);
} catch (error) {
  if (!(error instanceof InputError)) throw error;
  process.stderr.write(`${error.message}\n`);
  process.exitCode = 2;
}
