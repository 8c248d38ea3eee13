import type { TemperatureUnit } from '../../quantities/index.ts';

/** Units of people who read °F, and how many of them are one of ours. Exact by definition of the inch, the pound and the US gallon. */
const customary: Readonly<Record<string, readonly [unit: string, each: number]>> = {
  m: ['ft', 1 / 0.3048],
  'm²': ['ft²', 1 / 0.3048 ** 2],
  'm³': ['ft³', 1 / 0.3048 ** 3],
  mm: ['in', 1 / 25.4],
  l: ['gal', 1 / 3.785411784],
  'm³/h': ['gpm', 1000 / 3.785411784 / 60],
  kW: ['kBtu/h', 3600 / 1055.05585262],
};

/** The unit in which a number is shown to people who read these degrees, and the factor to it from ours. */
export function shownUnitOfFact(unit: string, display: TemperatureUnit): { unit: string; each: number } {
  const other = display === 'degF' ? customary[unit] : undefined;
  return other ? { unit: other[0], each: other[1] } : { unit, each: 1 };
}
