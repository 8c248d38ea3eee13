import { entrySchemas } from '../entries/index.ts';
import { jobFile } from '../files/index.ts';
import { jsonSchemaOf, type Json } from './jsonSchema.ts';

const dialect = 'https://json-schema.org/draft/2020-12/schema';
const ENTRY_FILE = 'entry.schema.json';

/**
 * JSON Schemas of the formats whose one source is this workspace, by the name of their file in `docs/formats`: what an entry of a job may
 * say, one shape a kind, and a job with its history. What the core judges itself (a circuit's part, a value of a setting) is left open.
 */
export function formatSchemas(): Readonly<Record<string, Json>> {
  return {
    [ENTRY_FILE]: {
      $schema: dialect,
      title: 'Brine Dial entry of a job, version 1',
      description: 'What an entry says: one of the kinds, told by "kind".',
      oneOf: Object.values(entrySchemas).map((schema) => jsonSchemaOf(schema)),
    },
    'job.schema.json': {
      $schema: dialect,
      title: 'Brine Dial job with its history, version 1',
      description:
        'A job to move between installations: *.brine.json. Entries keep their order; people are names only. Pictures are JPEG in base64. Logs have files of their own.',
      ...withEntries(jsonSchemaOf(jobFile)),
    },
  };
}

/** The bodies of a job's entries pointed at their own schema. */
function withEntries(job: Json): Json {
  const properties = job['properties'] as Readonly<Record<string, Json>>;
  const entries = properties['entries']!;
  const entry = entries['items'] as Json;
  const fields = { ...(entry['properties'] as Json), body: { $ref: ENTRY_FILE } };
  return {
    ...job,
    properties: { ...properties, entries: { ...entries, items: { ...entry, properties: fields } } },
  };
}
