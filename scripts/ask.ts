// `npm run ask -- FILE.jsonl [--at ISO] [--zone Area/City]`: what the application says of every queen of an exported log.
import { readFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { InputError, instantOf, isZone, msOf } from '@gentle-burrow/core/quantity';
import { askLog, logOf, readFacts } from '@gentle-burrow/core/records';

/** @throws InputError with a sentence for whoever asked */
function answer(): unknown {
  const { values, positionals } = parseArgs({
    allowPositionals: true,
    options: { at: { type: 'string' }, zone: { type: 'string' } },
  });
  const [file] = positionals;
  if (!file || positionals.length > 1)
    throw new InputError(
      'file',
      'Name one exported log: npm run ask -- FILE.jsonl [--at 2026-06-01T18:00:00Z] [--zone Europe/Berlin]',
    );
  let text: string;
  try {
    text = readFileSync(file, 'utf8');
  } catch (error) {
    throw new InputError(
      'file',
      `${file} cannot be read: ${(error as NodeJS.ErrnoException).code ?? 'unknown reason'}. Is the path right?`,
    );
  }
  const at = values.at === undefined ? new Date().toISOString() : instantOf(msOf(values.at));
  if (values.zone !== undefined && !isZone(values.zone))
    throw new InputError('zone', `"${values.zone}" is not a time zone. Give one like Europe/Berlin.`);
  const log = logOf(readFacts(text));
  const zone = values.zone ?? log.settings.zone ?? Intl.DateTimeFormat().resolvedOptions().timeZone;
  return askLog(log, at, zone);
}

try {
  process.stdout.write(`${JSON.stringify(answer(), null, 2)}\n`);
} catch (error) {
  if (
    !(error instanceof InputError) &&
    (error as { code?: string }).code?.startsWith('ERR_PARSE_ARGS') !== true
  )
    throw error;
  process.stderr.write(`${(error as Error).message}\n`);
  process.exitCode = 2;
}
