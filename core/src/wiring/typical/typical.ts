import { isFileProblem } from '../../foundation/files/index.ts';
import { readCircuit, type Circuit } from '../circuit/index.ts';
import coldControlBridged from './coldControlBridged.circuit.json' with { type: 'json' };
import condenserFanCycling from './condenserFanCycling.circuit.json' with { type: 'json' };
import timerAndThermostat from './timerAndThermostat.circuit.json' with { type: 'json' };
import twoOutletPlugIn from './twoOutletPlugIn.circuit.json' with { type: 'json' };
import twoWireThermostat from './twoWireThermostat.circuit.json' with { type: 'json' };
import vehicleFridge from './vehicleFridge.circuit.json' with { type: 'json' };

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
    circuit: read(twoWireThermostat),
  },
  {
    id: 'cold-control-bridged',
    name: 'Cold control bridged',
    words: 'The cold control stays in its place, bridged; the new control is put into the compressor feed.',
    circuit: read(coldControlBridged),
  },
  {
    id: 'vehicle-fridge',
    name: 'Vehicle fridge',
    words:
      'The two wires of the old thermostat carry the new probe; the relay goes to the module of the compressor.',
    circuit: read(vehicleFridge),
  },
  {
    id: 'timer-and-thermostat',
    name: 'Defrost timer and thermostat',
    words: 'Timer and thermostat come out; one control takes over cooling, defrost and fan.',
    circuit: read(timerAndThermostat),
  },
  {
    id: 'condenser-fan-cycling',
    name: 'Condenser fan cycling',
    words: 'A control on the liquid line takes the place of the fan pressure switch, at 208 to 240 V.',
    circuit: read(condenserFanCycling),
  },
  {
    id: 'two-outlet-plug-in',
    name: 'Two plug-in thermostats',
    words: 'One plug-in control with a cold and a warm outlet takes the place of two.',
    circuit: read(twoOutletPlugIn),
  },
];

/** The conversion with that id, or undefined. */
export function typicalConversion(id: string): TypicalConversion | undefined {
  return typicalConversions.find((conversion) => conversion.id === id);
}

/** They are files like any technician's, and read like one. */
function read(file: unknown): Circuit {
  const circuit = readCircuit(file);
  if (isFileProblem(circuit)) throw new Error(`${circuit.field}: ${circuit.message}`);
  return circuit;
}
