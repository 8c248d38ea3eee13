import {
  parameterOf,
  sameCodeValue,
  type CodeValue,
  type CodeValues,
  type ControllerDefinition,
  type SheetRow,
} from '../definitions/index.ts';
import { parseNumber } from '../../foundation/quantities/index.ts';
import { CannotPlan } from './plan/wishes.ts';

/**
 * The values a panel stands at, from a sheet; codes not on it are left to their default. Throws {@link CannotPlan} for a code or an option
 * that this family has not: strokes planned from a wrong start would do something else.
 */
export function presentValues(definition: ControllerDefinition, rows: readonly SheetRow[]): CodeValues {
  const values = new Map<string, CodeValue>();
  for (const { code, value, line } of rows) {
    if (values.has(code)) continue;
    const parameter = parameterOf(definition, code);
    const where = line === undefined ? code : `line ${line}: ${code}`;
    if (!parameter) throw new CannotPlan(`${where}: no code of this controller`);
    const { encoding } = parameter;
    if (encoding.type === 'reading') continue;
    if (encoding.type === 'number') {
      const number = parseNumber(value);
      if (number === null) throw new CannotPlan(`${where}: “${value}” is not a number`);
      values.set(code, number);
      continue;
    }
    const options =
      encoding.type === 'choice'
        ? encoding.options.map((o) => o.value)
        : (definition.presets ?? []).map((p) => p.id);
    const option = options.find((o) => sameCodeValue(o, value));
    if (option === undefined)
      throw new CannotPlan(`${where}: “${value}” is no option of it; expected ${options.join(', ')}`);
    values.set(code, option);
  }
  return values;
}
