import { AIR_HEAT, VAPORISATION } from '../../../foundation/limits/index.ts';
import { humidityRatio, type BoxParameters } from '../../../machines/box/index.ts';

/** Air to fins, W/(m²·K), by which the fins' area follows from the coil's conductance, and water that stays on them after the rest has dripped off, kg/m². From memory. */
const FIN = 40;
const HELD = 0.05;

/**
 * Wet-bulb temperature, °C, of air at a relative humidity of 0 to 1: where the heat that comes from the air is what evaporation takes. Within 0.2 K of
 * PsychroLib, 0 to 30 °C.
 */
export function wetBulb(celsius: number, relative: number): number {
  const ratio = humidityRatio(celsius, relative);
  let [low, high] = [celsius - 40, celsius];
  for (let i = 0; i < 60; i += 1) {
    const middle = (low + high) / 2;
    const evaporates = ((humidityRatio(middle, 1) - ratio) * VAPORISATION) / AIR_HEAT;
    if (evaporates < celsius - middle) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** A wet coil in running air after the compressor has stopped: kg/min that go back to the air, kg it holds, min until it is dry. */
export interface DryingCoil {
  readonly perMinute: number;
  readonly held: number;
  readonly minutes: number;
}

/** What the fans' run-on can bring: the coil stands at the wet-bulb temperature while it is wet, so it dries at one rate. Closed form. */
export function dryingCoil(box: BoxParameters, celsius: number, relative: number): DryingCoil {
  const conductance = box.zones[0].toAir + box.zones[1].toAir;
  const watts = conductance * (celsius - wetBulb(celsius, relative));
  const perMinute = (watts / VAPORISATION) * 60;
  const held = (conductance / FIN) * HELD;
  return { perMinute, held, minutes: perMinute > 0 ? held / perMinute : Infinity };
}
