import { quantity } from '../../foundation/quantities/index.ts';
import { bandOf } from '../../machines/box/index.ts';
import { airProbe, type Borrowed } from './borrowed.ts';
import type { AirPoint } from './forecast.ts';
import {
  phase,
  wayOf,
  type Making,
  type Proof,
  type ProofPhase,
  type ProofWay,
  everything,
  theUnit,
} from './proof.ts';
import { byHand, sure, type Span } from './span.ts';

/** A set point is moved so far below the air that it stops soon, K. */
const BELOW_AIR = 1.5;
/** Nobody moves a set point for less, K. */
const WORTH_MOVING = 2;
/** In the last of a pull-down one stands by, and the probe hangs where it belongs, s. */
const STANDS_BY = 120;

const MOVE_SETPOINT = 90;
const PUT_BACK = 60;
const READ = 30;
const INTO_WATER = 40;

/** Cut-out, minimum off time and cut-in: from the pull-down, from the next stop, or from a set point that is moved. */
export function coolingProofs(making: Making): readonly Proof[] {
  const { config, forecast, has } = making;
  if (!config || !forecast) return [];
  const first = has('regulation.cutOut') || has('regulation.pullDown');
  const stop = first ? stopProof(making) : null;
  const rest = !first && has('regulation.rest') ? restProof(making) : null;
  const cutIn = has('regulation.cutIn') ? cutInProof(making, stop ?? rest) : null;
  return [stop, rest, cutIn].flatMap((proof) => (proof ? [proof] : []));
}

/** How long it takes to the next stop of a box that regulates already, nobody knowing where in its cycle it is. */
function nextStop({ forecast }: Making): Span | null {
  const { run, rest } = forecast!;
  return run && rest
    ? { early: 0, likely: (run.likely + rest.likely) / 2, late: run.late + rest.late }
    : null;
}

function stopProof(making: Making): Proof | null {
  const { forecast, air, degrees, config, has } = making;
  const wait = air.regulates ? nextStop(making) : forecast!.cutOut;
  const { cutOut } = bandOf(config!.stage, config!.setpoint);
  const ids = [
    'regulation.pullDown',
    'regulation.cutOut',
    ...(config!.compressor.minOff > 0 ? ['regulation.rest'] : []),
  ];
  const natural =
    wait === null
      ? []
      : [
          wayOf(
            ids.filter(has),
            [
              standBy(wait, `It comes down to ${degrees(cutOut)}`),
              readStop(cutOut, making),
              ...warmRest(making),
            ],
            after(wait),
          ),
        ];
  const ways = [...natural, ...[movedSetpoint(making), probeInIceWater(making)].flatMap((way) => way ?? [])];
  return ways.length === 0
    ? null
    : { id: 'stop', title: has('regulation.rest') ? 'Cut-out and rest' : 'Cut-out', ways, after: [] };
}

/** It comes down by itself while other things are done; for the last of it one stands by and the probe hangs in its place. */
const after = (wait: Span): Span => {
  const before = wait.likely > 0 ? Math.max(0, wait.likely - STANDS_BY) / wait.likely : 0;
  return { early: before * wait.early, likely: before * wait.likely, late: before * wait.late };
};
function standBy(wait: Span, does: string): ProofPhase {
  const { early, likely, late } = after(wait);
  const last = { early: wait.early - early, likely: wait.likely - likely, late: wait.late - late };
  return phase(does, last, theUnit, { test: 'regulation.pullDown', until: 'stop' });
}

const readStop = (cutOut: number, { degrees }: Making, at = `about ${degrees(cutOut)}`) =>
  phase(`Read the display as it stops: ${at}`, byHand(READ), everything);

/** Its minimum off time with a warm probe, so that nothing but the time holds it; `isOut`: the probe is out of its place already. */
function warmRest({ has, config }: Making, isOut = false): readonly ProofPhase[] {
  const { minOff } = config!.compressor;
  if (!has('regulation.rest') || minOff <= 0)
    return isOut ? [phase('Hang the probe back', byHand(PUT_BACK), everything, { returns: airProbe })] : [];
  return [
    phase('Air probe into warm water at once', byHand(INTO_WATER), everything, {
      lends: isOut ? null : airProbe,
      test: 'regulation.rest',
    }),
    phase('Its minimum off time passes', sure(Math.max(0, minOff - READ - INTO_WATER)), theUnit, {
      test: 'regulation.rest',
      until: 'start',
    }),
    phase('Note when it starts, hang the probe back', byHand(PUT_BACK), everything, { returns: airProbe }),
  ];
}

/** Ice water is this warm, °C; a control that stops above it stops in it. */
const ICE_WATER_C = 0;
const STOPS_ABOVE = 0.5;

