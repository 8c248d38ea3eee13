import type { SettingValues } from '../../foundation/settings/index.ts';
import type { UnitDescription } from '../../foundation/unit/index.ts';
import { bandOf } from '../../machines/box/index.ts';
import { UnitRun, type Scenario } from '../../machines/simulation/index.ts';
import {
  ambientOf,
  commissioned,
  type CommissionedBox,
  type RestOfPullDown,
} from '../commissioning/index.ts';
import { unitScenario } from '../tuning/index.ts';
import { spread, type Span } from './span.ts';

/** Where the air stands when one asks. */
export interface AirNow {
  /** °C; null: nobody has looked, and it stands as warm as what is around it. */
  readonly celsius: number | null;
  /** It has been at cut-out already and regulates. */
  readonly regulates: boolean;
  /** It has power, and its delay after power-up is over. */
  readonly started: boolean;
  /** The rest of the pull-down by what was read so far; absent: by the unit's run alone. */
  readonly pullDown?: RestOfPullDown;
}

/** The air in a slow, a likely and a quick box, °C, minutes from now. */
export interface AirPoint {
  readonly minutes: number;
  readonly slow: number;
  readonly likely: number;
  readonly quick: number;
}

/** How long this unit takes for what a visit waits for, under these settings, s. Null: it does not come to it within the hours that are looked at. */
export interface VisitForecast {
  /** From now to the first stop. */
  readonly cutOut: Span | null;
  /** From a stop to the start after it by itself, and from there to the next stop. */
  readonly rest: Span | null;
  readonly run: Span | null;
  /** From now until the coil is cold enough for a defrost that shows something. */
  readonly coldCoil: Span | null;
  /** Of a defrost by hand: its heat or its rest, and from the end of the drain until the fans turn. */
  readonly defrost: Span | null;
  readonly fans: Span | null;
  readonly air: readonly AirPoint[];
}

const HOUR = 3600;
/** What takes longer than this is no part of a visit, s. */
const LOOKED_AT = 8 * HOUR;
const STRIDE = 5;
/** A coil as cold as this has frost on it soon, °C. */
const COLD_COIL = -2;
/** A point of the air each so many seconds. */
const POINT = 120;

/**
 * How far a real box may stray from the forecast where the quick and the slow box do not say more, shares of the time: what a pull-down, a cycle and a defrost take. Ours, held to boxes of
 * other equations.
 */
const STRAYS = { pull: [0.35, 0.6], cycle: [0.6, 1.5], defrost: [0.85, 0.9] } as const;
/** A display, a probe and where it hangs are sure to this, K (common practice): near the end of a pull-down, where the air hardly falls, it is many minutes. */
const UNSURE_K = 1.5;
/** However near it seems, it may take so much longer, s. Ours. */
const LAST = 600;

/** What one box says, s; null where it was not seen. */
interface Told {
  cutOut: number | null;
  /** When it is as near to cut-out as nobody can tell. */
  near: number | null;
  rest: number | null;
  run: number | null;
  coldCoil: number | null;
  defrost: number | null;
  fans: number | null;
  readonly air: number[];
}

/** Runs the unit from its air of now: first stop, a cycle, and a defrost by hand, in three boxes. A sentence where nothing can be run. */
export function forecastVisit(
  unit: UnitDescription,
  values: SettingValues,
  now: AirNow,
): VisitForecast | string {
  const day = unitScenario(unit, values);
  if (typeof day === 'string') return day;
  const told = (box: CommissionedBox) => oneBox(day, box, now);
  const [slow, likely, quick] = [told('slow'), told('likely'), told('quick')];
  const span = (id: Exclude<keyof Told, 'air'>, strays: readonly [number, number]): Span | null => {
    if (likely[id] === null) return null;
    // A slow box that does not get there is as late as anything that is looked at.
    return spread(likely[id], [quick[id] ?? likely[id], slow[id] ?? LOOKED_AT], strays);
  };
  const pace = now.pullDown?.pace ?? 1;
  const cutOut = span('cutOut', STRAYS.pull);
  return {
    // Prove says beside it when cut-out is reached: there is one such time.
    cutOut: now.pullDown ? inSeconds(now.pullDown) : cutOut && unsureEnd(cutOut, likely),
    rest: span('rest', STRAYS.cycle),
    run: span('run', STRAYS.cycle),
    coldCoil: atPace(span('coldCoil', STRAYS.pull), pace),
    defrost: span('defrost', STRAYS.defrost),
    fans: span('fans', STRAYS.defrost),
    air: likely.air.map((celsius, i) => ({
      minutes: (i * POINT * pace) / 60,
      slow: slow.air[i] ?? celsius,
      likely: celsius,
      quick: quick.air[i] ?? celsius,
    })),
  };
}

