import type { ControllerDefinition } from '@brine/core/controllers/definitions';

/** Whether a definition was written down in this application: it then holds the pasted text, so a new version can begin with that. */
export function writtenHere(definition: ControllerDefinition): boolean {
  return typeof definition.writing?.text === 'string';
}
