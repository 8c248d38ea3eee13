import { usualBoxOf, usualDoor, type Scenario } from '../simulation/index.ts';
import { parameters, USUAL_LOGGER_LAG, type Parameter, type ParameterId } from './parameters.ts';
import { parametersWith, type Priors } from './priors.ts';

/** What one stands for in the unit's own terms: the usual box's value of a factor, the scale of an amount. */
function usualValues(scenario: Scenario): Readonly<Record<ParameterId, number>> {
  const box = usualBoxOf(scenario);
  return {
    airHeat: box.fittings,
    wallLoss: box.wallToAmbient,
    wallHeat: box.wallHeat,
    wallToAir: box.wallToAir,
    capacity: box.capacity,
    coilToAir: box.zones[0].toAir + box.zones[1].toAir,
    coilHeat: box.zones[0].heat + box.zones[1].heat,
    productToAir: box.productToAir,
    productFast: box.productFast,
    productSlow: box.productSlow,
    constantHeat: box.capacity,
    doorUse: usualDoor(scenario).perHour,
    humidity: 1,
    ambientSwing: 1,
    heater: box.heaterWatts,
    heaterToAir: box.heaterLeak,
    stillAir: box.stillShare,
    probeLag: box.probeLag,
    loggerLag: USUAL_LOGGER_LAG,
    loggerOffset: 1,
  };
}

/** A parameter in its own unit, with one standard error; and whether the log told it, or what is usual. */
export interface NaturalValue {
  readonly value: number;
  readonly error: number;
  readonly from: 'log' | 'usual';
}

/** The log tells a parameter where it leaves less than this of what was not known before. */
const TOLD = 0.75;

/** A point in the parameters' own units, with what the log told beyond the priors it was learned with. */
export function naturalOf(
  scenario: Scenario,
  at: Float64Array,
  covariance: Float64Array,
  priors?: Priors,
): Readonly<Record<ParameterId, NaturalValue>> {
  const usual = usualValues(scenario);
  const n = parameters.length;
  return Object.fromEntries(
    parametersWith(priors).map(({ id, scale, spread }, i) => {
      const error = Math.sqrt(covariance[i * n + i]!);
      const value = scale === 'factor' ? usual[id] * Math.exp(at[i]!) : usual[id] * at[i]!;
      const from = error < TOLD * spread ? 'log' : 'usual';
      return [id, { value, error: scale === 'factor' ? value * error : usual[id] * error, from }];
    }),
  ) as Record<ParameterId, NaturalValue>;
}

/** Back from a value in its own unit to what is fitted; the usual where the kind has none of it (a heater where box air clears). */
export function pointOf(
  scenario: Scenario,
  values: Readonly<Partial<Record<ParameterId, number>>>,
): Float64Array {
  const usual = usualValues(scenario);
  return Float64Array.from(parameters, (p) => fitted(p, values[p.id], usual[p.id]));
}

function fitted({ scale, usual, lower, upper }: Parameter, value: number | undefined, of: number): number {
  if (value === undefined || of === 0) return usual;
  const at = scale === 'factor' ? (value > 0 ? Math.log(value / of) : usual) : value / of;
  return Math.min(upper, Math.max(lower, at));
}
