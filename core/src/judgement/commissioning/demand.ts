import type { CommissioningTest } from './test.ts';
import type { Wording } from './facts.ts';

const BLADES = 'Blade, heaters and fins: isolate, lock out and prove dead; heaters stay hot.';

/** What a defrost on demand stands on: a sensor where the frost is, the control in that mode, no timer beside it. Common practice. */
export function demandTests({ values }: Wording): readonly CommissioningTest[] {
  if (values['defrost.initiation'] !== 'demand') return [];
  const base = { group: 'defrost', measure: null, wait: null } as const;
  return [
    {
      ...base,
      id: 'defrost.sensorMoved',
      title: 'Sensor moved to the heaviest frost',
      why: 'Demand sees only the frost at its sensor.',
      how: [
        'Tools, Frost: note the frost, and where the sensor belongs.',
        'Fan guard and blade off, sensor in, fins bent to grip it, blade and guard back on.',
        'A picture before and one after, in Wire.',
      ],
      expect: 'It sits between the fins where the frost was heaviest, and comes out only with force.',
      caution: BLADES,
    },
    {
      ...base,
      id: 'defrost.demandMode',
      title: 'In its demand mode',
      why: 'Many fall back to hours when a sensor is missing or a value was not saved.',
      how: ['Condensing unit on first, then the evaporator.', 'Read the mode and the difference back.'],
      expect: 'It shows demand, and the difference that was keyed in.',
      caution: null,
    },
    {
      ...base,
      id: 'defrost.noTimer',
      title: 'No timer beside it',
      why: 'A defrost timer left in the circuit defrosts a second time, or blocks it.',
      how: ['Follow the heater’s feed back to the control.'],
      expect: 'The old timer is out, or somebody wrote down why it stays.',
      caution: null,
    },
    {
      ...base,
      id: 'defrost.secondFrost',
      title: 'Frost again, after three days',
      why: 'Only the coil says whether the place was right.',
      how: [
        'After three days, before a defrost: note the frost again under Tools, Frost, Another look, with a second picture: both looks are compared there.',
      ],
      expect: 'Thin and even, heaviest still at the sensor; no ice that was left.',
      caution: null,
    },
  ];
}
