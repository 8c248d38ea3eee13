import type { SettingId, SettingValue, SettingValues } from '../../foundation/settings/index.ts';
import { meaningOf } from './decode.ts';
import type { CodeValue, ControllerDefinition, Parameter } from './definition.ts';
import { defaultOf, displayOf, sameCodeValue, type CodeValues, type DisplayState } from './display.ts';
import { scaleOf } from './numberCode.ts';

/** Values of every code: those given, the rest at their default on the display as it then stands. */
export function fullMemory(definition: ControllerDefinition, given: CodeValues): CodeValues {
  const display = displayOf(definition, given);
  return new Map(
    definition.parameters.flatMap((parameter): [string, CodeValue][] => {
      const value = given.get(parameter.code) ?? shownDefault(parameter, display);
      return value === undefined ? [] : [[parameter.code, asShown(parameter, value)]];
    }),
  );
}

/** What a control that holds these values does, in settings: its fixed behaviour and the meaning of every code, rounding and all. */
export function settingsOfCodes(
  definition: ControllerDefinition,
  codes: CodeValues,
  display: DisplayState = displayOf(definition, codes),
): SettingValues {
  const values: Partial<Record<SettingId, SettingValue>> = { ...definition.implied, ...definition.fixed };
  for (const parameter of definition.parameters) {
    const value = codes.get(parameter.code);
    if (value !== undefined) Object.assign(values, meaningOf(parameter, value, display));
  }
  return values;
}

/** Numbers as numbers, options in their own spelling. */
export function asShown(parameter: Parameter, value: CodeValue): CodeValue {
  const { encoding } = parameter;
  if (encoding.type === 'number') return Number(value);
  if (encoding.type === 'choice')
    return encoding.options.find((o) => sameCodeValue(o.value, value))?.value ?? value;
  return value;
}

function shownDefault(parameter: Parameter, display: DisplayState): CodeValue | undefined {
  return parameter.encoding.type === 'number'
    ? scaleOf(parameter.encoding, display).default
    : defaultOf(parameter);
}