/** What cannot be told of the air at the end of a pull-down, as time. */
function unsureEnd(span: Span, { cutOut, near }: Told): Span {
  const tail = cutOut! - Math.min(near ?? 0, cutOut!);
  return {
    early: Math.min(span.early, cutOut! - tail),
    likely: span.likely,
    late: Math.max(span.late, cutOut! + Math.max(4 * tail, LAST)),
  };
}

const inSeconds = ({ early, likely, late }: RestOfPullDown): Span => ({
  early: 60 * early,
  likely: 60 * likely,
  late: Math.max(60 * late, 60 * likely + LAST),
});

const atPace = <Of extends Span | null>(span: Of, pace: number): Of =>
  (span && { early: pace * span.early, likely: pace * span.likely, late: pace * span.late }) as Of;

function oneBox(day: Scenario, box: CommissionedBox, now: AirNow): Told {
  const { setpoint, stage } = day.config;
  const startAt =
    now.celsius ?? (now.regulates ? setpoint + (stage.heat ? 0 : stage.differential) : ambientOf(day));
  const run = new UnitRun(
    {
      ...commissioned(day, box, startAt),
      // Nobody lets the clock start a defrost in the middle of a visit.
      config: {
        ...day.config,
        defrost: { ...day.config.defrost, initiation: 'manual', atPowerOn: false },
        compressor: { ...day.config.compressor, ...(now.started && { powerOnDelay: 0 }) },
      },
    },
    STRIDE,
  );
  const told: Told = {
    cutOut: null,
    near: null,
    rest: null,
    run: null,
    coldCoil: null,
    defrost: null,
    fans: null,
    air: [],
  };
  const stopsAt = bandOf(stage, setpoint).cutOut;
  run.beginCount();
  let before = false;
  let started = -1;
  let stopped = -1;
  for (let t = 0; t < LOOKED_AT && told.run === null; t += 1) {
    run.second(t);
    const { box: state, drive } = run.standing;
    const runs = drive.compressor || (stage.heat && drive.airHeater);
    if (t % POINT === 0) told.air.push(state.probe);
    if (told.near === null && told.cutOut === null && Math.abs(state.probe - stopsAt) < UNSURE_K)
      told.near = t;
    if (told.coldCoil === null && state.coilProbe < COLD_COIL) told.coldCoil = t;
    if (runs && !before) {
      if (stopped >= 0) told.rest ??= t - stopped;
      started = t;
    }
    if (!runs && before) {
      if (told.cutOut === null) told.cutOut = t;
      else if (told.rest !== null) told.run = t - started;
      stopped = t;
    }
    before = runs;
  }
  if (day.config.defrost.method !== 'none') defrostByHand(run, told);
  return told;
}

/** A defrost keyed now: how long it lasts, and how long the fans wait after the drain. */
function defrostByHand(run: UnitRun, told: Told): void {
  const began = LOOKED_AT;
  run.give([{ does: 'startDefrost' }]);
  let phase = 'defrost';
  let drained = -1;
  for (let t = 0; t < 3 * HOUR; t += 1) {
    run.second(began + t);
    const { control, drive } = run.standing;
    if (t === 0 && control.phase !== 'defrost') return;
    if (control.phase !== phase) {
      if (phase === 'defrost') told.defrost = t;
      if (control.phase === 'regulate') drained = t;
      phase = control.phase;
    }
    if (drained >= 0 && drive.fan) {
      told.fans = t - drained;
      return;
    }
  }
}
