import type {
  Check,
  InstrumentKind,
  InstrumentPlace,
  MadeCheck,
  Question,
} from '../../src/judgement/instruments/index.ts';
import { usualOfKind } from '../../src/judgement/instruments/index.ts';
import { normal } from '../../src/foundation/statistics/index.ts';
import { runOther } from './run.ts';
import type { OtherBox } from './recipe.ts';

/** A moment of a test box: what is true where instruments may hang, °C, and how it cycles. */
interface BoxMoment {
  readonly band: { readonly low: number; readonly high: number };
  readonly probe: number;
  readonly quick: number;
  readonly slow: number;
  readonly goods: number;
  readonly running: boolean;
  readonly period: number;
  readonly runShare: number;
}

/** Time constants of the thermometer and the logger that hang in a test box, s: not those that are usual. */
const QUICK_S = 35;
const SLOW_S = 400;
/** One moment is taken each so many seconds: no divisor of anything in the box. */
const EVERY_S = 997;
/** A cycle longer than this is none that is waited for, s. */
const LONGEST_S = 5000;

/** Moments at which a test box regulates, over a day. */
export function boxMoments(box: OtherBox): readonly BoxMoment[] {
  const { settings } = box;
  const [low, differential] = (['regulation.setpoint', 'regulation.differential'] as const).map(
    (id) => (settings[id] as { readonly value: number }).value,
  ) as [number, number];
  const moments: BoxMoment[] = [];
  let quick = NaN;
  let slow = NaN;
  let [started, period, ran, runShare] = [0, 0, 0, 0.5];
  let before = false;
  runOther(box, settings, {
    days: 1,
    seed: box.seed,
    watch: ({ t, plant, compressor, phase }) => {
      if (Number.isNaN(quick)) quick = slow = plant.air.t;
      quick += (plant.air.t - quick) / QUICK_S;
      slow += (plant.air.t - slow) / SLOW_S;
      if (compressor && !before) {
        if (started > 0) [period, runShare] = [t - started, ran / (t - started)];
        [started, ran] = [t, 0];
      }
      if (compressor) ran += 1;
      before = compressor;
      if (t < 3600 || t % EVERY_S !== 0 || phase !== 'regulate' || period === 0 || period > LONGEST_S) return;
      moments.push({
        band: { low, high: low + differential },
        probe: plant.probe,
        quick,
        slow,
        goods: plant.goods[1]!,
        running: compressor,
        period,
        runShare: Math.min(0.9, Math.max(0.1, runShare)),
      });
    },
  });
  return moments;
}

/** Instruments at a moment, one of them wrong or none. */
export interface PlantedCase {
  readonly question: Question;
  /** The one that is wrong; null: none. */
  readonly wrong: string | null;
  /** What a check of theirs finds. */
  readonly check: (check: Check) => MadeCheck;
}

const places: Readonly<Record<InstrumentKind, InstrumentPlace>> = {
  display: 'returnAir',
  thermometer: 'returnAir',
  logger: 'returnAir',
  product: 'goods',
  gun: 'surface',
};

/** Two to four instruments, the display among them, honest ones within what is usual of them; an error of 0.5 to 3 K planted in one, or in none. */
export function plantedCase(moment: BoxMoment, random: () => number, isPlanted: boolean): PlantedCase {
  const count = 2 + Math.floor(random() * 3);
  const others = (['thermometer', 'logger', 'product', 'gun'] as const)
    .map((kind) => ({ kind, at: random() }))
    .toSorted((a, b) => a.at - b.at);
  const kinds: readonly InstrumentKind[] = [
    'display',
    ...others.slice(0, count - 1).map(({ kind }): InstrumentKind => kind),
  ];
  const liar = isPlanted ? Math.floor(random() * count) : -1;
  const errors = kinds.map((kind, i) =>
    i === liar
      ? (random() < 0.5 ? -1 : 1) * (0.5 + 2.5 * random())
      : (normal(random) * usualOfKind[kind].accuracyK) / 2,
  );
  const truth: Readonly<Record<InstrumentKind, number>> = {
    display: moment.probe,
    thermometer: moment.quick,
    logger: moment.slow,
    product: moment.goods,
    gun: moment.goods + 0.3,
  };
  const tenth = (value: number) => Math.round(value * 10) / 10;
  // The control turns by what it reads itself: with a display that is off, it is the box that lies elsewhere.
  const shifted = errors[0]!;
  return {
    question: {
      instruments: kinds.map((kind, i) => ({
        id: kind,
        kind,
        place: places[kind],
        reads: tenth(truth[kind] + errors[i]! - shifted),
        accuracyK: null,
        lag: null,
        monthsSinceCheck: 6,
      })),
      cycle: { ...moment.band, period: moment.period, runShare: moment.runShare },
      running: moment.running,
      made: [],
    },
    wrong: liar >= 0 ? kinds[liar]! : null,
    check: (check) => {
      const off = (id: string) => errors[kinds.indexOf(id as InstrumentKind)]!;
      const found = off(check.of) - (check.kind === 'sideBySide' ? off(check.beside) : 0);
      return { ...check, found: found + 0.1 * normal(random) };
    },
  };
}
