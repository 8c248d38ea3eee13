import type { ControlConfig } from './config.ts';
import type { Emit } from './event.ts';
import type { ControlState } from './state.ts';

/** The compressor at this tick: what calls it, what holds it, what stops it at once. */
export function workOutCompressor(
  config: ControlConfig,
  state: ControlState,
  doorStops: boolean,
  emit: Emit,
): void {
  const forbidden = forbiddenBy(config, state, doorStops);
  const on = forbidden === '' && (state.phase === 'defrost' || state.call);
  const { t, out } = state;
  if (out.compressor) {
    // What forbids it stops it at once; a call that ended waits for the least running time.
    if (on || (forbidden === '' && t - state.lastStart < config.compressor.minOn)) return;
    out.compressor = false;
    state.lastStop = t;
    emit({ t, kind: 'compressor', value: false, reason: forbidden || called(state) });
    return;
  }
  if (!on) {
    state.held = '';
    return;
  }
  const hold = longestHold(config, state, state.phase === 'regulate');
  if (hold === null) {
    out.compressor = true;
    state.lastStart = t;
    state.held = '';
    emit({ t, kind: 'compressor', value: true, reason: called(state) });
  } else if (hold.name !== state.held) {
    state.held = hold.name;
    emit({ t, kind: 'held', value: hold.name, numbers: { seconds: hold.seconds } });
  }
}

/** What forbids the compressor whatever the call is; empty where nothing does. In a hot gas defrost it runs without a call. */
function forbiddenBy(config: ControlConfig, state: ControlState, doorStops: boolean): string {
  if (state.standby) return 'standby';
  if (doorStops && config.compressor.stopsAtDoor) return 'doorOpen';
  if (state.causes.input && config.alarms.inputStops) return 'alarmInput';
  if (state.phase === 'drain') return 'drain';
  return state.phase === 'defrost' && config.defrost.method !== 'hotGas' ? 'defrost' : '';
}

/** What calls it, or called it. */
function called(state: ControlState): string {
  if (state.phase === 'defrost') return 'hotGas';
  return state.air.failed ? 'probeFault' : 'demand';
}

/** The hold that ends last; null where the compressor may start. Hot gas waits for no call. */
function longestHold(
  config: ControlConfig,
  state: ControlState,
  called: boolean,
): { readonly name: string; readonly seconds: number } | null {
  const { compressor: c } = config;
  const { t } = state;
  let name = '';
  let seconds = 0;
  const hold = (by: string, until: number) => {
    if (until - t > seconds) {
      seconds = until - t;
      name = by;
    }
  };
  hold('powerOnDelay', state.readySince + c.powerOnDelay);
  if (state.lastStop >= 0) hold('minOffTime', state.lastStop + c.minOff);
  if (state.lastStart >= 0) hold('minStartInterval', state.lastStart + c.startInterval);
  if (called) hold('callDelay', state.callBegan + c.callDelay);
  return seconds > 0 ? { name, seconds } : null;
}
