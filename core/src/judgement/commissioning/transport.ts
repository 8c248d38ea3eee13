import { bandOf } from '../../machines/box/index.ts';
import { baseValue, isQuantity } from '../../foundation/quantities/index.ts';
import { STARTS_BY_ITSELF } from '../transport/index.ts';
import { spoken, type Facts } from './facts.ts';
import type { CommissioningTest } from './test.ts';

/** The in-range sign and a display of whole degrees, K. */
const SIGN_K = 0.8;

/** What a transport unit has besides a box: it starts by itself, reverts what is not confirmed, says whether it is in range. */
export function transportTests(facts: Facts): readonly CommissioningTest[] {
  if (facts.unit.application !== 'transportUnit') return [];
  const { values, config, degrees } = facts;
  const base = { group: 'transport', measure: null, wait: null } as const;
  const amount = (id: 'transport.confirmTime' | 'transport.inRangeBand') => {
    const value = values[id];
    return isQuantity(value) ? baseValue(value) : 0;
  };
  const [confirm, band] = [amount('transport.confirmTime'), amount('transport.inRangeBand')];
  const { cutOut, cutIn } = bandOf(config.stage, config.setpoint);
  const tests: CommissioningTest[] = [
    {
      ...base,
      id: 'transport.start',
      title: 'Starts as it should',
      why: 'What starts by itself takes fingers; what does not start lets a load spoil in the yard.',
      how: ['Set it well below the body’s air, shut the guards, switch on, step back.'],
      expect:
        values['transport.autoStart'] === true
          ? 'It starts by itself, and again after a stop.'
          : 'It starts only when it is started by hand.',
      caution: STARTS_BY_ITSELF,
    },
    {
      ...base,
      id: 'transport.charge',
      title: 'Battery charges',
      why: 'A belt that slips leaves the unit dead at the third stop.',
      how: ['Engine running: read the battery amps, or clamp its lead.'],
      expect: 'Plus, not minus.',
      measure: { unit: 'A', label: 'into the battery', least: 0, most: null },
      caution: STARTS_BY_ITSELF,
    },
  ];
  if (values['transport.runMode'] !== undefined)
    tests.push({
      ...base,
      id: 'transport.runMode',
      title: 'Run mode',
      why: 'Product that breathes needs air that moves; frozen product needs only cold.',
      how: ['Wait until the body is down to its set point, then go on watching until the next start.'],
      expect:
        values['transport.runMode'] === 'startStop'
          ? `The engine stops at ${degrees(cutOut)} and starts again by ${degrees(cutIn)}${config.compressor.minOff > 0 ? `, not before ${spoken(config.compressor.minOff)}` : ''}.`
          : 'The engine runs on; only the cooling comes and goes.',
      caution: STARTS_BY_ITSELF,
    });
  if (confirm > 0)
    tests.push({
      ...base,
      id: 'transport.confirm',
      title: 'Reverts unless confirmed',
      why: 'A set point that was turned and not confirmed is gone by the first bend.',
      how: [
        'Turn the set point by one degree and confirm nothing.',
        'Start the timer at the last key; read it back.',
      ],
      expect: `After ${spoken(confirm)} the old set point stands again; confirmed, the new one stays.`,
      measure: { unit: 's', label: 'until it reverts', least: 0.8 * confirm - 2, most: 1.2 * confirm + 3 },
      wait: confirm,
      caution: null,
    });
  if (band > 0)
    tests.push({
      ...base,
      id: 'transport.inRange',
      title: 'In-range sign',
      why: 'The driver believes the light, not the number.',
      how: ['Coming down, read the return air in the moment the sign says in range.'],
      expect: `At ${degrees(config.setpoint + band)}, ${facts.difference(band)} above the set point.`,
      measure: {
        unit: 'degC',
        label: 'as the sign comes',
        least: config.setpoint + band - SIGN_K,
        most: config.setpoint + band + SIGN_K,
      },
      caution: null,
    });
  return tests;
}
