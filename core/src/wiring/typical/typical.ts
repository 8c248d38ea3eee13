import type { Circuit } from '../circuit/index.ts';
import { twoWireThermostat } from './twoWireThermostat.ts';
import { coldControlBridged } from './coldControlBridged.ts';
import { vehicleFridge } from './vehicleFridge.ts';
import { timerAndThermostat } from './timerAndThermostat.ts';
import { condenserFanCycling } from './condenserFanCycling.ts';
import { twoOutletPlugIn } from './twoOutletPlugIn.ts';

/** A conversion of the trade that comes ready: the circuit as such units usually have it, to be corrected wire by wire. */
export interface TypicalConversion {
  readonly id: string;
  readonly name: string;
  readonly words: string;
  readonly circuit: Circuit;
}

/** Typical conversions (common practice). Colours and figures are examples: what is traced in the cabinet counts. */
export const typicalConversions: readonly TypicalConversion[] = [
  {
    id: 'two-wire-thermostat',
    name: 'Two-wire thermostat',
    words: 'A thermostat of two wires makes room for an electronic control with a supply of its own.',
    circuit: twoWireThermostat,
  },
  {
    id: 'cold-control-bridged',
    name: 'Cold control bridged',
    words: 'The cold control stays in its place, bridged; the new control is put into the compressor feed.',
    circuit: coldControlBridged,
  },
  {
    id: 'vehicle-fridge',
    name: 'Vehicle fridge',
    words:
      'The two wires of the old thermostat carry the new probe; the relay goes to the module of the compressor.',
    circuit: vehicleFridge,
  },
  {
    id: 'timer-and-thermostat',
    name: 'Defrost timer and thermostat',
    words: 'Timer and thermostat come out; one control takes over cooling, defrost and fan.',
    circuit: timerAndThermostat,
  },
  {
    id: 'condenser-fan-cycling',
    name: 'Condenser fan cycling',
    words: 'A control on the liquid line takes the place of the fan pressure switch, at 208 to 240 V.',
    circuit: condenserFanCycling,
  },
  {
    id: 'two-outlet-plug-in',
    name: 'Two plug-in thermostats',
    words: 'One plug-in control with a cold and a warm outlet takes the place of two.',
    circuit: twoOutletPlugIn,
  },
];

/** The conversion with that id, or undefined. */
export function typicalConversion(id: string): TypicalConversion | undefined {
  return typicalConversions.find((conversion) => conversion.id === id);
}
