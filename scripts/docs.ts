// `npm run docs`: writes the tables of figures into docs/field-guide.md from the figures themselves, and the schema of own profiles.
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { practiceTable } from '@gentle-burrow/core/care';
import { ownDocumentJsonSchema } from '@gentle-burrow/core/species/own';
import { format } from 'prettier';

const file = join(import.meta.dirname, '..', 'docs', 'field-guide.md');
const text = readFileSync(file, 'utf8');
const [before, rest = ''] = text.split('<!-- practice -->');
const [, after = ''] = rest.split('<!-- /practice -->');
const whole = `${before ?? ''}<!-- practice -->\n\n${practiceTable()}\n\n<!-- /practice -->${after}`;
writeFileSync(file, await format(whole, { parser: 'markdown', printWidth: 110 }));

const schema = join(import.meta.dirname, '..', 'docs', 'own-kinds.schema.json');
writeFileSync(
  schema,
  await format(JSON.stringify(ownDocumentJsonSchema()), { parser: 'json', printWidth: 110 }),
);
