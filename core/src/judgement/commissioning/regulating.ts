import { bandOf } from '../../machines/box/index.ts';
import { spoken, type Facts } from './facts.ts';
import type { CommissioningTest } from './test.ts';

/** A display of whole degrees and a reading at the moment of switching may be off by so much, K. */
const BAND_K = 0.8;
/** A cold coil takes the air on below the stop, K (common practice: a degree or so). */
const COASTS_K = 1;
/** The end of a defrost is read from a coil that rises quickly, K. */
const END_K = 2;

/** Pull-down, cut-out, cut-in, rest. */
export function regulationTests(facts: Facts): readonly CommissioningTest[] {
  const { config, degrees, difference, predicted } = facts;
  const { cutOut, cutIn } = bandOf(config.stage, config.setpoint);
  const { minOff } = config.compressor;
  const fans = facts.unit.application === 'condenserFans';
  const cools = !config.stage.heat;
  const tests: CommissioningTest[] = [];
  const to = predicted?.minutesToCutOut;
  if (cools && !fans)
    tests.push({
      id: 'regulation.pullDown',
      group: 'regulation',
      title: 'Pull-down',
      why: 'A unit that is slow now will not hold in summer.',
      how: ['Note the air every few minutes from the start on.', 'Doors shut, box empty.'],
      expect: pullDownWords(facts, cutOut),
      measure: { unit: 'min', label: 'until cut-out', least: null, most: to?.slow ? 1.15 * to.slow : null },
      wait: to?.likely ? to.likely * 60 : null,
      caution: null,
    });
  tests.push({
    id: 'regulation.cutOut',
    group: 'regulation',
    title: cools ? 'Cut-out' : 'Stops heating',
    why: 'The set point is only true if it stops there.',
    how: [
      'Read the display in the moment it stops.',
      ...(cools && !fans
        ? [`Afterwards the air coasts on by about ${difference(COASTS_K)} further: that is no fault.`]
        : []),
    ],
    expect: `It stops at ${degrees(cutOut)}.`,
    measure: { unit: 'degC', label: 'at the stop', least: cutOut - BAND_K, most: cutOut + BAND_K },
    wait: null,
    caution: null,
  });
  tests.push({
    id: 'regulation.cutIn',
    group: 'regulation',
    title: cools ? 'Cut-in' : 'Starts heating',
    why: `Set point and differential together; ${fans ? 'the pressure follows from it' : 'a limit of the product lies just above'}.`,
    how: [`Read the display in the moment it starts; ${moved(cools, cutIn)} if you cannot wait.`],
    expect: `It starts at ${degrees(cutIn)}${minOff > 0 ? ', or later if its minimum off time is not over' : ''}.`,
    measure: {
      unit: 'degC',
      label: 'at the start',
      least: cutIn - BAND_K,
      most: minOff > 0 ? null : cutIn + BAND_K,
    },
    wait: null,
    caution: null,
  });
  if (minOff > 0)
    tests.push({
      id: 'regulation.rest',
      group: 'regulation',
      title: 'Minimum off time kept',
      why: 'A restart against pressure kills a compressor.',
      how: [
        'Start the timer when it stops.',
        `${sentenceCase(moved(cools, cutIn))} at once.`,
        'Write down when it starts again.',
      ],
      expect: `Not before ${spoken(minOff)}.`,
      measure: { unit: 'min', label: 'rest', least: minOff / 60 - 0.15, most: null },
      wait: minOff,
      caution: null,
    });
  if (config.stage2.function === 'thermostat')
    tests.push({
      id: 'regulation.stages',
      group: 'regulation',
      title: 'Stages do not fight',
      why: 'Two stages that call at once heat and cool each other.',
      how: ['Watch both outputs through a whole cycle.'],
      expect: 'Never both at once, a dead band between them.',
      measure: null,
      wait: null,
      caution: null,
    });
  return tests;
}

/** A hand has about 33 °C: what starts below that is warmed in it, anything warmer in water. */
const HAND_C = 28;

/** How a probe is brought to where the control starts. */
function moved(cools: boolean, cutIn: number): string {
  if (!cools) return 'cool the probe in water';
  return cutIn < HAND_C ? 'hold the probe in the hand' : 'warm the probe in hot water';
}
const sentenceCase = (words: string) => words.charAt(0).toUpperCase() + words.slice(1);

