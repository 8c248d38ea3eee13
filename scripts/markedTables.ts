import { readFileSync, writeFileSync } from 'node:fs';

/** Writes tables into a page of the docs, each between its marks `<!-- name -->` and `<!-- /name -->`. */
export function writeMarkedTables(path: URL, tables: Readonly<Record<string, string>>): void {
  let text = readFileSync(path, 'utf8');
  for (const [name, table] of Object.entries(tables)) {
    const marks = new RegExp(`(<!-- ${name} -->)[^]*?(<!-- /${name} -->)`);
    if (!marks.test(text)) throw new Error(`${path.pathname} has no marks for ${name}`);
    text = text.replace(marks, (_, begin: string, end: string) => `${begin}\n\n${table}\n\n${end}`);
  }
  writeFileSync(path, text);
}
