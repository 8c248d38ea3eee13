import { plan, valuesOf } from '../../judgement/plan/index.ts';
import {
  fullMemory,
  settingsOfCodes,
  type ControllerDefinition,
} from '../../controllers/definitions/index.ts';
import type { SettingValues } from '../../foundation/settings/index.ts';
import type { Program } from './program.ts';

/** A set of values that may be compared with others: what was found, a preset, the plan, what is set. */
export interface Variant {
  readonly id: string;
  readonly name: string;
  readonly values: SettingValues;
}

/** Every set of values a job knows; presets as the new control would hold them, its defaults where they say nothing. */
export function variantsOfJob(program: Program, target: ControllerDefinition | null): readonly Variant[] {
  const { unit, found, inForce } = program;
  return [
    ...(found && Object.keys(found.values).length > 0
      ? [{ id: 'found', name: 'As found', values: found.values }]
      : []),
    ...(target?.presets ?? []).map((preset) => ({
      id: `preset:${preset.id}`,
      name: `Preset ${preset.name}`,
      values: settingsOfCodes(target!, fullMemory(target!, new Map(Object.entries(preset.values)))),
    })),
    ...(unit ? [{ id: 'plan', name: 'Plan', values: valuesOf(plan(unit)) }] : []),
    { id: 'set', name: 'In the unit', values: inForce },
  ];
}
