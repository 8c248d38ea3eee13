import { drainPumpTests } from './drainPump.ts';
import { isQuantity, printFor } from '../../foundation/quantities/index.ts';
import { spoken, type Facts, type Wording } from './facts.ts';
import type { CommissioningTest } from './test.ts';

/** Alarms, door, probe failure. */
export function guardTests(facts: Facts): readonly CommissioningTest[] {
  return [...alarmTests(facts), ...drainPumpTests(facts), ...doorTests(facts), ...probeTests(facts)];
}

function alarmTests({ config, degrees, difference, code }: Facts): readonly CommissioningTest[] {
  const { alarms } = config;
  if (alarms.reference === 'none') return [];
  const limit = (value: number, way: 1 | -1) =>
    alarms.reference === 'relative' ? degrees(config.setpoint + way * value) : degrees(value);
  const told = (words: RegExp) => {
    const shown = code(words) || code(/range/i);
    return shown && `: ${shown}`;
  };
  const tests: CommissioningTest[] = [];
  if (alarms.high !== null)
    tests.push({
      id: 'alarms.high',
      group: 'alarms',
      title: 'High alarm',
      why: 'An alarm that never sounded may not be able to.',
      how: [
        'Warm the probe in the hand or in a cup of warm water.',
        'Start the timer when the limit is passed.',
      ],
      expect: `Above ${limit(alarms.high, 1)} for ${spoken(alarms.delay)} it alarms${told(/high|warm/i)}; it clears ${alarms.differential > 0 ? `${difference(alarms.differential)} below` : 'below that'}.`,
      measure: {
        unit: 'min',
        label: 'until the alarm',
        least: (0.9 * alarms.delay) / 60 - 0.1,
        most: (1.1 * alarms.delay) / 60 + 1,
      },
      wait: alarms.delay > 0 ? alarms.delay : null,
      caution: null,
    });
  if (alarms.low !== null)
    tests.push({
      id: 'alarms.low',
      group: 'alarms',
      title: 'Low alarm',
      why: 'A contact welded shut shows as a box too cold.',
      how: ['Put the probe into ice and salt, or skip it with the reason.'],
      expect: `Below ${limit(alarms.low, -1)} for ${spoken(alarms.delay)} it alarms${told(/low|cold/i)}.`,
      measure: null,
      wait: alarms.delay > 0 ? alarms.delay : null,
      caution: null,
    });
  return tests;
}

function doorTests({ unit, config, code }: Facts): readonly CommissioningTest[] {
  if (!unit.doorContact) return [];
  const { fans, alarms } = config;
  const stops = fans.stopsAtDoor
    ? `Fans stop as it opens, start ${spoken(fans.doorCloseDelay)} after it shuts.`
    : 'The control notices it; fans go on.';
  const alarm =
    alarms.doorDelay > 0
      ? ` Open for ${spoken(alarms.doorDelay)} it alarms${code(/door/i) && `: ${code(/door/i)}`}.`
      : '';
  return [
    {
      id: 'door.contact',
      group: 'door',
      title: 'Door contact',
      why: 'A contact read the wrong way stops the fans for good.',
      how: [
        'Open the door, watch the fans, shut it again.',
        ...(alarms.doorDelay > 0 ? ['Leave it open until the alarm comes.'] : []),
      ],
      expect: `${stops}${alarm}`,
      measure: null,
      wait: alarms.doorDelay > 0 ? alarms.doorDelay : null,
      caution: 'Never work in a freezer room alone; check that its door opens from inside.',
    },
  ];
}

const faultWords = {
  run: { box: 'the compressor runs on', fans: 'the fans run on' },
  stop: { box: 'the compressor stops', fans: 'the fans stop' },
  dutyCycle: { box: 'the compressor runs by the clock', fans: 'the fans run by the clock' },
} as const;

function probeTests({ unit, config, code }: Facts): readonly CommissioningTest[] {
  const { onFault, faultOn, faultOff } = config.compressor;
  const fans = unit.application === 'condenserFans';
  const duty = onFault === 'dutyCycle' ? `: ${spoken(faultOn)} on, ${spoken(faultOff)} off` : '';
  const tests: CommissioningTest[] = [
    {
      id: 'probes.air',
      group: 'probes',
      title: fans ? 'Liquid probe fails' : 'Air probe fails',
      why: `It will, one ${fans ? 'hot day; then this decides over the pressure' : 'night; then this decides over the product'}.`,
      how: [`Pull one wire of the ${fans ? 'liquid' : 'air'} probe.`, 'Put it back and see the fault go.'],
      expect: `It shows a fault${code(/(air|room|box|control|regulat\w*) (probe|sensor)|probe 1|probe.*(open|short|fail)/i) && ` ${code(/(air|room|box|control|regulat\w*) (probe|sensor)|probe 1|probe.*(open|short|fail)/i)}`}, and ${faultWords[onFault][fans ? 'fans' : 'box']}${duty}.`,
      measure: null,
      wait: null,
      caution: 'Low voltage only: be sure which terminal it is.',
    },
  ];
  if (unit.probes.includes('coil') && config.probes.coilPresent && config.defrost.method !== 'none')
    tests.push({
      id: 'probes.coil',
      group: 'probes',
      title: 'Coil probe fails',
      why: 'Then only time ends a defrost.',
      how: ['Pull one wire of the coil probe, look, put it back.'],
      expect: `It shows a fault${code(/coil|evaporator|defrost (probe|sensor)/i) && ` ${code(/coil|evaporator|defrost (probe|sensor)/i)}`}; cooling goes on.`,
      measure: null,
      wait: null,
      caution: null,
    });
  return tests;
}

/** Power cut, keypad, user's range. */
export function lastTests({ values, display, unit }: Wording): readonly CommissioningTest[] {
  const [min, max] = [values['regulation.setpointMin'], values['regulation.setpointMax']];
  const tests: CommissioningTest[] = [
    {
      id: 'memory.kept',
      group: 'memory',
      title: 'Values kept',
      why: 'A value that was typed and never saved is back to its old one after a power cut.',
      how: ['Power off for ten seconds.', 'Read three of the changed codes.'],
      expect: 'They stand as they were keyed in.',
      measure: null,
      wait: 10,
      caution: unit.application === 'heatMeter' ? null : 'It starts by itself when the power comes back.',
    },
  ];
  if (values['access.keypadLock'] === true)
    tests.push({
      id: 'users.lock',
      group: 'users',
      title: 'Keypad locked',
      why: 'What is not locked is turned.',
      how: ['Try to change the set point as a user would.'],
      expect: 'It refuses.',
      measure: null,
      wait: null,
      caution: null,
    });
  if (isQuantity(min) && isQuantity(max))
    tests.push({
      id: 'users.range',
      group: 'users',
      title: 'User’s range',
      why: 'The end of the range decides how cold it can be turned.',
      how: ['Turn it to both ends as a user would, and back.'],
      expect:
        printFor(min, display) === printFor(max, display)
          ? `It stays at ${printFor(min, display)}.`
          : `It stops at ${printFor(min, display)} and ${printFor(max, display)}.`,
      measure: null,
      wait: null,
      caution: null,
    });
  return tests;
}
