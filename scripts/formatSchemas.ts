// Writes the JSON Schemas in docs/formats that come from the contract. `--check` changes nothing and fails where one is old.
import { readFileSync, writeFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { format, resolveConfig } from 'prettier';
import { formatSchemas } from '@brine/contract/openapi';

const folder = resolve(import.meta.dirname, '../docs/formats');
let old = 0;
for (const [name, schema] of Object.entries(formatSchemas())) {
  const file = join(folder, name);
  const text = await format(JSON.stringify(schema), { ...(await resolveConfig(file)), filepath: file });
  if (!process.argv.includes('--check')) writeFileSync(file, text);
  else if (readFileSync(file, 'utf8') !== text) {
    process.stderr.write(`docs/formats/${name} is old: run npm run schemas\n`);
    old += 1;
  }
}
process.exit(old > 0 ? 1 : 0);
