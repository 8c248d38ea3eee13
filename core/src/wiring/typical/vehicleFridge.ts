import type { Circuit } from '../circuit/index.ts';

/** Vehicle fridge: the two thermostat wires carry the probe: the circuit before. */
export const vehicleFridge: Circuit = {
  format: 'brine-dial/circuit@1',
  summary: 'Vehicle fridge: the two thermostat wires carry the probe',
  supplies: [
    {
      id: 'B+',
      volts: 12,
      kind: 'dc',
    },
    {
      id: 'B-',
      volts: 0,
      kind: 'dc',
    },
  ],
  parts: [
    {
      id: 'F1',
      kind: 'fuse',
      name: 'Fuse at the battery',
      terminals: ['a', 'b'],
      amps: 15,
    },
    {
      id: 'EU',
      kind: 'contactor',
      name: 'Compressor module',
      coil: ['T', 'G'],
      coilOhms: 4800,
      coilVolts: 12,
      poles: [['+', 'M']],
    },
    {
      id: 'EC',
      kind: 'junction',
      name: 'Module terminal C',
      terminals: ['C'],
    },
    {
      id: 'ST',
      kind: 'contact',
      name: 'Plate thermostat',
      terminals: ['com', 'no'],
      drivenBy: 'compressor',
      old: true,
      labels: {
        com: '3',
        no: '4',
      },
    },
    {
      id: 'M1',
      kind: 'load',
      role: 'compressor',
      name: 'Compressor',
      terminals: ['1', '2'],
      watts: 54,
      ratedVolts: 12,
    },
  ],
  wires: [
    {
      from: 'B+',
      to: 'F1.a',
      colour: 'red',
      label: '1',
    },
    {
      from: 'F1.b',
      to: 'EU.+',
      colour: 'red',
      label: '2',
    },
    {
      from: 'EU.+',
      to: 'EC.C',
      colour: '',
      purpose: 'inside the module',
      internal: true,
    },
    {
      from: 'EC.C',
      to: 'ST.com',
      colour: 'grey',
      label: '3',
      purpose: 'thermostat wire',
    },
    {
      from: 'ST.no',
      to: 'EU.T',
      colour: 'grey',
      label: '4',
      purpose: 'thermostat wire',
    },
    {
      from: 'EU.M',
      to: 'M1.1',
      colour: 'black',
      label: '5',
    },
    {
      from: 'M1.2',
      to: 'EU.G',
      colour: 'black',
      label: '6',
    },
    {
      from: 'EU.G',
      to: 'B-',
      colour: 'black',
      label: '7',
    },
  ],
  states: {
    off: [],
    cooling: ['compressor'],
  },
  conversion: {
    probeWires: ['EC.C-ST.com', 'ST.no-EU.T'],
  },
};
