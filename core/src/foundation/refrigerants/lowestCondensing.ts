import { quantity } from '../quantities/index.ts';
import { sentence, type Sentence } from '../sentences/index.ts';
import { fluidNamed } from './fluids.ts';
import { isOutOfRange, pressureAt, temperatureAt } from './saturation.ts';

/** A valve is picked for the drop at this condensing temperature, °C, with so much in reserve (common practice). */
const PICKED_AT = 38;
const RESERVE = 1.3;
/** Where no equation is at hand: the usual floor for a thermostatic valve, °C (70 °F, common practice). */
const USUAL_FLOOR = 21;

/** How cold a system may condense before its expansion valve starves, and why. */
export interface LowestCondensing {
  readonly celsius: number;
  readonly why: Sentence;
}

/**
 * Lowest condensing temperature, °C. A thermostatic valve passes with the root of the pressure drop; picked at 38 °C with 30 % in reserve it still feeds the coil at the
 * drop divided by 1.3², the pressure of which is turned back into a temperature. The reason holds its temperatures in whole °C. Without a checked equation, or for an electronic valve, see `why`.
 */
export function lowestCondensing(refrigerant: string, evaporating: number): LowestCondensing {
  const show = (celsius: number) => quantity(Math.round(celsius), 'degC');
  const fluid = fluidNamed(refrigerant);
  const usual = {
    celsius: USUAL_FLOOR,
    why: sentence`${refrigerant || 'The refrigerant'} has no checked equation here; ${show(USUAL_FLOOR)} is the usual floor of a thermostatic valve (common practice).`,
  };
  if (!fluid) return usual;
  const [picked, low] = [pressureAt(fluid, PICKED_AT, 'bubble'), pressureAt(fluid, evaporating, 'dew')];
  if (isOutOfRange(picked) || isOutOfRange(low)) return usual;
  const needed = low + (picked - low) / RESERVE ** 2;
  const celsius = temperatureAt(fluid, needed, 'bubble');
  if (isOutOfRange(celsius)) return usual;
  return {
    celsius,
    why: sentence`${fluid.id}${fluid.mixture ? ' (its pressures are estimated)' : ''} evaporating at ${show(evaporating)}: a valve picked at ${show(PICKED_AT)} with 30 % in reserve needs ${((needed - low) / 100).toFixed(1)} bar across it, which it has from ${show(celsius)} on.`,
  };
}
