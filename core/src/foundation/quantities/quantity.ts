import { isUnit, type Unit } from './units.ts';

/** A number as it was typed, with its unit: `{"value": 37, "unit": "degF"}`. JSON-safe; never converted in place. */
export interface Quantity {
  readonly value: number;
  readonly unit: Unit;
}

/** Builds a quantity. `quantity(37, 'degF')`. */
export function quantity(value: number, unit: Unit): Quantity {
  return { value, unit };
}

/** True for a well-formed quantity read from a file: a finite number and a unit of this project. */
export function isQuantity(candidate: unknown): candidate is Quantity {
  if (typeof candidate !== 'object' || candidate === null) return false;
  const { value, unit } = candidate as { value?: unknown; unit?: unknown };
  return typeof value === 'number' && Number.isFinite(value) && isUnit(unit);
}
