import { readFileSync } from 'node:fs';
import { readDefinition } from '@brine/core/controllers/definitions';

const read = readDefinition(
  JSON.parse(
    readFileSync(new URL('../../demo/controllers/skerry-dx.controller.json', import.meta.url), 'utf8'),
  ),
);
if ('faults' in read) throw new Error(read.faults[0]!.message);

/** A control of the demo with registers for all of its codes. */
export const skerryDx = read.definition;
