import { readFileSync } from 'node:fs';
import { describe, expect, test } from '@jest/globals';
import Ajv2020 from 'ajv/dist/2020.js';
import { entryProblem, entrySchemas, type EntryBody } from '../entries/index.ts';
import { readJobFile } from '../files/index.ts';
import { formatSchemas } from './formatSchemas.ts';

const read = (path: string): unknown =>
  JSON.parse(readFileSync(new URL(`../../../${path}`, import.meta.url), 'utf8'));
const Ajv = Ajv2020 as unknown as new (options: object) => {
  addSchema(schema: object, name: string): void;
  getSchema(name: string): ((data: unknown) => boolean) & { errors?: unknown };
};
const ajv = new Ajv({ strict: false });
for (const [name, schema] of Object.entries(formatSchemas())) ajv.addSchema(schema, name);
const valid = (name: string, data: unknown) => ajv.getSchema(name)(data);

const demo = read('demo/saltmarsh.json') as {
  readonly jobs: readonly { readonly entries: readonly EntryBody[] }[];
};
/** One body of each kind that the demo holds, in its fullest form. */
const bodies = new Map<string, EntryBody>();
for (const body of demo.jobs.flatMap((job) => job.entries)) {
  const known = bodies.get(body.kind);
  if (!known || JSON.stringify(body).length > JSON.stringify(known).length) bodies.set(body.kind, body);
}

describe('the schemas of what others may write', () => {
  test('are the files in docs/formats', () => {
    for (const [name, schema] of Object.entries(formatSchemas()))
      expect([name, read(`docs/formats/${name}`)]).toEqual([name, schema]);
  });

  test('hold for every entry of the demo that the program takes', () => {
    const taken = demo.jobs.flatMap((job) => job.entries).filter((body) => entryProblem(body) === null);
    expect(taken.length).toBeGreaterThan(100);
    expect(taken.filter((body) => !valid('entry.schema.json', body))).toEqual([]);
  });

  // Oracle: the program's own judge, a second way to say what is refused.
  test.each([...bodies])(
    'refuse a %s with any of its needed fields missing, as the program does',
    (kind, body) => {
      for (const field of Object.keys(body)) {
        const { [field]: _, ...rest } = body as unknown as Readonly<Record<string, unknown>>;
        if (entryProblem(rest) === null) continue;
        expect([kind, field, valid('entry.schema.json', rest)]).toEqual([kind, field, false]);
      }
    },
  );

  test('know every kind once', () => {
    const { oneOf } = formatSchemas()['entry.schema.json'] as {
      oneOf: readonly { properties: { kind: { enum: readonly string[] } } }[];
    };
    expect(oneOf.flatMap((one) => one.properties.kind.enum)).toEqual(Object.keys(entrySchemas));
  });

  test('hold for the example of a job, and refuse one without entries, as the program does', () => {
    const job = read('docs/formats/examples/spring-visit.brine.json') as object;
    expect([valid('job.schema.json', job), ajv.getSchema('job.schema.json').errors]).toEqual([true, null]);
    const { entries: _, ...without } = job as { entries: unknown };
    expect(valid('job.schema.json', without)).toBe(false);
    expect(readJobFile(without)).toMatchObject({ problem: true, field: 'entries' });
  });
});
