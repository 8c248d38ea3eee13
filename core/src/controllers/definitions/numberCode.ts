import {
  ceilTo,
  clean,
  decimalsOf,
  fits,
  floorTo,
  printNumber,
  quantity,
  roundTo,
  unitSymbol,
  valueIn,
  type Quantity,
  type Unit,
} from '../../foundation/quantities/index.ts';
import type { NumberEncoding } from './definition.ts';
import type { DisplayState } from './display.ts';

/** How a number stands on the display: its unit there (null for bare numbers), step and the ends it stops at. */
export interface NumberScale {
  readonly unit: Unit | null;
  readonly resolution: number;
  readonly min: number;
  readonly max: number;
  readonly default: number;
}

/** A number brought to the display, with how faithful it is. */
export interface NumberCode {
  readonly value: number;
  readonly rounded: boolean;
  readonly clamped: boolean;
}

/** Unit of the shown number; null for `ratio` and `none`. */
export function shownUnitOf(encoding: NumberEncoding, display: DisplayState): Unit | null {
  switch (encoding.unit) {
    case 'displayTemperature':
      return display.unit;
    case 'displayDifference':
      return display.unit === 'degF' ? 'deltaF' : 'K';
    case 'ratio':
    case 'none':
      return null;
    default:
      return encoding.unit;
  }
}

/**
 * The scale of a number for a display. min and max come from `rangeUnit` to the shown unit and inward to the resolution; the default
 * is converted, rounded half away from zero and kept inside.
 */
export function scaleOf(encoding: NumberEncoding, display: DisplayState): NumberScale {
  const unit = shownUnitOf(encoding, display);
  const resolution = resolutionOf(encoding, display);
  const shown = (value: number): number => {
    const from = rangeUnitOf(encoding);
    return unit === null || from === null ? value : valueIn(quantity(value, from), unit);
  };
  const min = ceilTo(shown(encoding.min), resolution);
  const max = floorTo(shown(encoding.max), resolution);
  return {
    unit,
    resolution,
    min,
    max,
    default: keepInside(roundTo(shown(encoding.default), resolution), min, max),
  };
}

/** The unit min, max and default stand in. Version 1 wants it stated for the display units; °C and K where an older file does not. */
export function rangeUnitOf(encoding: NumberEncoding): Unit | null {
  if (encoding.rangeUnit) return encoding.rangeUnit;
  if (encoding.unit === 'displayTemperature') return 'degC';
  if (encoding.unit === 'displayDifference') return 'K';
  return encoding.unit === 'ratio' || encoding.unit === 'none' ? null : encoding.unit;
}

/** Whether a number stands for another temperature where the display's unit changes. */
export const followsUnit = ({ unit }: NumberEncoding): boolean =>
  unit === 'displayTemperature' || unit === 'displayDifference';

/** Whether a number looks otherwise where the display's unit or its tenths change. */
export const followsDisplay = (encoding: NumberEncoding): boolean =>
  followsUnit(encoding) || typeof encoding.resolution === 'object';

/** Step of the shown number, counted from 0. */
export function resolutionOf(encoding: NumberEncoding, display: DisplayState): number {
  const { resolution } = encoding;
  if (typeof resolution === 'object') return display.decimal ? resolution.withDecimal : resolution.without;
  return resolution ?? 1;
}

/**
 * Brings a quantity (or a bare number) to the display: convert, round half away from zero, then clamp into min…max. One conversion and
 * one rounding, so nothing is rounded twice. Null where the unit does not fit.
 */
export function encodeNumber(
  value: Quantity | number,
  encoding: NumberEncoding,
  display: DisplayState,
): NumberCode | null {
  const scale = scaleOf(encoding, display);
  const wanted = shownNumber(value, scale.unit);
  if (wanted === null) return null;
  const signed = wanted * (encoding.sign ?? 1);
  const rounded = roundTo(signed, scale.resolution);
  const kept = keepInside(rounded, scale.min, scale.max);
  return { value: kept, rounded: Math.abs(rounded - signed) > 1e-6, clamped: kept !== rounded };
}

/** Reads a shown number back: a quantity in the shown unit, or a bare number. */
export function decodeNumber(
  shown: number,
  encoding: NumberEncoding,
  display: DisplayState,
): Quantity | number {
  const unit = shownUnitOf(encoding, display);
  const value = shown * (encoding.sign ?? 1) + 0;
  return unit === null ? value : quantity(value, unit);
}

/** A number as the display shows it: as many places as its resolution has. */
export function printCode(value: number, resolution: number): string {
  return clean(value, decimalsOf(resolution)).toFixed(decimalsOf(resolution));
}

/** “2 to 8 dF in steps of 0.1” */
export function printScale(scale: NumberScale): string {
  const unit = scale.unit === null ? '' : ` ${unitSymbol(scale.unit)}`;
  const step = scale.resolution === 1 ? '' : ` in steps of ${printNumber(scale.resolution, 4)}`;
  return `${printNumber(scale.min, 4)} to ${printNumber(scale.max, 4)}${unit}${step}`;
}

function shownNumber(value: Quantity | number, unit: Unit | null): number | null {
  if (typeof value === 'number') return unit === null ? value : null;
  return unit !== null && fits(value, unit) ? valueIn(value, unit) : null;
}

function keepInside(value: number, min: number, max: number): number {
  return Math.min(Math.max(value, min), max);
}
