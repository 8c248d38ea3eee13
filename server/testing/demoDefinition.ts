import { readFileSync } from 'node:fs';
import type { ControllerDefinition } from '@brine/core/controllers/definitions';

/** A controller family of the demo, by its id. */
export const demoDefinition = (id: string): ControllerDefinition =>
  JSON.parse(
    readFileSync(new URL(`../../demo/controllers/${id}.controller.json`, import.meta.url), 'utf8'),
  ) as ControllerDefinition;
