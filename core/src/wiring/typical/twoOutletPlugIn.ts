import type { Circuit } from '../circuit/index.ts';

/** Two plug-in thermostats to one two-outlet control: the circuit before. */
export const twoOutletPlugIn: Circuit = {
  format: 'brine-dial/circuit@1',
  summary: 'Two plug-in thermostats to one two-outlet control',
  supplies: [
    {
      id: 'L1',
      volts: 120,
      degrees: 0,
    },
    {
      id: 'N',
      volts: 0,
    },
    {
      id: 'PE',
      volts: 0,
    },
  ],
  parts: [
    {
      id: 'F1',
      kind: 'fuse',
      name: 'Breaker 9',
      terminals: ['a', 'b'],
      amps: 15,
    },
    {
      id: 'SC',
      kind: 'contact',
      name: 'Plug-in thermostat of the chiller',
      terminals: ['com', 'no'],
      drivenBy: 'compressor',
      old: true,
      labels: {
        com: 'in',
        no: 'out',
      },
    },
    {
      id: 'SH',
      kind: 'contact',
      name: 'Plug-in thermostat of the heater',
      terminals: ['com', 'no'],
      drivenBy: 'stage2',
      old: true,
      labels: {
        com: 'in',
        no: 'out',
      },
    },
    {
      id: 'HL',
      kind: 'switch',
      name: 'Heater limit',
      terminals: ['a', 'b'],
      closedIn: ['off', 'cooling', 'heating'],
      safety: true,
    },
    {
      id: 'M1',
      kind: 'load',
      role: 'compressor',
      name: 'Drop-in chiller',
      terminals: ['1', '2'],
      watts: 610,
      ratedVolts: 120,
      amps: 6.7,
      lockedRotorAmps: 33,
    },
    {
      id: 'H1',
      kind: 'load',
      role: 'heater',
      name: 'Tank heater',
      terminals: ['1', '2'],
      watts: 500,
      ratedVolts: 120,
    },
  ],
  wires: [
    {
      from: 'L1',
      to: 'F1.a',
      colour: 'black',
      label: '1',
    },
    {
      from: 'F1.b',
      to: 'SC.com',
      colour: 'black',
      label: '2',
      purpose: 'from the wall outlet',
    },
    {
      from: 'F1.b',
      to: 'SH.com',
      colour: 'black',
      label: '3',
      purpose: 'from the wall outlet',
    },
    {
      from: 'SC.no',
      to: 'M1.1',
      colour: 'black',
      label: '4',
      purpose: 'plug of the chiller',
    },
    {
      from: 'M1.2',
      to: 'N',
      colour: 'white',
      label: '5',
    },
    {
      from: 'SH.no',
      to: 'HL.a',
      colour: 'black',
      label: '6',
      purpose: 'plug of the heater',
    },
    {
      from: 'HL.b',
      to: 'H1.1',
      colour: 'black',
      label: '7',
    },
    {
      from: 'H1.2',
      to: 'N',
      colour: 'white',
      label: '8',
    },
  ],
  states: {
    off: [],
    cooling: ['compressor'],
    heating: ['stage2'],
  },
};
