import { mixtureOf, type Mixture, type Substance } from './pengRobinson.ts';

const substance = (
  criticalK: number,
  criticalKPa: number,
  acentric: number,
  molarMass: number,
): Substance => ({ criticalK, criticalKPa, acentric, molarMass });

/** Critical points, acentric factors and molar masses of what blends are made of: published constants of the equations named in `fluids.ts`, from memory. */
export const substances = {
  'R-32': substance(351.255, 5782, 0.2769, 52.024),
  'R-125': substance(339.173, 3617.7, 0.3052, 120.021),
  'R-134a': substance(374.21, 4059.28, 0.32684, 102.032),
  'R-143a': substance(345.857, 3761, 0.2615, 84.041),
  'R-1234yf': substance(367.85, 3382.2, 0.276, 114.042),
  'R-1234ze(E)': substance(382.513, 3634.9, 0.313, 114.042),
} as const;

/** A blend by mass, %, as ANSI/ASHRAE 34 writes it (from memory). */
type ByMass = Readonly<Partial<Record<keyof typeof substances, number>>>;

const compositions = {
  'R-404A': { 'R-125': 44, 'R-143a': 52, 'R-134a': 4 },
  'R-407C': { 'R-32': 23, 'R-125': 25, 'R-134a': 52 },
  'R-410A': { 'R-32': 50, 'R-125': 50 },
  'R-448A': { 'R-32': 26, 'R-125': 26, 'R-1234yf': 20, 'R-134a': 21, 'R-1234ze(E)': 7 },
  'R-449A': { 'R-32': 24.3, 'R-125': 24.7, 'R-1234yf': 25.3, 'R-134a': 25.7 },
  'R-454C': { 'R-32': 21.5, 'R-1234yf': 78.5 },
  'R-507A': { 'R-125': 50, 'R-143a': 50 },
  'R-513A': { 'R-134a': 44, 'R-1234yf': 56 },
} as const satisfies Readonly<Record<string, ByMass>>;

export type BlendId = keyof typeof compositions;

/** The blend of that name as a mixture. */
export const blend = (id: BlendId): Mixture =>
  mixtureOf(
    (Object.entries(compositions[id]) as [keyof typeof substances, number][]).map(([part, mass]) => ({
      substance: substances[part],
      mass,
    })),
  );

/** A pure substance as a mixture of one, to hold the equation of state against a checked one. */
export const pure = (id: keyof typeof substances): Mixture =>
  mixtureOf([{ substance: substances[id], mass: 1 }]);
