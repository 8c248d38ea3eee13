// Holds every text of the sources that a person may read to docs/glossary.md: phrases that are not to be used any more fail the lint.
import { readdirSync, readFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import { root } from './lib/project.mjs';
import { found, phrases } from './words/phrases.mjs';
import { textsOf } from './words/texts.mjs';

const folders = ['core/src', 'contract/src', 'server/src', 'cli/src', 'web/src'];
/** Words of booklets by other people, and SQL: neither is ours to choose. */
const others = /\.test\.ts$|\.d\.ts$|suggest\/(match\/patterns|words\/concepts)\.ts$|\/migrations\//;
const list = phrases();
const problems = folders
  .flatMap((folder) => filesBelow(join(root, folder)))
  .filter((file) => /\.(ts|vue)$/.test(file) && !others.test(file))
  .flatMap((file) =>
    textsOf(file, readFileSync(file, 'utf8'))
      // The published meanings of the settings are a file format.
      .filter((text) => !published().has(text))
      .flatMap((text) => found(text, list).map((problem) => `${relative(root, file)}: ${problem}`)),
  );
for (const problem of problems) process.stderr.write(`${problem}\n`);
process.exit(problems.length > 0 ? 1 : 0);

/** Meanings of docs/formats/settings.csv, which others build on. */
function published() {
  published.set ??= new Set(
    readFileSync(join(root, 'docs/formats/settings.csv'), 'utf8')
      .split('\n')
      .map((line) => line.split(',').slice(4).join(',').replace(/^"|"$/g, '').trim()),
  );
  return published.set;
}

function filesBelow(folder) {
  return readdirSync(folder, { withFileTypes: true }).flatMap((item) =>
    item.isDirectory() ? filesBelow(join(folder, item.name)) : [join(folder, item.name)],
  );
}
