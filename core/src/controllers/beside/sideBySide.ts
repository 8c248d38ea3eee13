import { fits, isQuantity, valueIn, type Quantity } from '../../foundation/quantities/index.ts';
import { isSettingId, type SettingId, type SettingValue } from '../../foundation/settings/index.ts';
import {
  decodeNumber,
  displayOf,
  meaningOf,
  parameterOf,
  resolutionOf,
  sameCodeValue,
  settingsOf,
  type CodeValue,
  type CodeValues,
  type ControllerDefinition,
  type DisplayState,
  type Parameter,
} from '../definitions/index.ts';
import { ownToUnit, type OwnReason } from './ownToUnit.ts';

/** A control and what is known to stand in it, by code, as its display shows it. */
export interface BesideControl {
  readonly definition: ControllerDefinition;
  readonly values: CodeValues;
}

/** What one side has: a code with its value and the display it is told in, or what is built into it. */
export type BesideCell =
  | { readonly parameter: Parameter; readonly value: CodeValue; readonly display: DisplayState }
  | { readonly builtIn: SettingValue };

/** One line of two controls side by side. */
export interface BesideRow {
  /** The setting both are told by; null where the same code is compared that nobody gave a setting. */
  readonly setting: SettingId | null;
  readonly left: BesideCell | null;
  readonly right: BesideCell | null;
  /** `oneSided`: the other has it not, or nobody knows what stands there. */
  readonly is: 'same' | 'differs' | 'oneSided';
  /** Why they may well differ: it belongs to the unit alone. */
  readonly own: OwnReason | null;
}

/** What a cell means, and half the least step that its display can tell, in the same measure. */
interface Meant {
  readonly value: SettingValue | CodeValue;
  readonly half: number;
}

/** Whether both are one controller in one version: their codes mean the same. */
export const isSameControl = (left: BesideControl, right: BesideControl): boolean =>
  left.definition.id === right.definition.id && left.definition.version === right.definition.version;

/**
 * Two controls side by side. The same controller: code by code in the order of its menu. Two different ones: setting by setting, in the order of the left menu, then of the right one. Numbers
 * are compared by what they mean: −18 °C and 0 °F are the same as far as displays with whole degrees can tell, which is half a step of the coarser one.
 */
export function sideBySide(left: BesideControl, right: BesideControl): readonly BesideRow[] {
  return isSameControl(left, right) ? byCode(left, right) : bySetting(left, right);
}

function byCode(left: BesideControl, right: BesideControl): readonly BesideRow[] {
  return left.definition.parameters
    .filter(({ encoding }) => encoding.type !== 'reading')
    .flatMap((parameter): BesideRow[] => {
      const cells = [left, right].map((side) => {
        const value = side.values.get(parameter.code);
        const own = parameterOf(side.definition, parameter.code) ?? parameter;
        return value === undefined
          ? null
          : { parameter: own, value, display: displayOf(side.definition, side.values) };
      });
      const [a, b] = cells as [BesideCell | null, BesideCell | null];
      if (!a && !b) return [];
      const setting = typeof parameter.setting === 'string' ? parameter.setting : null;
      return [{ setting, left: a, right: b, is: judged(a, b, null), own: ownToUnit(parameter) }];
    });
}

function bySetting(left: BesideControl, right: BesideControl): readonly BesideRow[] {
  const [a, b] = [cellsOf(left), cellsOf(right)];
  return [...new Set([...a.keys(), ...b.keys()])].map((setting): BesideRow => {
    const [x, y] = [a.get(setting) ?? null, b.get(setting) ?? null];
    const parameter = [x, y].map((cell) => (cell && 'parameter' in cell ? cell.parameter : null));
    const own = parameter.map((one) => one && ownToUnit(one)).find((one) => one) ?? null;
    return { setting, left: x, right: y, is: judged(x, y, setting), own };
  });
}

/** What a control has of each setting: by its codes, else built in. What the booklet only implies nobody has seen. */
function cellsOf({ definition, values }: BesideControl): ReadonlyMap<SettingId, BesideCell> {
  const display = displayOf(definition, values);
  const cells = new Map<SettingId, BesideCell>();
  for (const parameter of definition.parameters) {
    const value = values.get(parameter.code);
    if (value === undefined) continue;
    const means = Object.keys(meaningOf(parameter, value, display)).filter(isSettingId);
    for (const id of means.length > 0 ? means : settingsOf(parameter))
      if (!cells.has(id)) cells.set(id, { parameter, value, display });
  }
  for (const [id, builtIn] of Object.entries(definition.fixed ?? {}))
    if (isSettingId(id) && !cells.has(id)) cells.set(id, { builtIn });
  return cells;
}

function judged(a: BesideCell | null, b: BesideCell | null, setting: SettingId | null): BesideRow['is'] {
  if (!a || !b) return 'oneSided';
  const [x, y] = [meant(a, setting), meant(b, setting)];
  // Half a step of either display, each in its own measure.
  return alike(x, y.value) || alike(y, x.value) ? 'same' : 'differs';
}

function meant(cell: BesideCell, setting: SettingId | null): Meant {
  if ('builtIn' in cell) return { value: cell.builtIn, half: 0 };
  const { parameter, value, display } = cell;
  const { encoding } = parameter;
  if (encoding.type !== 'number')
    return { value: (setting && meaningOf(parameter, value, display)[setting]) ?? value, half: 0 };
  const at = (shown: number): Quantity | number => {
    const told = setting && meaningOf(parameter, shown, display)[setting];
    return isQuantity(told) || typeof told === 'number' ? told : decodeNumber(shown, encoding, display);
  };
  const [here, next] = [at(Number(value)), at(Number(value) + resolutionOf(encoding, display))];
  return { value: here, half: apart(here, next) / 2 };
}

/** How far two values are apart, in the measure of the first; infinite where they are no numbers of one kind. */
function apart(a: unknown, b: unknown): number {
  if (isQuantity(a) && isQuantity(b))
    return fits(b, a.unit) ? Math.abs(a.value - valueIn(b, a.unit)) : Infinity;
  return typeof a === 'number' && typeof b === 'number' ? Math.abs(a - b) : Infinity;
}

function alike({ value, half }: Meant, other: Meant['value']): boolean {
  if (apart(value, other) <= half + 1e-9) return true;
  const isWord = (one: unknown) => typeof one === 'string';
  return isWord(value) || isWord(other)
    ? sameCodeValue(value as CodeValue, other as CodeValue)
    : JSON.stringify(value) === JSON.stringify(other);
}
