import type { UnitDescription } from '../../foundation/unit/index.ts';

/** A unit without what was learned of it: what it is learned against. */
export function usualOf(unit: UnitDescription): UnitDescription {
  const { learned: _learned, ...usual } = unit;
  return usual;
}
