import { PRODUCT_TOLERANCE_K } from '../../foundation/limits/index.ts';
import type { ToolFacts, UnitDescription } from '../../foundation/unit/index.ts';
import type { CodeValue, ControllerDefinition } from '../../controllers/definitions/index.ts';
import {
  printFor,
  printNumber,
  quantity,
  type Quantity,
  type TemperatureUnit,
  difference,
  differenceIn,
  temperature,
  temperatureIn,
} from '../../foundation/quantities/index.ts';
import type { SettingValues } from '../../foundation/settings/index.ts';
import type { Spread, StorageLimits } from '../../machines/simulation/index.ts';
import type { HumidityCourse } from './humidity/decide.ts';

/** A line of a table: what was tried or found. With `values` or a `code` it can be taken into the plan. */
export interface ToolRow {
  readonly id: string;
  readonly cells: readonly string[];
  readonly best?: boolean;
  /** Out of the question, and why in one of its cells. */
  readonly off?: boolean;
  readonly values?: SettingValues;
  /** A code of the new control that can be planned so, where no setting says it: a preset. */
  readonly code?: { readonly code: string; readonly value: CodeValue };
  readonly why?: string;
}

export interface ToolTable {
  readonly id: string;
  readonly title: string;
  readonly heads: readonly string[];
  readonly rows: readonly ToolRow[];
}

/** What a tool says: the answer first, then what it stands on, then its tables. */
export interface ToolReport {
  readonly answer: string;
  readonly words: readonly string[];
  readonly tables: readonly ToolTable[];
  readonly caution?: string;
}

/** What the tools of one kind of job work from. */
export interface ToolInput {
  readonly unit: UnitDescription;
  /** What is set: planned values and what was changed by hand. */
  readonly values: SettingValues;
  /** What the old control held; null where nothing was read. */
  readonly found: SettingValues | null;
  readonly facts: ToolFacts;
  readonly display: TemperatureUnit;
  /** The new control; null while none is chosen. */
  readonly definition: ControllerDefinition | null;
  readonly humidity: HumidityCourse;
  /** The looks at the coil, the first one first. */
  readonly frost: readonly FrostLook[];
  /** The moment, ISO 8601: what is to be waited for depends on it. */
  readonly now: string;
}

/** Frost seen at a cell of the coil, 0 none to 3 thick. Rows from the top, columns from the left, from 1. */
export interface FrostNote {
  readonly row: number;
  readonly column: number;
  readonly level: number;
}

/** One look at the coil's face. */
export interface FrostLook {
  /** Which look it was, from 1. */
  readonly look: number;
  readonly notes: readonly FrostNote[];
  /** When it was begun, ISO 8601. */
  readonly at: string;
}

/** Told the share done; false stops the work. */
export type ToolProgress = (share: number) => boolean;

/** Computes a report; a sentence where it cannot be. Null where it was stopped. */
export type ToolWork = (input: ToolInput, progress: ToolProgress) => ToolReport | string | null;

/** A temperature to a tenth in the degrees shown. */
export const shownCelsius = (celsius: number, display: TemperatureUnit): string =>
  printFor(quantity(celsius, 'degC'), display);

/** A difference to a tenth in the degrees shown. */
export const shownKelvin = (kelvin: number, display: TemperatureUnit): string =>
  printFor(quantity(kelvin, 'K'), display);

/** A temperature as it is keyed in: whole degrees Fahrenheit, tenths of a degree Celsius. */
export const typedCelsius = (celsius: number, display: TemperatureUnit): Quantity =>
  display === 'degF'
    ? quantity(Math.round(temperatureIn(temperature(celsius, 'degC'), 'degF')), 'degF')
    : quantity(Math.round(celsius * 10) / 10, 'degC');

/** A difference as it is keyed in. */
export const typedKelvin = (kelvin: number, display: TemperatureUnit): Quantity =>
  display === 'degF'
    ? quantity(Math.round(differenceIn(difference(kelvin, 'K'), 'deltaF') * 10) / 10, 'deltaF')
    : quantity(Math.round(kelvin * 10) / 10, 'K');

/** “3.4 a day”, to so many decimals. */
export const figure = (value: number, unit: string, decimals = 1): string =>
  `${printNumber(value, decimals)} ${unit}`.trim();

/** True where goods stay between their limits. */
export const goodsHold = (product: Pick<Spread, 'min' | 'max'>, limits: StorageLimits): boolean =>
  (limits.max === null || product.max <= limits.max + PRODUCT_TOLERANCE_K) &&
  (limits.min === null || product.min >= limits.min - PRODUCT_TOLERANCE_K);

/** Runs a list of trials one by one; the first sentence of one that cannot be run, or null where it was stopped on the way. */
export function tryAll<In, Out extends object>(
  list: readonly In[],
  work: (one: In) => Out | string,
  progress: ToolProgress,
): Out[] | string | null {
  const done: Out[] = [];
  for (const [i, one] of list.entries()) {
    if (!progress(i / list.length)) return null;
    const out = work(one);
    if (typeof out === 'string') return out;
    done.push(out);
  }
  return done;
}
