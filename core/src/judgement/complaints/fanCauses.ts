import { quantity } from '../../foundation/quantities/index.ts';
import { sentence } from '../../foundation/sentences/index.ts';
import type { CondenserRun } from '../../machines/condenser/index.ts';
import type { Cause } from './cause.ts';

/** Something behind a complaint about the fans of a condenser, with its day: another condenser, other settings, a probe that reads wrong. */
export interface FanCause extends Cause {
  /** False where these settings leave it no room: no drive, no quiet time. */
  readonly fitsRun?: (run: CondenserRun) => boolean;
  readonly spoilRun?: (run: CondenserRun) => CondenserRun;
}

const ALL_DAY = [0, 24] as const;
type Config = CondenserRun['config'];
const withConfig = (run: CondenserRun, config: Partial<Config>): CondenserRun => ({
  ...run,
  config: { ...run.config, ...config },
});
const withPlant = (run: CondenserRun, plant: Partial<CondenserRun['plant']>): CondenserRun => ({
  ...run,
  plant: { ...run.plant, ...plant },
});
/** The whole band moved, with the limits of a set point that floats. */
const moved = (run: CondenserRun, by: number): CondenserRun => {
  const { setpoint, setpointMin, setpointMax } = run.config;
  return withConfig(run, {
    setpoint: setpoint + by,
    setpointMin: setpointMin === null ? null : setpointMin + by,
    setpointMax: setpointMax === null ? null : setpointMax + by,
  });
};

const byDrive = (run: CondenserRun) => run.config.method !== 'onOff';
/** Fans that are forbidden to run. */
const standing = (run: CondenserRun): CondenserRun =>
  withConfig({ ...run, overload: ALL_DAY }, { overload: { ...run.config.overload, fitted: true } });

/** A probe bare in the air stream reads well below its pipe; one that heats itself in the sun above it, K (common practice). */
const LOOSE_K = -10;
const SUNNY_K = 8;
/** What a heavily soiled coil, and air or too much refrigerant in it, leave of a condenser (common practice). */
const SOILED = 0.45;
const CROWDED = 0.6;
/** What a condenser gives off with no fan at all, share. */
const STILL = 0.1;

