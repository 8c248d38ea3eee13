import {
  decodeNumber,
  displayOf,
  encodeNumber,
  followsDisplay,
  sameCodeValue,
  scaleOf,
  type CodeValue,
  type CodeValues,
  type ControllerDefinition,
  type DisplayState,
  type Parameter,
} from '../definitions/index.ts';
import type { Machine, PanelState } from './machine.ts';

/** Values as they stand: in hand before memory. */
export function standingValues(state: PanelState): CodeValues {
  return state.hand.size === 0 ? state.memory : new Map([...state.memory, ...state.hand]);
}

/** How the display stands: by what is stored, not by what is in hand. */
export function displayNow(machine: Machine, state: PanelState): DisplayState {
  return displayOf(machine.definition, state.memory);
}

/** True for the parameters on which every other number's look depends. */
export function setsDisplay(parameter: Parameter): boolean {
  return parameter.setting === 'display.unit' || parameter.setting === 'display.decimal';
}

/**
 * Memory after a value is stored. A preset brings its values with it; a change of the display's unit or tenths converts, keeps or resets
 * the numbers that are shown in it, as the definition says (`onUnitChange`).
 */
export function store(
  definition: ControllerDefinition,
  memory: CodeValues,
  code: string,
  value: CodeValue,
): CodeValues {
  const parameter = definition.parameters.find((p) => p.code === code);
  if (!parameter) return memory;
  const next = new Map(memory).set(code, value);
  if (parameter.encoding.type === 'preset')
    return presetValues(definition, value).reduce<CodeValues>(
      (standing, [own, preset]) => store(definition, standing, own, preset),
      next,
    );
  return setsDisplay(parameter) ? converted(definition, memory, next, parameter) : next;
}

/** The values of a preset, those that set the display first. */
export function presetValues(
  definition: ControllerDefinition,
  id: CodeValue,
): readonly [string, CodeValue][] {
  const preset = definition.presets?.find((p) => sameCodeValue(p.id, id));
  const values = Object.entries(preset?.values ?? {});
  const first = ([code]: [string, CodeValue]) => {
    const parameter = definition.parameters.find((p) => p.code === code);
    return parameter && setsDisplay(parameter) ? 0 : 1;
  };
  return [...values].sort((a, b) => first(a) - first(b));
}

function converted(
  definition: ControllerDefinition,
  before: CodeValues,
  after: CodeValues,
  switched: Parameter,
): CodeValues {
  const [old, now] = [displayOf(definition, before), displayOf(definition, after)];
  if (old.unit === now.unit && old.decimal === now.decimal) return after;
  const rule = switched.onUnitChange ?? definition.onUnitChange ?? 'converted';
  const next = new Map(after);
  for (const { code, encoding } of definition.parameters) {
    const value = after.get(code);
    if (encoding.type !== 'number' || typeof value !== 'number' || !followsDisplay(encoding)) continue;
    const scale = scaleOf(encoding, now);
    if (rule === 'defaults' && old.unit !== now.unit) next.set(code, scale.default);
    else if (rule === 'kept') next.set(code, Math.min(Math.max(value, scale.min), scale.max));
    else next.set(code, encodeNumber(decodeNumber(value, encoding, old), encoding, now)!.value);
  }
  return next;
}
