import type { CondenserConfig } from '../../machines/condenser/index.ts';
import { clockWords } from '../../foundation/quantities/index.ts';
import { condenserGuardTests } from './condenserGuarding.ts';
import { spoken, type Wording } from './facts.ts';
import { lastTests } from './guarding.ts';
import { condenserProbes, deadTests, outputTests, powerTests } from './starting.ts';
import type { CommissioningTest, Measure } from './test.ts';

/** A strapped probe and a display may be off by so much, K. */
const PROBE_K = 1;
/** A voltmeter and the drive's own resolution, V. */
const VOLTS = 0.4;
const FANS_START =
  'Fans start by themselves: guards on, hands out. The drive holds charge after the supply is off.';

/** Tests of a control that runs the fans of a condenser, in their order. Margins are common practice. */
export function condenserFanTests(wording: Wording, config: CondenserConfig): readonly CommissioningTest[] {
  return [
    ...deadTests(wording.unit.probes.includes('outdoor') ? condenserProbes : condenserProbes.slice(0, 1)),
    ...powerTests(wording, 0),
    ...outputTests(wording),
    ...regulating(wording, config),
    ...(config.method === 'onOff' ? inTurn(config) : driven(wording, config)),
    ...limited(wording, config),
    ...condenserGuardTests(wording, config),
    ...lastTests(wording),
  ];
}

type Degrees = Pick<Wording, 'degrees' | 'difference'>;

/** Where the liquid comes to stand. On-off fans each have a place in the band; the others hold the set point, which may float. */
function regulating({ degrees, difference }: Degrees, config: CondenserConfig): CommissioningTest[] {
  const { setpoint, differential, fanCount, method, neutralZone, floatingDifference } = config;
  const base = { group: 'fans', wait: null, caution: FANS_START } as const;
  if (method === 'onOff') {
    const first = setpoint + differential / fanCount;
    return [
      {
        ...base,
        id: 'fans.first',
        title: fanCount > 1 ? 'First fan starts' : 'Fan starts',
        why: 'The band is only true if it starts there.',
        how: ['Compressor running, fans off: read the liquid in the moment the first starts.'],
        expect: `It starts at ${degrees(first)}${fanCount > 1 ? `, the last at ${degrees(setpoint + differential)}` : ''}.`,
        measure: near('at the start', first),
      },
      {
        ...base,
        id: 'fans.last',
        title: fanCount > 1 ? 'Last fan stops' : 'Fan stops',
        why: 'Fans that stop too low leave the valve without liquid on a cold night.',
        how: ['Read the liquid in the moment the last one stops.'],
        expect: `It stops at ${degrees(setpoint)}.`,
        measure: near('at the stop', setpoint),
      },
    ];
  }
  const above = method === 'proportional' ? differential : method === 'neutralZone' ? neutralZone : 0;
  const below = method === 'neutralZone' ? neutralZone : 0;
  const low = floatingDifference === null ? setpoint : (config.setpointMin ?? setpoint);
  const high = floatingDifference === null ? setpoint : (config.setpointMax ?? setpoint);
  const where =
    floatingDifference === null
      ? degrees(setpoint)
      : `${difference(floatingDifference)} above the outdoor probe, from ${degrees(low)} to ${degrees(high)}`;
  return [
    {
      ...base,
      id: 'fans.holds',
      title: 'Holds the liquid',
      why: 'A band too narrow or an integral too quick hunts.',
      how: [
        'Wait until the speed stands between its least and its most.',
        'Read the liquid every minute for ten minutes.',
      ],
      expect: `${method === 'proportional' ? `It comes to rest within ${difference(differential)} above` : method === 'neutralZone' ? `It stays within ${difference(neutralZone)} of` : 'It comes to rest at'} ${where}, and does not swing.`,
      measure: {
        unit: 'degC',
        label: 'liquid at rest',
        least: low - below - PROBE_K,
        most: high + above + PROBE_K,
      },
      wait: 600,
    },
    ...(floatingDifference === null
      ? []
      : [
          {
            ...base,
            id: 'fans.floats',
            title: 'Follows the outdoor air',
            why: 'A set point that does not float gives the cool days away.',
            how: ['Warm the outdoor probe in the hand.', 'Watch the set point, or the fans slow down.'],
            expect: `The set point rises with it up to ${degrees(high)}, and falls back to no less than ${degrees(low)}.`,
            measure: null,
          },
        ]),
  ];
}

const near = (label: string, celsius: number): Measure => ({
  unit: 'degC',
  label,
  least: celsius - PROBE_K,
  most: celsius + PROBE_K,
});