function pullDownWords({ predicted, degrees }: Facts, cutOut: number): string {
  if (!predicted) return `It comes down to ${degrees(cutOut)} steadily and stops there.`;
  const { slow, likely, quick } = predicted.minutesToCutOut;
  if (likely === null)
    return `It comes down steadily; in the simulation it is not at ${degrees(cutOut)} when the curve ends.`;
  return `From ${degrees(predicted.startsAt)} to ${degrees(cutOut)} in about ${Math.round(likely)} min (${quick === null ? '?' : Math.round(quick)} to ${slow === null ? 'more than the curve shows' : Math.round(slow)}): an estimate by simulation.`;
}

/** A defrost by hand, from its start to the fans. */
export function defrostTests(facts: Facts): readonly CommissioningTest[] {
  const { config, degrees, predicted } = facts;
  const { defrost, fans } = config;
  if (defrost.method === 'none' || defrost.maxDuration <= 0) return [];
  const heats = defrost.method !== 'offCycle';
  const most = defrost.maxDuration / 60;
  const tests: CommissioningTest[] = [
    {
      id: 'defrost.start',
      group: 'defrost',
      title: 'Starts by hand',
      why: 'What cannot be started cannot be tested later either.',
      how: [
        facts.direct('startDefrost') ?? 'Start a defrost with the keystrokes of this control.',
        heats ? 'Compressor or valve, heater and fans one after the other.' : 'The compressor stops.',
      ],
      expect: `${defrost.method === 'electric' ? 'Compressor off, heater on' : defrost.method === 'hotGas' ? 'The hot gas valve opens' : 'Compressor off'}, fans ${fans.controlled && !fans.runsInDefrost ? 'off' : 'on'}.`,
      measure: null,
      wait: null,
      caution: heats ? 'Heaters and drain pans are hot.' : null,
    },
    {
      id: 'defrost.end',
      group: 'defrost',
      title: 'Ends',
      why: 'A defrost that always ends by time leaves ice or wastes heat.',
      how: ['Note the coil in the moment it ends, and how long it took.'],
      expect:
        defrost.byTemperature && defrost.endTemperature !== null
          ? `At ${degrees(defrost.endTemperature)} on the coil, before ${most.toFixed(0)} min are over${predicted?.defrostMinutes ? `; about ${Math.round(predicted.defrostMinutes)} min with frost, less on a dry coil` : ''}.`
          : `After ${most.toFixed(0)} min.`,
      measure:
        defrost.byTemperature && defrost.endTemperature !== null
          ? {
              unit: 'degC',
              label: 'coil at the end',
              least: defrost.endTemperature - END_K,
              most: defrost.endTemperature + 3 * END_K,
            }
          : { unit: 'min', label: 'length', least: 0.95 * most - 0.2, most: 1.05 * most + 0.2 },
      wait: defrost.maxDuration,
      caution: null,
    },
  ];
  if (defrost.drain > 0)
    tests.push({
      id: 'defrost.drain',
      group: 'defrost',
      title: 'Drains',
      why: 'Water left on the coil is ice an hour later.',
      how: [
        'Pour a cup of warm water on the coil and watch the drain outside.',
        'Start the timer as the heat ends.',
      ],
      expect: `Nothing runs for ${spoken(defrost.drain)}; the water comes out.`,
      measure: {
        unit: 'min',
        label: 'drain',
        least: (0.9 * defrost.drain) / 60 - 0.1,
        most: (1.1 * defrost.drain) / 60 + 0.5,
      },
      wait: defrost.drain,
      caution: null,
    });
  if (fans.controlled && (fans.delayAfterDrain || fans.restartCoil !== null))
    tests.push({
      id: 'defrost.fans',
      group: 'defrost',
      title: 'Fans wait for a cold coil',
      why: 'Fans that start on a warm coil blow water and heat into the box.',
      how: ['Read the coil when the fans start.'],
      expect:
        fans.restartCoil !== null
          ? `They start when the coil is below ${degrees(fans.restartCoil)}${fans.delayAfterDrain ? `, at the latest after ${spoken(fans.delayAfterDrain)}` : ''}.`
          : `They start ${spoken(fans.delayAfterDrain!)} after the drain.`,
      measure:
        fans.restartCoil !== null && !fans.delayAfterDrain
          ? { unit: 'degC', label: 'coil as fans start', least: null, most: fans.restartCoil + END_K }
          : null,
      wait: null,
      caution: 'Fans start by themselves.',
    });
  return tests;
}
