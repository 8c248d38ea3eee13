import { settingOf, type SettingId } from '../../foundation/settings/index.ts';
import { printNumber } from '../../foundation/quantities/index.ts';
import type { Wording } from './facts.ts';
import { lastTests } from './guarding.ts';
import { deadTests } from './starting.ts';
import type { CommissioningTest } from './test.ts';

/** A pair in one bath may differ by so much after its tags are in, K (common practice for paired sensors). */
const PAIR_K = 0.1;
/** Instrument and sum worked by hand may differ by so much, % (common practice; the flow is read a moment apart). */
const HEAT_PERCENT = 2;

const tagSettings = [
  'meter.supplySlope',
  'meter.supplyOffset',
  'meter.returnSlope',
  'meter.returnOffset',
] as const satisfies readonly SettingId[];

/** Tests of a heat meter whose sensors take slope and offset from their tags, in their order. */
export function heatMeterTests(wording: Wording): readonly CommissioningTest[] {
  const { values, control } = wording;
  const supply = control.supply?.[0];
  const plain = { measure: null, wait: null, caution: null } as const;
  const tags = tagSettings.flatMap((id) => {
    const value = values[id];
    return typeof value === 'number' ? [`${settingOf(id).label} ${printNumber(value, 6)}`] : [];
  });
  return [
    ...deadTests([
      'Supply sensor in the pocket of the warm pipe, return sensor in that of the cold one, down to its end, with paste.',
      'The flow meter’s arrow with the flow, in the pipe that the instrument is told.',
    ]),
    {
      ...plain,
      id: 'power.order',
      group: 'power',
      title: 'Power up',
      why: 'A meter that counts before its sensors are right counts wrong heat for good.',
      how: [
        'Note the heat counted so far before anything is changed.',
        `Measure the supply${supply ? `: ${supply.volts} V ${supply.kind.toUpperCase()}` : ''}.`,
      ],
      expect: 'It shows both temperatures and the flow, no fault.',
    },
    ...(tags.length > 0
      ? [
          {
            ...plain,
            id: 'meter.tags',
            group: 'meter',
            title: 'Tags read back',
            why: 'A slipped point is wrong heat for years, and nobody sees it.',
            how: [
              'Read each value back from the instrument, digit by digit, against the tag on its own sensor.',
            ],
            expect: `${tags.join('; ')}.`,
          } as const,
        ]
      : []),
    {
      ...plain,
      id: 'meter.pair',
      group: 'meter',
      title: 'Both in one bath',
      why: 'The heat counts the difference: what both have in common does not matter, what parts them does.',
      how: [
        'Both sensors side by side in one stirred bath, warm as the supply is.',
        'After ten minutes read both as the instrument shows them.',
      ],
      expect: `They differ by no more than ${wording.difference(PAIR_K)}.`,
      measure: { unit: 'K', label: 'supply less return', least: -PAIR_K, most: PAIR_K },
      wait: 600,
      caution:
        'Hot water and pipes under pressure: a sensor without a pocket is never drawn from a full pipe.',
    },
    {
      ...plain,
      id: 'meter.way',
      group: 'meter',
      title: 'Right way round',
      why: 'Two sensors swapped count nothing, or backwards.',
      how: ['Let heat flow. Feel the pipes, read both temperatures.'],
      expect: `Supply reads the warmer pipe${code(wording, /warmer/i)}.`,
      caution: 'Pipes are hot.',
    },
    {
      ...plain,
      id: 'meter.heat',
      group: 'meter',
      title: 'Heat agrees',
      why: 'Flow, temperatures and correction together: the only figure that is paid for.',
      how: [
        'Note flow, both temperatures and the instrument’s own heat in one moment.',
        'Put flow and raw readings in under Program, Tools, and compare with the heat as planned.',
      ],
      expect: `It lies within ${HEAT_PERCENT} % of the sum.`,
      measure: { unit: '%', label: 'instrument against the sum', least: -HEAT_PERCENT, most: HEAT_PERCENT },
    },
    ...(['supply', 'return'] as const).map((which): CommissioningTest => ({
      ...plain,
      id: `probes.${which}`,
      group: 'probes',
      title: `${which === 'supply' ? 'Supply' : 'Return'} sensor fails`,
      why: 'A dead sensor that is not told counts heat that is not there.',
      how: [`Pull one wire of the ${which} sensor, look, put it back.`],
      expect: `It shows a fault${code(wording, new RegExp(`^${which}.*(sensor|probe)`, 'i'))} and counts no heat.`,
      caution: 'Low voltage only: be sure which terminal it is.',
    })),
    ...lastTests(wording),
  ];
}

const code = ({ code: of }: Wording, words: RegExp) => (of(words) ? `, else ${of(words)}` : '');
