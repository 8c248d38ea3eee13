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
  const wanted = wantedNow(config, state, doorStops);
  const { t, out } = state;
  if (out.compressor) {
    const mayStop = wanted.atOnce || t - state.lastStart >= config.compressor.minOn;
    if (wanted.on || !mayStop) return;
    out.compressor = false;
    state.lastStop = t;
    emit({ t, kind: 'compressor', value: false, reason: wanted.reason });
    return;
  }
  if (!wanted.on) {
    state.held = '';
    return;
  }
  const hold = longestHold(config, state, state.phase === 'regulate');
  if (hold === null) {
    out.compressor = true;
    state.lastStart = t;
    state.held = '';
    emit({ t, kind: 'compressor', value: true, reason: wanted.reason });
  } else if (hold.name !== state.held) {
    state.held = hold.name;
    emit({ t, kind: 'held', value: hold.name, numbers: { seconds: hold.seconds } });
  }
}

function wantedNow(
  config: ControlConfig,
  state: ControlState,
  doorStops: boolean,
): { readonly on: boolean; readonly atOnce: boolean; readonly reason: string } {
  if (state.standby) return { on: false, atOnce: true, reason: 'standby' };
  if (doorStops && config.compressor.stopsAtDoor) return { on: false, atOnce: true, reason: 'doorOpen' };
  if (state.causes.input && config.alarms.inputStops)
    return { on: false, atOnce: true, reason: 'alarmInput' };
  if (state.phase === 'drain') return { on: false, atOnce: true, reason: 'drain' };
  if (state.phase === 'defrost')
    return config.defrost.method === 'hotGas'
      ? { on: true, atOnce: false, reason: 'hotGas' }
      : { on: false, atOnce: true, reason: 'defrost' };
  return { on: state.call, atOnce: false, reason: state.air.failed ? 'probeFault' : 'demand' };
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
