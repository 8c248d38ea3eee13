import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from '../lib/project.mjs';

/** The phrases of docs/glossary.md that are not to be used, each with what to say instead. */
export function phrases() {
  const table = readFileSync(join(root, 'docs/glossary.md'), 'utf8').split('## Not to be used')[1];
  return [...table.matchAll(/^\| `([^`]+)` +\| ([^|]*)\| *(?:`([^`]+)`[^|]*)?\|/gm)].map(
    ([, pattern, instead, right]) => ({
      // A bar inside a table is written \|.
      pattern: new RegExp(pattern.replaceAll('\\|', '|'), 'i'),
      instead: instead.trim(),
      /** Where a text holds this, the phrase is right in it. */
      right: right ?? null,
    }),
  );
}

/** Every phrase that a text holds, with some of what stands around it. */
export function found(text, list = phrases()) {
  return list.flatMap(({ pattern, instead, right }) => {
    const at = text.search(pattern);
    if (at < 0 || (right !== null && text.includes(right))) return [];
    const around = text.slice(Math.max(0, at - 30), at + 60).replace(/\s+/g, ' ');
    return [`“…${around}…”: ${pattern.source}; say ${instead}`];
  });
}