/** Every cause known for the fans of a condenser. Shares and odds are common practice, from memory, unless they come from a simulated day. */
export const fanCauses: readonly FanCause[] = [
  {
    id: 'fansAsSet',
    name: 'Nothing is broken: they are set so',
    share: 14,
    decision: 'reprogram',
    does: 'Try bands and set points under Fans; its day is the one shown there.',
    spoilRun: (run) => run,
    shows: { noisyAtNight: 0.6 },
    checks: {},
    logged: [],
  },
  {
    id: 'fansSoiled',
    name: 'Coil soiled or its air blocked',
    share: 18,
    decision: 'repair',
    does: 'Wash it from inside out, clear what stands before it.',
    spoilRun: (run) => withPlant(run, { clean: SOILED * run.plant.clean }),
    checks: { condenserClean: 0.95 },
    logged: [],
  },
  {
    id: 'fansProbeLoose',
    name: 'Liquid probe loose or bare: reads too cold',
    share: 12,
    decision: 'moveProbe',
    does: 'Clean the pipe, paste, strap all round, insulate.',
    spoilRun: (run) => ({ ...run, probeDrift: LOOSE_K }),
    checks: { liquidProbe: 0.95, liquidAgainstDisplay: 0.95 },
    logged: [],
  },
  {
    id: 'fansProbeWarm',
    name: 'Liquid probe reads too warm',
    share: 5,
    decision: 'repair',
    does: sentence`Shade and insulate it; over ${quantity(3, 'K')} off against ice exchange it.`,
    spoilRun: (run) => ({ ...run, probeDrift: SUNNY_K }),
    checks: { liquidAgainstDisplay: 0.95, liquidProbe: 0.3 },
    logged: [],
  },
  {
    id: 'fansProbeDead',
    name: 'Liquid probe open or short: fans at their fault speed',
    share: 6,
    decision: 'repair',
    does: 'Exchange it; choose the fault speed from a normal week’s log.',
    spoilRun: (run) => ({ ...run, probeOpen: ALL_DAY }),
    shows: { fanAlarm: 0.95 },
    checks: { faultShown: 0.97, liquidAgainstDisplay: 0.9 },
    logged: [],
  },
  {
    id: 'fansBandNarrow',
    name: 'Band too narrow or integral time too short',
    share: 8,
    decision: 'reprogram',
    does: 'Widen the band, lengthen the integral time: tried under Fans.',
    spoilRun: (run) =>
      withConfig(run, {
        differential: Math.min(1, run.config.differential),
        integralTime: run.config.integralTime > 0 ? 30 : 0,
      }),
    checks: { setPointOnSheet: 0.85 },
    logged: [],
  },
  {
    id: 'fansLeastFast',
    name: 'Least speed too fast for a cold night',
    share: 6,
    decision: 'reprogram',
    does: 'Slower, if motor and drive may; else switch off part of the fans or split the condenser.',
    fitsRun: byDrive,
    spoilRun: (run) =>
      withConfig(run, { speed: { ...run.config.speed, min: Math.max(0.55, run.config.speed.min) } }),
    checks: { leastAir: 0.95, setPointOnSheet: 0.3 },
    logged: [],
  },
  {
    id: 'fansSetHigh',
    name: 'Condensing set point was turned up',
    share: 5,
    decision: 'reprogram',
    does: 'Set it back; what is saved on fans costs thrice on compressors.',
    spoilRun: (run) => moved(run, 10),
    checks: { setPointOnSheet: 0.95 },
    logged: [],
  },
  {
    id: 'fansSetLow',
    name: 'Condensing set point was turned down',
    share: 5,
    decision: 'reprogram',
    does: 'Set it back to what the valve needs.',
    spoilRun: (run) => moved(run, -12),
    checks: { setPointOnSheet: 0.95 },
    logged: [],
  },
  {
    id: 'fansOneDead',
    name: 'A fan is stopped: motor, capacitor or contactor',
    share: 10,
    decision: 'repair',
    does: 'Prove dead, turn it by hand, measure winding and capacitor.',
    spoilRun: (run) =>
      withPlant(run, {
        conductance:
          run.plant.conductance * (run.plant.fans > 1 ? (run.plant.fans - 1) / run.plant.fans : STILL),
      }),
    checks: { fansEach: 0.97, overloadChain: 0.3 },
    logged: [],
  },
  {
    id: 'fansNoContact',
    name: 'The control is not told that a compressor runs',
    share: 4,
    decision: 'repair',
    does: 'Find the auxiliary contact and its wires.',
    fitsRun: (run) => run.config.onlyWithCompressor,
    spoilRun: standing,
    shows: { fansStand: 0.9 },
    checks: { compressorContact: 0.97 },
    logged: [],
  },
  {
    id: 'fansChainOpen',
    name: 'Overload chain is open',
    share: 5,
    decision: 'repair',
    does: 'Find the motor whose contact opened, and why, before it is reset.',
    spoilRun: standing,
    shows: { fanAlarm: 0.95, fansStand: 0.9 },
    checks: { overloadChain: 0.97 },
    logged: [],
  },
  {
    id: 'fansQuietStuck',
    name: 'Quiet time never ends: clock or input',
    share: 4,
    decision: 'repair',
    does: 'Set the clock; find what holds the input closed.',
    fitsRun: (run) => run.config.quiet.source !== 'none',
    spoilRun: (run) =>
      withConfig({ ...run, quietContact: ALL_DAY }, { quiet: { ...run.config.quiet, source: 'input' } }),
    checks: { quietContact: 0.97 },
    logged: [],
  },
  {
    id: 'fansDriveDeaf',
    name: 'The drive does not follow its signal',
    share: 5,
    decision: 'repair',
    does: 'Input type, polarity and screen; then the drive.',
    fitsRun: byDrive,
    shows: { fansFlatOut: 0.5, pressureTrips: 0.4, fansStand: 0.25 },
    checks: { driveVolts: 0.97 },
    logged: [],
  },
  {
    id: 'fansOvercharge',
    name: 'Too much refrigerant, or air in it',
    share: 5,
    decision: 'repair',
    does: 'By a certified person: weigh, or purge what does not condense.',
    spoilRun: (run) => withPlant(run, { conductance: run.plant.conductance * CROWDED }),
    checks: { restPressure: 0.9 },
    logged: [],
  },
  {
    id: 'fansWorn',
    name: 'Bearing, blade or guard makes the noise',
    share: 6,
    decision: 'repair',
    does: 'Exchange the fan before it takes the others with it.',
    shows: { noisyAtNight: 0.85 },
    checks: { bearings: 0.95 },
    logged: [],
  },
];
