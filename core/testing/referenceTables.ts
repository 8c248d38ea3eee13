import { readFileSync } from 'node:fs';
import Papa from 'papaparse';

/** A table of published or independently computed check values beside this file, a record a row. Origins: `reference/README.md`. */
export function referenceTable(name: string): readonly Readonly<Record<string, string>>[] {
  const text = readFileSync(new URL(`./reference/${name}`, import.meta.url), 'utf8');
  return Papa.parse<Record<string, string>>(text, { header: true, skipEmptyLines: true }).data;
}

/** The same for JSON. */
export function referenceJson<Shape>(name: string): Shape {
  return JSON.parse(readFileSync(new URL(`./reference/${name}`, import.meta.url), 'utf8')) as Shape;
}
