import type { TemperatureUnit } from '../../foundation/quantities/index.ts';
import type { SettingId } from '../../foundation/settings/index.ts';
import { parameterOf, type CodeValue, type ControllerDefinition, type Parameter } from './definition.ts';

/** How a controller's display stands: its unit, and whether tenths are on. Every display number depends on both. */
export interface DisplayState {
  readonly unit: TemperatureUnit;
  readonly decimal: boolean;
}

/** Values by code, as the display shows them. */
export type CodeValues = ReadonlyMap<string, CodeValue>;

/** Own values as they stand where nobody has changed them. */
export function defaultOf(parameter: Parameter): CodeValue | undefined {
  return parameter.encoding.type === 'reading' ? undefined : parameter.encoding.default;
}

/**
 * The display for a set of values by code: the parameter that means `display.unit` (its value, else its default), else `fixed`, else
 * celsius; tenths alike, else off.
 */
export function displayOf(definition: ControllerDefinition, values: CodeValues): DisplayState {
  const unit = meaningOf(definition, 'display.unit', values) ?? definition.fixed?.['display.unit'];
  const decimal = meaningOf(definition, 'display.decimal', values) ?? definition.fixed?.['display.decimal'];
  return { unit: unit === 'fahrenheit' ? 'degF' : 'degC', decimal: decimal === true };
}

/** The parameter that alone holds a setting by choice, if there is one. */
export function choiceParameterFor(definition: ControllerDefinition, id: SettingId): Parameter | undefined {
  return definition.parameters.find((p) => p.setting === id && p.encoding.type === 'choice');
}

function meaningOf(definition: ControllerDefinition, id: SettingId, values: CodeValues): unknown {
  const parameter = choiceParameterFor(definition, id);
  if (!parameter || parameter.encoding.type !== 'choice') return undefined;
  const standing = values.get(parameter.code) ?? parameter.encoding.default;
  return parameter.encoding.options.find((o) => sameCodeValue(o.value, standing))?.means;
}

/** Compares two values as shown: as numbers where both are numbers, else as text. */
export function sameCodeValue(a: CodeValue, b: CodeValue): boolean {
  if (a === b) return true;
  const [x, y] = [Number(a), Number(b)];
  if (String(a).trim() === '' || String(b).trim() === '') return false;
  return Number.isFinite(x) && Number.isFinite(y) ? Math.abs(x - y) <= 1e-9 : false;
}

/** True when a parameter is in the menu for the values as they stand; a code not among them stands at its default. */
export function isVisible(
  definition: ControllerDefinition,
  parameter: Parameter,
  values: CodeValues,
): boolean {
  const condition = parameter.visibleWhen;
  if (!condition) return true;
  const master = parameterOf(definition, condition.code);
  const standing = values.get(condition.code) ?? (master ? defaultOf(master) : undefined);
  return standing !== undefined && condition.in.some((wanted) => sameCodeValue(wanted, standing));
}
