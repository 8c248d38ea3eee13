import { encode } from '../../../controllers/translate/index.ts';
import {
  fullMemory,
  sameCodeValue,
  settingsOfCodes,
  type CodeValue,
  type ControllerDefinition,
} from '../../../controllers/definitions/index.ts';
import type { SettingValues } from '../../../foundation/settings/index.ts';

/** A code that stands otherwise after a preset than it should. */
export interface PresetGap {
  readonly code: string;
  readonly name: string;
  readonly preset: CodeValue;
  readonly wanted: CodeValue;
}

/** How well a preset does what is wanted. */
export interface PresetFit {
  readonly id: string;
  readonly name: string;
  /** Codes whose meaning is wanted and that the preset holds. */
  readonly alike: number;
  /** What must still be changed after it, in menu order. */
  readonly gaps: readonly PresetGap[];
}

/**
 * A family's presets by meaning, the one that leaves least to change first: the wanted settings and each preset are written in the family's own
 * codes on one display, so that a value the control can only round does not count as a difference. Codes nothing is wanted of do not count.
 */
export function rankPresets(definition: ControllerDefinition, wanted: SettingValues): readonly PresetFit[] {
  const asked = codesOf(definition, wanted);
  return (definition.presets ?? [])
    .map((preset): PresetFit => {
      const memory = fullMemory(definition, new Map(Object.entries(preset.values)));
      const meaning = settingsOfCodes(definition, memory);
      const held = codesOf(definition, {
        ...meaning,
        ...pick(wanted, ['display.unit', 'display.decimal']),
      });
      const gaps = [...asked].flatMap(([code, value]): PresetGap[] => {
        const now = held.get(code) ?? memory.get(code);
        if (now === undefined || sameCodeValue(now, value)) return [];
        const name = definition.parameters.find((p) => p.code === code)?.name ?? code;
        return [{ code, name, preset: now, wanted: value }];
      });
      return { id: preset.id, name: preset.name, alike: asked.size - gaps.length, gaps };
    })
    .toSorted((a, b) => a.gaps.length - b.gaps.length);
}

/** What settings come to in a family's codes; those left at the default because nothing is said of them are not asked for. */
function codesOf(definition: ControllerDefinition, values: SettingValues): ReadonlyMap<string, CodeValue> {
  return new Map(
    encode(values, definition).rows.flatMap((row): [string, CodeValue][] =>
      row.code === null || row.status === 'default' || row.status === 'fixed'
        ? []
        : [[row.code, row.value as CodeValue]],
    ),
  );
}

function pick(values: SettingValues, ids: readonly (keyof SettingValues)[]): SettingValues {
  return Object.fromEntries(ids.flatMap((id) => (values[id] === undefined ? [] : [[id, values[id]]])));
}
