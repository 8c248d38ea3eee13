import { plan, valuesOf } from '../advice/index.ts';
import { displayOf, type CodeValue, type ControllerDefinition } from '../controllers/index.ts';
import type { SettingValues } from '../settings/index.ts';
import { valuesInForce, type Program } from './program.ts';

/** A set of values that may be compared with others: what was found, a preset, the plan, what is set. */
export interface Variant {
  readonly id: string;
  readonly name: string;
  readonly values: SettingValues;
}

/** Every set of values a job knows, as the new control would hold them; `inForce` is what is set now. */
export function variantsOfJob(
  program: Program,
  target: ControllerDefinition | null,
  inForce: SettingValues,
): readonly Variant[] {
  const { unit, found } = program;
  return [
    ...(found && Object.keys(found.values).length > 0
      ? [{ id: 'found', name: 'As found', values: found.values }]
      : []),
    ...(target?.presets ?? []).map((preset) => ({
      id: `preset:${preset.id}`,
      name: `Preset ${preset.name}`,
      values: presetValues(target!, preset.values),
    })),
    ...(unit ? [{ id: 'plan', name: 'Plan', values: valuesOf(plan(unit)) }] : []),
    { id: 'set', name: 'As set', values: inForce },
  ];
}

/** A preset of a control in settings: its own codes, the defaults where it says nothing. */
function presetValues(
  target: ControllerDefinition,
  preset: Readonly<Record<string, CodeValue>>,
): SettingValues {
  const rows = target.parameters.flatMap((p) => {
    const value = preset[p.code] ?? ('default' in p.encoding ? p.encoding.default : undefined);
    return value === undefined ? [] : [{ code: p.code, value: value as CodeValue }];
  });
  return valuesInForce(target, rows, displayOf(target, new Map(rows.map((row) => [row.code, row.value]))));
}
