import { baseValue, isQuantity } from '../../foundation/quantities/index.ts';
import { spoken, type Wording } from './facts.ts';
import type { CommissioningTest } from './test.ts';

/** The float of a drain pump on the alarm input, lifted by hand. */
export function drainPumpTests({ unit, values }: Wording): readonly CommissioningTest[] {
  if (unit.drainPump !== true) return [];
  const wait = values['alarms.inputDelay'];
  const delay = isQuantity(wait) ? baseValue(wait) : 0;
  const stops = values['alarms.inputAction'] === 'stop';
  return [
    {
      id: 'alarms.drainPump',
      group: 'alarms',
      title: 'Drain pump calls',
      why: 'A pump that failed is found on the floor otherwise.',
      how: [
        'Pour water into the tray: the pump starts and empties it.',
        'Lift the safety float and start the timer; then pull one of its wires.',
      ],
      expect: `It alarms${delay > 0 ? ` after ${spoken(delay)}` : ''}, by the float and by the broken wire${stops ? ', and cooling stops' : '; cooling goes on'}.`,
      measure: {
        unit: 's',
        label: 'until the alarm',
        least: Math.max(0, 0.9 * delay - 2),
        most: 1.1 * delay + 10,
      },
      wait: delay > 0 ? delay : null,
      caution: 'Mains and water in one tray: residual-current protection on, hands dry.',
    },
  ];
}