/** The probe in ice water comes down through cut-out within a minute or two, whatever the box does; a box that regulates may be at rest already, and shows nothing by it. */
function probeInIceWater(making: Making): ProofWay | null {
  const { config, has, degrees, unit, air } = making;
  if (air.regulates) return null;
  const { cutOut } = bandOf(config!.stage, config!.setpoint);
  if (config!.stage.heat || cutOut < ICE_WATER_C + STOPS_ABOVE || unit.application === 'chilledWaterTank')
    return null;
  return wayOf(
    ['regulation.cutOut', ...(config!.compressor.minOff > 0 ? ['regulation.rest'] : [])].filter(has),
    [
      phase('Air probe into ice water, stirred', byHand(MOVE_SETPOINT), everything, {
        lends: airProbe,
      }),
      phase(
        `It reads down to ${degrees(cutOut)}`,
        { early: 0, likely: 45, late: 150 + config!.compressor.minOn },
        theUnit,
        { until: 'stop' },
      ),
      readStop(cutOut, making),
      ...warmRest(making, true),
    ],
  );
}

/** The set point is moved to just below the air: it stops within minutes, and to move it back is what lets it call again. */
function movedSetpoint(making: Making): ProofWay | null {
  const { config, forecast, air, has, canMove, degrees, unit } = making;
  const { stage, setpoint, compressor } = config!;
  const now = air.celsius ?? forecast!.air[0]?.likely;
  if (air.regulates || now === undefined || stage.heat) return null;
  const { cutOut } = bandOf(stage, setpoint);
  const shift = Math.round(now - BELOW_AIR - cutOut);
  if (shift < WORTH_MOVING || !canMove('regulation.setpoint', setpoint + shift)) return null;
  if (unit.application === 'chilledWaterTank') return null;
  const setpointMoved: Borrowed = {
    kind: 'value',
    setting: 'regulation.setpoint',
    to: quantity(setpoint + shift, 'degC'),
  };
  const waits = Math.max(30, 60 * (minutesTo(forecast!.air, cutOut + shift) ?? 3) - MOVE_SETPOINT);
  const rest = has('regulation.rest') && compressor.minOff > 0;
  return wayOf(['regulation.cutOut', ...(rest ? ['regulation.rest'] : [])].filter(has), [
    phase(`Move the set point to ${degrees(setpoint + shift)}`, byHand(MOVE_SETPOINT), everything, {
      lends: setpointMoved,
    }),
    phase(
      `It comes down to ${degrees(cutOut + shift)}`,
      // It may be there while the set point is still being keyed.
      { early: -MOVE_SETPOINT / 2, likely: waits / 2, late: 2 * waits + MOVE_SETPOINT },
      theUnit,
      { until: 'stop' },
    ),
    readStop(cutOut + shift, making),
    phase(`Set point back to ${degrees(setpoint)}, read it back`, byHand(PUT_BACK), everything, {
      returns: setpointMoved,
      ...(rest && { test: 'regulation.rest' }),
    }),
    ...(rest
      ? [
          phase(
            'Its minimum off time passes',
            sure(Math.max(0, compressor.minOff - READ - PUT_BACK)),
            theUnit,
            {
              test: 'regulation.rest',
              until: 'start',
            },
          ),
          phase('Note when it starts', byHand(READ), everything),
        ]
      : []),
  ]);
}

/** When the likely box comes to a temperature, minutes from now, between the points of its air; null where it does not. */
function minutesTo(air: readonly AirPoint[], celsius: number): number | null {
  const i = air.findIndex(({ likely }) => likely <= celsius);
  if (i <= 0) return i < 0 ? null : 0;
  const [a, b] = [air[i - 1]!, air[i]!];
  return a.minutes + ((a.likely - celsius) / (a.likely - b.likely)) * (b.minutes - a.minutes);
}

/** Minimum off time alone, from the next stop on. */
function restProof(making: Making): Proof | null {
  const wait = nextStop(making);
  if (!wait) return null;
  const phases = [phase('It runs to its next stop', wait, theUnit, { until: 'stop' }), ...warmRest(making)];
  return {
    id: 'stop',
    title: making.titleOf('regulation.rest'),
    ways: [wayOf(['regulation.rest'], phases)],
    after: [],
  };
}

/** The start by itself, at cut-in: the rest of a run and a rest. */
function cutInProof(making: Making, before: Proof | null): Proof | null {
  const { run, rest } = making.forecast!;
  if (!run || !rest) return null;
  const { cutIn } = bandOf(making.config!.stage, making.config!.setpoint);
  const wait: Span = {
    early: rest.early,
    likely: rest.likely + run.likely / 2,
    late: rest.late + run.late,
  };
  return {
    id: 'cutIn',
    title: making.titleOf('regulation.cutIn'),
    ways: [
      wayOf(
        ['regulation.cutIn'],
        [
          phase('It warms to cut-in by itself', wait, theUnit, { until: 'start' }),
          phase(`Read the display as it starts: about ${making.degrees(cutIn)}`, byHand(READ), everything),
        ],
        // A stop at a moved set point is none after which it warms to cut-in: the air is far above.
        making.air.regulates ? undefined : (making.forecast!.cutOut ?? undefined),
      ),
    ],
    after: before ? [before.id] : [],
  };
}
