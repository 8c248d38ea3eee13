import type { ControlConfig } from './config.ts';
import type { Emit } from './event.ts';
import type { ControlInputs, ControlState, ProbeState } from './state.ts';

/** Corrects and smooths the readings; a probe that fails or comes back says so. The smoothing starts at the first reading, and anew after a failure. */
export function takeReadings(
  config: ControlConfig,
  state: ControlState,
  inputs: ControlInputs,
  emit: Emit,
): void {
  const { airSlope, airOffset, coilOffset, filter, coilPresent } = config.probes;
  const share = filter > 0 ? 1 - Math.exp(-1 / filter) : 1;
  const failedBefore = state.air.failed;
  take(state.air, airSlope * inputs.air + airOffset, share, 'air', state.t, emit);
  if (state.air.failed && !failedBefore) state.airFailedAt = state.t;
  if (config.stage2.bySecond) takeSecond(config, state, inputs, share, emit);
  if (!coilPresent) return;
  if (inputs.coil !== null) take(state.coil, inputs.coil + coilOffset, share, 'coil', state.t, emit);
  if (inputs.coil2 !== null) take(state.coil2, inputs.coil2, share, 'coil2', state.t, emit);
}

/** The second stage's own reading: the probe beside the air's, whatever else it is there for. One that is not there is a failed one. */
function takeSecond(
  config: ControlConfig,
  state: ControlState,
  inputs: ControlInputs,
  share: number,
  emit: Emit,
): void {
  const before = state.second.failed;
  // Told once: as the coil's where it is on the coil.
  const told = config.probes.coilPresent && inputs.coil !== null ? quietly : emit;
  const reading = inputs.coil === null ? Number.NaN : inputs.coil + config.probes.coilOffset;
  take(state.second, reading, share, 'second', state.t, told);
  if (state.second.failed && !before) state.secondFailedAt = state.t;
}
const quietly: Emit = () => undefined;

function take(
  probe: ProbeState,
  corrected: number,
  share: number,
  name: string,
  t: number,
  emit: Emit,
): void {
  // The usual second: a good probe that was good before.
  if (!probe.failed && corrected - corrected === 0) {
    const before = probe.value;
    probe.value = share === 1 || before !== before ? corrected : before + (corrected - before) * share;
    return;
  }
  const failed = Number.isNaN(corrected);
  if (failed !== probe.failed) emit({ t, kind: 'probeFault', value: failed, reason: name });
  if (failed) probe.value = Number.NaN;
  else if (Number.isNaN(probe.value)) probe.value = corrected;
  else probe.value += (corrected - probe.value) * share;
  probe.failed = failed;
}

/** The colder of the coil probes that are good: a defrost ends when this one is warm enough. */
export function coldestCoil(state: ControlState): number {
  const [one, two] = [state.coil.value, state.coil2.value];
  if (Number.isNaN(two)) return one;
  return Number.isNaN(one) ? two : Math.min(one, two);
}