const order = {
  firstInFirstOut: 'The one that ran first stops first.',
  lastInFirstOut: 'The one that came last stops first.',
  runTime: 'The one with the fewest hours starts next, the one with the most stops first.',
  fixed: 'Always the same one first and the same one last.',
} as const;

function inTurn({ fanCount, rotation }: CondenserConfig): CommissioningTest[] {
  if (fanCount < 2) return [];
  return [
    {
      id: 'fans.order',
      group: 'fans',
      title: 'Order of the fans',
      why: 'A fan that always runs first is worn when the others are new.',
      how: [
        'Warm the liquid probe slowly in the hand, let it cool, twice over.',
        'Write down which starts and stops.',
      ],
      expect: order[rotation],
      measure: null,
      wait: null,
      caution: FANS_START,
    },
  ];
}

/** Fans on a drive: volts at both ends, the way up. */
function driven({ analog }: Pick<Wording, 'analog'>, config: CondenserConfig): CommissioningTest[] {
  const { volts, speed, riseTime, kickTime } = config;
  const base = { group: 'fans', wait: null, caution: FANS_START } as const;
  const percent = (share: number) => `${Math.round(share * 100)} %`;
  const atDrive = (id: string, title: string, why: string, expect: string, v: number): CommissioningTest => ({
    ...base,
    id,
    title,
    why,
    how: [
      'Bring it there in the output test, or with the liquid probe in cold or warm water.',
      'Measure at the drive’s own input, DC.',
    ],
    expect,
    measure: { unit: 'V', label: 'at the drive', least: Math.max(0, v - VOLTS), most: v + VOLTS },
  });
  const tests: CommissioningTest[] = [];
  if (analog('condenserFan'))
    tests.push(
      atDrive(
        'fans.leastVolts',
        'Least speed',
        'A motor that stalls at its least speed burns.',
        `${percent(speed.min)}, ${volts.min} V: every fan turns evenly, none stands.`,
        volts.min,
      ),
      atDrive(
        'fans.mostVolts',
        'Full speed',
        'A drive that never gets its full signal is short of air on the hottest day.',
        `${percent(speed.max)}, ${volts.max} V.`,
        volts.max,
      ),
    );
  if (riseTime > 0)
    tests.push({
      ...base,
      id: 'fans.rise',
      title: 'Comes up slowly',
      why: 'Belts, bearings and neighbours.',
      how: ['Put the liquid probe into warm water.', 'Start the timer as the fans leave their least speed.'],
      expect: `From least to full in ${spoken(riseTime)}${kickTime > 0 ? `, after a kick of ${spoken(kickTime)} at full speed` : ''}.`,
      measure: { unit: 's', label: 'least to full', least: 0.8 * riseTime - 2, most: 1.2 * riseTime + 3 },
      wait: riseTime,
    });
  return tests;
}

/** What keeps fans slower or off: quiet time, cold, a compressor at rest. */
function limited({ degrees }: Pick<Wording, 'degrees'>, config: CondenserConfig): CommissioningTest[] {
  const { quiet, cutOffTemperature, onlyWithCompressor } = config;
  const base = { group: 'fans', measure: null, wait: null, caution: FANS_START } as const;
  const tests: CommissioningTest[] = [];
  if (quiet.source !== 'none')
    tests.push({
      ...base,
      id: 'fans.quiet',
      title: 'Quieter in its time',
      why: 'A cap that never comes wakes the neighbours; one that never goes trips on the first hot noon.',
      how:
        quiet.source === 'input'
          ? ['Fans near full speed: close the quiet input, open it again.']
          : [
              'Look at the control’s clock.',
              'Fans near full speed: set the clock into the quiet time and back.',
            ],
      expect: `${quiet.source === 'input' ? 'Closed' : `From ${clockWords(quiet.start)} to ${clockWords(quiet.end)}`} never faster than ${Math.round(quiet.cap * 100)} %, at once; else up to full.`,
    });
  if (cutOffTemperature !== null)
    tests.push({
      ...base,
      id: 'fans.cutOff',
      title: 'Off in the cold',
      why: 'Even the least speed is too much air on a winter night.',
      how: ['Put the liquid probe into ice water, compressor running.'],
      expect: `Below ${degrees(cutOffTemperature)} all fans stand.`,
    });
  if (onlyWithCompressor)
    tests.push({
      ...base,
      id: 'fans.withCompressor',
      title: 'Only with a compressor',
      why: 'Without its contact the control believes the compressor stands, and no fan ever runs.',
      how: ['Let the compressor stop by its own control, start it again.'],
      expect: 'The fans stop with it and come back with it.',
    });
  return tests;
}
