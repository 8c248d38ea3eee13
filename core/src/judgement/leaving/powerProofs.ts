import { phase, wayOf, type Making, type Proof, everything, theUnit } from './proof.ts';
import { airProbe } from './borrowed.ts';
import { byHand, sure } from './span.ts';

const DEAD: Readonly<Record<string, number>> = { 'dead.meter': 360, 'dead.probes': 240 };
const POWER_UP = 180;
const POWER_CUT = 30;
const READ_CODES = 90;
const READ = 20;
const OUTPUT = 120;

/** Dead readings before the power, power-up, a power cut and its return, each output. */
export function powerProofs(making: Making): readonly Proof[] {
  return [...deadProofs(making), ...powerUp(making), ...powerCut(making), ...outputProofs(making)];
}

const isDead = (id: string) => id.startsWith('dead.');

function deadProofs({ tests, titleOf }: Making): readonly Proof[] {
  return tests
    .map(({ test }) => test.id)
    .filter(isDead)
    .map((id) => ({
      id,
      title: titleOf(id),
      ways: [
        wayOf(
          [id],
          [phase('Isolate, lock out, prove dead; look and measure', byHand(DEAD[id] ?? 240), everything)],
        ),
      ],
      after: [],
    }));
}

function powerUp(making: Making): readonly Proof[] {
  const { has, titleOf, config } = making;
  if (!has('power.order')) return [];
  const delay = has('power.delay') ? (config?.compressor.powerOnDelay ?? 0) : 0;
  return [
    {
      id: 'power',
      title: titleOf('power.order'),
      ways: [
        wayOf(['power.order', 'power.delay'].filter(has), [
          phase('Power up in order, measure the supply', byHand(POWER_UP), everything),
          ...(delay > 0
            ? [
                phase('The delay from power-up passes', sure(Math.max(0, delay - 30)), theUnit, {
                  test: 'power.delay',
                  until: 'start',
                }),
                phase('Note when it starts', byHand(30), everything),
              ]
            : []),
        ]),
      ],
      after: [],
    },
  ];
}

/** One cut proves what is kept and the delay after it; a box that is cold needs a warm probe to call. */
function powerCut(making: Making): readonly Proof[] {
  const { has, config, air, titleOf } = making;
  const timed = has('power.delay') && !has('power.order');
  const tests = [...(has('memory.kept') ? ['memory.kept'] : []), ...(timed ? ['power.delay'] : [])];
  if (tests.length === 0) return [];
  const delay = config?.compressor.powerOnDelay ?? 0;
  const warm = timed && air.regulates;
  return [
    {
      id: 'powerCut',
      title: timed && has('memory.kept') ? 'Power cut and return' : titleOf(tests[0]!),
      ways: [
        wayOf(tests, [
          ...(warm ? [phase('Air probe into warm water', byHand(40), everything, { lends: airProbe })] : []),
          phase('Power off for ten seconds, on again', byHand(POWER_CUT), everything),
          ...(delay > 0
            ? [
                phase('The delay from power-up passes', sure(delay), theUnit, {
                  test: timed ? 'power.delay' : 'memory.kept',
                  until: timed ? 'start' : null,
                }),
              ]
            : []),
          ...(timed
            ? [
                phase(
                  warm ? 'Note when it starts, hang the probe back' : 'Note when it starts',
                  byHand(READ),
                  everything,
                  warm ? { returns: airProbe } : {},
                ),
              ]
            : []),
          ...(has('memory.kept')
            ? [phase('Read three of the changed codes', byHand(READ_CODES), ['hands'])]
            : []),
        ]),
      ],
      after: [],
    },
  ];
}

/** Outputs that no other proof runs: what can be clamped while something else is waited for. */
function outputProofs({ tests, titleOf, has, forecast }: Making): readonly Proof[] {
  const withOthers = new Set([
    ...(forecast?.defrost && (has('defrost.start') || has('defrost.end')) ? ['outputs.defrost'] : []),
    ...(has('alarms.high') || has('alarms.low') ? ['outputs.alarm'] : []),
  ]);
  return tests
    .map(({ test }) => test.id)
    .filter((id) => id.startsWith('outputs.') && !withOthers.has(id))
    .map((id) => ({
      id,
      title: titleOf(id),
      ways: [wayOf([id], [phase('Call it alone, look or clamp', byHand(OUTPUT), ['hands'])])],
      after: [],
    }));
}
