import { swingAt, swingOf, type Cycle, type Phase } from './cycle.ts';
import { lagOf, type InstrumentReading } from './instruments.ts';
import { placeDifferences } from './places.ts';

/** Instruments and what is known of the cycle they are read in. */
export interface Read {
  readonly instruments: readonly InstrumentReading[];
  /** What the control does with its box; null where it regulates nothing, or nobody knows. */
  readonly cycle: Cycle | null;
  /** Whether the machine runs at this moment; null: nobody looked. */
  readonly running: boolean | null;
}

const PHASES = 24;
/** How far a control's display stands from the even line of its cycle: a step of its display and an overshoot, as a share of the half band. */
const DISPLAY_STEP_K = 0.3;
const OVERSHOOT = 0.15;
/** Without a cycle nobody knows how the air moves. */
const NO_CYCLE_K = 0.6;

/** Phases at which the cycle may be, with how well each goes with what the display shows and with whether the machine runs. */
export function phasesOf({
  cycle,
  running,
  instruments,
}: Read): readonly { phase: Phase | null; logWeight: number }[] {
  if (!cycle) return [{ phase: null, logWeight: 0 }];
  const display = instruments.find(({ kind }) => kind === 'display');
  const half = (cycle.high - cycle.low) / 2;
  const spread = Math.hypot(DISPLAY_STEP_K, OVERSHOOT * half);
  return Array.from({ length: PHASES }, (_, i) => {
    const at = (i + 0.5) / PHASES;
    const phase = { at, running: at < cycle.runShare };
    // The control turns by what it reads itself: its display tells the phase, however wrong it is.
    const shows =
      (cycle.low + cycle.high) / 2 +
      airSwing(cycle, instruments) * swingAt(cycle, at, display ? lagOf(display) : 0);
    const off = display ? (display.reads - shows) / spread : 0;
    return { phase, logWeight: -0.5 * Math.min(off ** 2, 50) };
  }).filter(({ phase }) => running === null || phase.running === running);
}

/** Half of the swing of the air itself, K: more than the display shows, whose probe lags. */
function airSwing(cycle: Cycle, instruments: readonly InstrumentReading[]): number {
  const display = instruments.find(({ kind }) => kind === 'display');
  return (cycle.high - cycle.low) / 2 / swingOf(cycle, display ? lagOf(display) : 60);
}

/** Readings as they would be in the return air, on the average of the cycle; and what that leaves open. */
export function atOnePlace({ instruments, cycle }: Read, phase: Phase | null) {
  const swing = cycle ? airSwing(cycle, instruments) : 0;
  const x = instruments.map((one) => {
    const place = placeDifferences[one.place];
    const share = cycle?.runShare ?? 0.5;
    const differs =
      phase === null
        ? share * place.running + (1 - share) * place.resting
        : phase.running
          ? place.running
          : place.resting;
    const moves = cycle && phase ? swing * swingAt(cycle, phase.at, lagOf(one) + place.lag) : 0;
    return one.reads - differs - moves;
  });
  const places = instruments.map((one) =>
    Math.hypot(placeDifferences[one.place].spread, cycle ? 0 : NO_CYCLE_K, OVERSHOOT * swing),
  );
  return { x, places };
}
