/** What a driver or an alarm does. */
export type EngineCommand =
  | { readonly does: 'key' }
  | { readonly does: 'start' }
  | { readonly does: 'setpoint'; readonly celsius: number }
  | { readonly does: 'confirm' }
  | { readonly does: 'shutdown'; readonly code: string }
  | { readonly does: 'clear' };

/** What the engine machine is told at a tick. `air`: return air, °C, NaN where its probe failed. */
export interface EngineInputs {
  readonly air: number;
  readonly commands: readonly EngineCommand[];
}

/** How a transport unit stands; changed in place. Times are seconds since it was switched on, −Infinity: never. */
export interface EngineState {
  t: number;
  setpoint: number;
  /** A change that nobody has confirmed yet, and when it was made. */
  pending: number | null;
  pendingSince: number;
  lastKey: number;
  /** Started by hand where it may not start by itself. */
  released: boolean;
  shutdown: string | null;
  action: 'cool' | 'heat' | 'none';
  engine: boolean;
  lastStart: number;
  lastStop: number;
}

/** A unit just switched on: switching on is a key. */
export const engineAtRest = (setpoint: number): EngineState => ({
  t: 0,
  setpoint,
  pending: null,
  pendingSince: Number.NEGATIVE_INFINITY,
  lastKey: 0,
  released: false,
  shutdown: null,
  action: 'none',
  engine: false,
  lastStart: Number.NEGATIVE_INFINITY,
  lastStop: Number.NEGATIVE_INFINITY,
});
