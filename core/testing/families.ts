import { readFileSync, readdirSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import {
  settingsOf,
  type ControllerDefinition,
  type SheetRow,
} from '../src/controllers/definitions/index.ts';

const folder = fileURLToPath(new URL('../../demo/controllers/', import.meta.url));

/** The invented families of the demo, by id. For tests only: the core itself reads no files. */
export const families: ReadonlyMap<string, ControllerDefinition> = new Map(
  readdirSync(folder)
    .filter((name) => name.endsWith('.controller.json'))
    .map((name) => JSON.parse(readFileSync(folder + name, 'utf8')) as ControllerDefinition)
    .map((definition) => [definition.id, definition]),
);

export function family(id: string): ControllerDefinition {
  const definition = families.get(id);
  if (!definition) throw new Error(`no demo family ${id}`);
  return definition;
}

/** A sheet from codes and values. */
export function sheetOf(values: Readonly<Record<string, string | number>>): readonly SheetRow[] {
  return Object.entries(values).map(([code, value]) => ({ code, value: String(value) }));
}

/** A definition without the codes of a group of settings, such as `compressor`. */
export const withoutCodes = (definition: ControllerDefinition, group: string): ControllerDefinition => ({
  ...definition,
  parameters: definition.parameters.filter((p) => !settingsOf(p).some((id) => id.startsWith(`${group}.`))),
});
