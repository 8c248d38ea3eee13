import {
  isVisible,
  parameterOf,
  sameCodeValue,
  settingsOf,
  type CodeValue,
  type CodeValues,
  type ControllerDefinition,
  type Parameter,
} from '../../controllers/definitions/index.ts';
import type { Encoded, RowStatus, TranslatedRow } from '../../controllers/translate/index.ts';
import type { JobState } from '../fold/index.ts';

/** Where a code's value comes from: the plan, the old control, a preset, the control's own default, or somebody's hand. */
export type ValueSource = 'plan' | 'old' | 'preset' | 'default' | 'hand';

/** What a code is to be set to, whether its menu shows it or not. */
export interface Target {
  readonly parameter: Parameter;
  readonly value: CodeValue;
  readonly source: ValueSource;
  /** What the plan makes of this code, whatever was chosen instead; null where the plan has nothing to say. */
  readonly planned: CodeValue | null;
  /** How the plan's value came into this control's code, and in words. */
  readonly row: TranslatedRow & { readonly status: Exclude<RowStatus, 'fixed'> };
  /** True where somebody chose the value. */
  readonly chosen: boolean;
  /** Why it was chosen, where that was said. */
  readonly why: string | null;
  /** What the planned preset sets this code to by itself; null where none is planned or it leaves the code alone. */
  readonly byPreset: CodeValue | null;
  /** The menu shows it, for the values as they are to stand. */
  readonly visible: boolean;
  /** It acts: it is visible, and so is whatever it hangs on, up to the root. */
  readonly inEffect: boolean;
}

/** A value that was chosen for a code instead of the plan's, standing now. */
export interface CodeChoice {
  readonly value: CodeValue;
  readonly why: string | null;
}

/**
 * The values chosen code by code. A code's choice holds until a later entry plans one of its settings anew: whoever moves a flag on the rule after typing a
 * code means the flag.
 */
export function choicesOf(
  state: JobState,
  definition: ControllerDefinition,
): ReadonlyMap<string, CodeChoice> {
  const later = new Map<string, number>();
  const order = [...state.registers.values()].map((heads) => heads.at(-1)!);
  // A pending entry comes after every accepted one, in the order it was written.
  const place = (sequence: number | null, deviceSequence: number) => sequence ?? 1e12 + deviceSequence;
  for (const { entry, sequence } of order)
    if (entry.body.kind === 'planned' && entry.body.value !== null)
      later.set(entry.body.setting, place(sequence, entry.deviceSequence));
  const choices = new Map<string, CodeChoice>();
  for (const { entry, sequence } of order) {
    const { body } = entry;
    if (body.kind !== 'plannedCode' || body.value === null) continue;
    const parameter = parameterOf(definition, body.code);
    if (!parameter) continue;
    const at = place(sequence, entry.deviceSequence);
    if (settingsOf(parameter).some((id) => (later.get(id) ?? -1) > at)) continue;
    choices.set(body.code, { value: body.value, why: body.why ?? null });
  }
  return choices;
}

/**
 * What every code of a control is to be set to: chosen by hand, else the plan, else the planned preset, else its own default; and which of them the menu then
 * shows. `copied`: what the old control's values make of each code.
 */
export function targetsOf(
  definition: ControllerDefinition,
  encoded: Encoded,
  choices: ReadonlyMap<string, CodeChoice>,
  copied: ReadonlyMap<string, CodeValue>,
): readonly Target[] {
  const preset = plannedPreset(definition, choices);
  const targets = encoded.all.flatMap((row) => {
    const parameter = row.code === null ? undefined : parameterOf(definition, row.code);
    if (!parameter) return [];
    const choice = choices.get(parameter.code);
    const byPreset = preset?.[parameter.code] ?? null;
    const planned = row.status === 'default' ? null : (row.value as CodeValue);
    const value = choice?.value ?? planned ?? byPreset ?? (row.value as CodeValue);
    return [
      {
        parameter,
        value,
        planned,
        source: sourceOf(definition, parameter, value, {
          choice: choice?.value,
          planned,
          byPreset,
          own: row.value as CodeValue,
          copied: copied.get(parameter.code),
        }),
        row: row as Target['row'],
        chosen: choice !== undefined,
        why: choice?.why ?? null,
        byPreset,
      },
    ];
  });
  const standing = new Map(targets.map(({ parameter, value }) => [parameter.code, value]));
  return targets.map((target) => ({
    ...target,
    visible: isVisible(definition, target.parameter, standing),
    inEffect: actsIn(definition, target.parameter, standing),
  }));
}

/** The values of the preset that was chosen for the code that holds them; the factory's own is none. */
function plannedPreset(
  definition: ControllerDefinition,
  choices: ReadonlyMap<string, CodeChoice>,
): Readonly<Record<string, CodeValue>> | null {
  for (const { code, encoding } of definition.parameters) {
    const choice = choices.get(code);
    if (encoding.type !== 'preset' || !choice) continue;
    return definition.presets?.find((p) => sameCodeValue(p.id, choice.value))?.values ?? null;
  }
  return null;
}

/** Up to the root of the conditions; a circle of them ends it. */
function actsIn(definition: ControllerDefinition, parameter: Parameter, standing: CodeValues): boolean {
  const seen = new Set<string>();
  for (let at: Parameter | undefined = parameter; at;) {
    if (!isVisible(definition, at, standing)) return false;
    seen.add(at.code);
    const master: string | undefined = at.visibleWhen?.code;
    at = master === undefined || seen.has(master) ? undefined : parameterOf(definition, master);
  }
  return true;
}

/** What was chosen for a code says by its value where it comes from; the old control counts before the plan and a preset. */
function sourceOf(
  definition: ControllerDefinition,
  parameter: Parameter,
  value: CodeValue,
  known: {
    readonly choice: CodeValue | undefined;
    readonly planned: CodeValue | null;
    readonly byPreset: CodeValue | null;
    readonly own: CodeValue;
    readonly copied: CodeValue | undefined;
  },
): ValueSource {
  if (known.choice === undefined)
    return known.planned !== null ? 'plan' : known.byPreset !== null ? 'preset' : 'default';
  const is = (other: CodeValue | null | undefined) =>
    other !== undefined && other !== null && sameCodeValue(other, value);
  if (is(known.copied)) return 'old';
  if (is(known.planned)) return 'plan';
  if (parameter.encoding.type === 'preset') return 'hand';
  if (definition.presets?.some((preset) => is(preset.values[parameter.code]))) return 'preset';
  return known.planned === null && is(known.own) ? 'default' : 'hand';
}
