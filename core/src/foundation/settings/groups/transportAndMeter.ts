import { group } from '../define.ts';

/** Transport units; heat meter sensors. Ranges and effects are common practice; see docs/sources.md. */
export const transportAndMeter = group({
  'transport.runMode': {
    label: 'Run mode',
    kind: 'choice',
    choices: ['continuous', 'startStop'],
    meaning: 'engine runs always or only on demand',
    effects: {
      continuous: 'The engine runs always: even temperature and fresh air for product that breathes.',
      startStop: 'The engine runs on demand: saves fuel, for frozen product.',
    },
    choiceLabels: { continuous: 'always', startStop: 'on demand' },
    related: ['transport.autoStart'],
  },
  'transport.confirmTime': {
    label: 'Time to confirm',
    kind: 'duration',
    unit: 's',
    meaning: 'an unconfirmed change reverts after this',
    tooLow: 'A change reverts before it is confirmed.',
    tooHigh: 'A stray key press stands long.',
    related: [],
  },
  'transport.inRangeBand': {
    label: 'In-range band',
    kind: 'temperatureDifference',
    unit: 'K',
    meaning: 'distance from set point shown as in range',
    tooLow: 'The sign says out of range in normal running.',
    tooHigh: 'The sign says in range when the load is warm.',
    related: ['regulation.setpoint'],
  },
  'transport.autoStart': {
    label: 'Unit may start by itself',
    kind: 'flag',
    meaning: 'the unit may start by itself',
    effects: { true: 'Off before doors or guards are opened.', false: 'It starts only by hand.' },
    related: ['transport.runMode'],
  },
  'meter.supplySlope': {
    label: 'Supply sensor slope',
    kind: 'ratio',
    meaning: "slope on the tag of the supply sensor in the definition's formula",
    related: ['meter.supplyOffset', 'meter.returnSlope'],
  },
  'meter.supplyOffset': {
    label: 'Supply sensor offset',
    kind: 'ratio',
    meaning: "offset on the tag of the supply sensor in the definition's formula",
    related: ['meter.supplySlope'],
  },
  'meter.returnSlope': {
    label: 'Return sensor slope',
    kind: 'ratio',
    meaning: "slope on the tag of the return sensor in the definition's formula",
    related: ['meter.returnOffset', 'meter.supplySlope'],
  },
  'meter.returnOffset': {
    label: 'Return sensor offset',
    kind: 'ratio',
    meaning: "offset on the tag of the return sensor in the definition's formula",
    related: ['meter.returnSlope'],
  },
});
