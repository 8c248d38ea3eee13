import { coilProbe } from './borrowed.ts';
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
import { byHand, sure } from './span.ts';

const ids = ['defrost.start', 'outputs.defrost', 'defrost.end', 'defrost.drain', 'defrost.fans'] as const;
const START = 60;
const CLAMP = 90;
const LOOK = 30;
const PROBE_IN_WATER = 120;
/** A defrost shorter than this is waited for, s. */
const WORTH_WARMING = 300;

/** A defrost by hand from its start to the fans, or what of it is still open. */
export function defrostProof(making: Making): readonly Proof[] {
  const { config, forecast, has, air } = making;
  const tests = ids.filter(has);
  const defrosts = tests.some((id) => id !== 'outputs.defrost');
  if (!config || !forecast?.defrost || !defrosts) return [];
  const { byTemperature, drain } = config.defrost;
  const warms =
    byTemperature &&
    config.probes.coilPresent &&
    forecast.defrost.likely > WORTH_WARMING &&
    has('defrost.end');
  const isFrosted = air.regulates || !has('defrost.start');
  const from = isFrosted ? undefined : (forecast.coldCoil ?? forecast.cutOut ?? undefined);
  const way = (warmed: boolean): ProofWay => wayOf(tests, phasesOf(making, warmed), from);
  return [
    {
      id: 'defrost',
      title: drain > 0 ? 'A defrost with its drain and its fans' : 'A defrost',
      ways: warms ? [way(false), way(true)] : [way(false)],
      // A defrost in the middle of a pull-down would lengthen it.
      after: has('regulation.cutOut') || has('regulation.pullDown') ? ['stop'] : [],
    },
  ];
}

/** The phases of a defrost; no alarm counts meanwhile, so that the probe is taken as well. */
function phasesOf({ config, forecast, has }: Making, warmed: boolean): readonly ProofPhase[] {
  const { drain, maxDuration } = config!.defrost;
  const whole = forecast!.defrost!;
  const clamp = has('outputs.defrost') ? CLAMP : 0;
  const early = START + clamp;
  const left = (seconds: number) => Math.max(LOOK, seconds - early);
  const waits = {
    early: left(whole.early),
    likely: left(whole.likely),
    late: left(Math.min(whole.late, maxDuration > 0 ? maxDuration : whole.late)),
  };
  return [
    ...(has('defrost.start')
      ? [phase('Key a defrost and watch what stops and starts', byHand(START), everything)]
      : []),
    ...(clamp > 0 ? [phase('Clamp the heater', byHand(clamp), everything)] : []),
    ...(has('defrost.end')
      ? warmed
        ? [
            phase('Coil probe into warm water', byHand(PROBE_IN_WATER), everything, {
              lends: coilProbe,
              test: 'defrost.end',
              until: 'defrostEnd',
            }),
            phase('Note the coil as it ends, put the probe back', byHand(60), everything, {
              returns: coilProbe,
            }),
          ]
        : [
            phase('The coil warms to its end', waits, theUnit, { test: 'defrost.end', until: 'defrostEnd' }),
            phase('Note the coil as it ends', byHand(LOOK), everything),
          ]
      : []),
    ...(drain > 0 && (has('defrost.drain') || has('defrost.fans') || has('defrost.end'))
      ? [
          phase('It drains', sure(Math.max(0, drain - LOOK)), theUnit, {
            test: 'defrost.drain',
            until: 'drainEnd',
          }),
          phase('Look at the drain outside', byHand(LOOK), everything),
        ]
      : []),
    ...(has('defrost.fans') && forecast!.fans
      ? [
          phase('The coil cools, the fans wait', forecast!.fans, theUnit, {
            test: 'defrost.fans',
            until: 'fansOn',
          }),
          phase('Read the coil as the fans start', byHand(LOOK), everything),
        ]
      : []),
  ];
}
