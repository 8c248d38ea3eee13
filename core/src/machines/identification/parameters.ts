import type { BoxParameters } from '../box/index.ts';

/** What may be learned of a box. A factor against the usual box of its kind, or an amount of its own. */
export const parameterIds = [
  'airHeat',
  'wallLoss',
  'wallHeat',
  'wallToAir',
  'capacity',
  'coilToAir',
  'coilHeat',
  'productToAir',
  'productFast',
  'productSlow',
  'constantHeat',
  'doorUse',
  'humidity',
  'ambientSwing',
  'heater',
  'heaterToAir',
  'stillAir',
  'probeLag',
  'loggerLag',
  'loggerOffset',
] as const;
export type ParameterId = (typeof parameterIds)[number];

/** How a parameter is counted and what is thought of it before a log is seen. */
export interface Parameter {
  readonly id: ParameterId;
  /** Factors are fitted as natural logarithms, amounts as they are. */
  readonly scale: 'factor' | 'amount';
  readonly unit: string;
  /** Middle and one standard deviation of the prior, in what is fitted; common practice: boxes of a kind differ so. */
  readonly usual: number;
  readonly spread: number;
  readonly lower: number;
  readonly upper: number;
}

const factor = (id: ParameterId, unit: string, spread: number, usual = 0): Parameter => ({
  id,
  scale: 'factor',
  unit,
  usual,
  spread,
  lower: usual - 3 * spread,
  upper: usual + 3 * spread,
});

export const parameters: readonly Parameter[] = [
  // Of what the usual box counts as following the air at once, most hangs behind a film of its own; of its walls and goods the outer part alone goes up and down with a cycle (ours).
  factor('airHeat', 'J/K', 0.7, -0.9),
  factor('wallLoss', 'W/K', 0.4),
  factor('wallHeat', 'J/K', 0.7, -0.7),
  factor('wallToAir', 'W/K', 0.4),
  factor('capacity', 'W', 0.35),
  factor('coilToAir', 'W/K', 0.35),
  factor('coilHeat', 'J/K', 0.3),
  factor('productToAir', 'W/K', 0.7),
  factor('productFast', 'J/K', 1, -1.2),
  factor('productSlow', 'J/K', 0.6),
  // Fitted as a share of the usual capacity: heat besides lights and product that are usual.
  { id: 'constantHeat', scale: 'amount', unit: 'W', usual: 0, spread: 0.06, lower: -0.15, upper: 0.3 },
  factor('doorUse', '1', 0.8),
  factor('humidity', '1', 0.5),
  { id: 'ambientSwing', scale: 'amount', unit: 'K', usual: 2.5, spread: 2, lower: 0, upper: 10 },
  factor('heater', 'W', 0.35),
  factor('heaterToAir', '1', 0.5),
  factor('stillAir', '1', 0.4),
  factor('probeLag', 's', 0.5),
  factor('loggerLag', 's', 0.8),
  { id: 'loggerOffset', scale: 'amount', unit: 'K', usual: 0, spread: 0.5, lower: -3, upper: 3 },
];

/** A logger's thermometer follows the air by this where nothing else is known, s (common practice: one to three minutes in air). */
export const USUAL_LOGGER_LAG = 90;

const place = new Map(parameterIds.map((id, i) => [id, i]));

/** The value of one parameter at a point: a factor as such, an amount as it stands. */
export function valueAt(at: Float64Array, id: ParameterId): number {
  const i = place.get(id)!;
  return parameters[i]!.scale === 'factor' ? Math.exp(at[i]!) : at[i]!;
}

/** The middle of the prior. */
export const usualPoint = (): Float64Array => Float64Array.from(parameters, (p) => p.usual);

/** A part of a box holds at least this many seconds of what flows through it: quicker ones are at rest within a step. */
const QUICKEST = 25;
const QUICKEST_COIL = 12;

/** The usual box changed to what a point says. The door and what stands around it are told apart (`ownPlantAt`). */
export function boxAt(usual: BoxParameters, at: Float64Array): BoxParameters {
  const of = (id: ParameterId) => valueAt(at, id);
  const coilHeat = of('coilHeat');
  const coilToAir = of('coilToAir');
  const heater = of('heater');
  const zone = (z: BoxParameters['zones'][0]) => ({
    ...z,
    heat: Math.max(
      z.heat * coilHeat,
      QUICKEST_COIL * (z.toAir * coilToAir + z.toRefrigerant * of('capacity')),
    ),
    toAir: z.toAir * coilToAir,
    full: z.full * coilToAir,
    toFrost: z.toFrost * coilToAir,
    toRefrigerant: z.toRefrigerant * of('capacity'),
  });
  return {
    ...usual,
    airMass: usual.airMass * of('airHeat'),
    fittings: usual.fittings * of('airHeat'),
    wallHeat: Math.max(usual.wallHeat * of('wallHeat'), QUICKEST * usual.wallToAir * of('wallToAir')),
    wallToAir: usual.wallToAir * of('wallToAir'),
    wallToAmbient: usual.wallToAmbient * of('wallLoss'),
    capacity: usual.capacity * of('capacity'),
    zones: [zone(usual.zones[0]), zone(usual.zones[1])],
    productToAir: usual.productToAir * of('productToAir'),
    productInside: usual.productInside * of('productToAir'),
    productFast: Math.max(
      usual.productFast * of('productFast'),
      QUICKEST * (usual.productToAir + usual.productInside) * of('productToAir'),
    ),
    productSlow: usual.productSlow * of('productSlow'),
    loadWatts: usual.loadWatts + of('constantHeat') * usual.capacity,
    heaterWatts: usual.heaterWatts * heater,
    hotGasWatts: usual.hotGasWatts * heater,
    heaterLeak: Math.min(0.6, usual.heaterLeak * of('heaterToAir')),
    stillShare: Math.min(0.6, usual.stillShare * of('stillAir')),
    probeLag: usual.probeLag * of('probeLag'),
  };
}
