import type { ControlConfig } from './config.ts';
import { actingSetpoint, demandOf, faultCall } from './demand.ts';
import type { Emit } from './event.ts';
import type { ControlState } from './state.ts';

/** The second stage at this tick: it goes on in defrost and drain. As an alarm contact it is set after the alarms. */
export function workOutStage2(config: ControlConfig, state: ControlState, emit: Emit): void {
  const { stage2 } = config;
  const setpoint = stage2.setpoint ?? actingSetpoint(config, state) + stage2.offset;
  const probe = stage2.bySecond ? state.second : state.air;
  const failedAt = stage2.bySecond ? state.secondFailedAt : state.airFailedAt;
  if (!probe.failed) state.demand2 = demandOf(stage2, setpoint, probe.value, state.demand2);
  const { faultOn, faultOff } = config.compressor;
  const call = probe.failed
    ? faultCall(stage2.onFault, state.t - failedAt, faultOn, faultOff)
    : state.demand2;
  setStage2(state, heldStage2(config, state, call && !state.standby), emit);
  // Stages that go by two probes regulate two places.
  const fight =
    !stage2.bySecond && !state.standby && state.demand && state.demand2 && config.stage.heat !== stage2.heat;
  if (fight && !state.fighting)
    emit({ t: state.t, kind: 'stagesFight', value: true, reason: 'one stage cools while the other heats' });
  state.fighting = fight;
}

function heldStage2(config: ControlConfig, state: ControlState, call: boolean): boolean {
  const { minOn, minOff } = config.stage2;
  const { t, out, standby } = state;
  if (out.stage2) return call || (!standby && t - state.lastStart2 < minOn);
  return call && (state.lastStop2 < 0 || t - state.lastStop2 >= minOff);
}

/** Sets the second relay; a change is an event. */
export function setStage2(state: ControlState, on: boolean, emit: Emit): void {
  if (on === state.out.stage2) return;
  state.out.stage2 = on;
  if (on) state.lastStart2 = state.t;
  else state.lastStop2 = state.t;
  emit({ t: state.t, kind: 'stage2', value: on });
}
