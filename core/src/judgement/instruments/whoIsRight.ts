import { errorModel, type ErrorModel, type Measured } from './errors.ts';
import { swingAt, swingOf, type Cycle, type Phase } from './cycle.ts';
import { honestSpread, lagOf, wrongBefore, type InstrumentReading } from './instruments.ts';
import { placeDifferences } from './places.ts';

/** Readings of several instruments at one moment. */
export interface Question {
  readonly instruments: readonly InstrumentReading[];
  /** What the control does with its box; null where it regulates nothing, or nobody knows. */
  readonly cycle: Cycle | null;
  /** Whether the machine runs at this moment; null: nobody looked. */
  readonly running: boolean | null;
  /** Checks that were made since, with what they found. */
  readonly made: readonly MadeCheck[];
}

/** A check that decides: ice water for one, or two side by side; or nothing but to wait. */
export type Check =
  | { readonly kind: 'iceWater'; readonly of: string }
  | { readonly kind: 'sideBySide'; readonly of: string; readonly beside: string };

/** A check with its result: by how much it reads too warm, against ice water or against the other, K. */
export type MadeCheck = Check & { readonly found: number };

/** How likely an instrument is the one that is wrong. */
export interface Suspect {
  readonly id: string;
  readonly odds: number;
  /** By how much it reads too warm if so, K. */
  readonly off: number;
}

/** What the readings come to. */
export interface WhoIsRight {
  /** Nobody need be wrong: how likely that is. */
  readonly allRight: number;
  /** All can be true at once, each within what is usual of it. */
  readonly canAllBeTrue: boolean;
  /** The likeliest first. */
  readonly suspects: readonly Suspect[];
  /** The one that may be called wrong; null where that would be a guess. */
  readonly wrong: string | null;
  /** The one check that tells most, with how likely the right one is named after it; null where nothing need be checked. */
  readonly check: { readonly check: Check; readonly sureAfter: number } | null;
}

/** What an instrument that is wrong may be off by: two kelvins more than it should, a forgotten offset or a probe of the wrong type (common practice). */
const WRONG_K = 2;
/** An instrument is called wrong from these odds on; below, it is a guess. */
const SURE = 0.9;
/** What ice water and two probes tied together are good for, K (common practice). */
const CHECK_K = 0.15;
const PHASES = 24;
/** How far a control's display stands from the even line of its cycle: a step of its display and an overshoot, as a share of the half band. */
const DISPLAY_STEP_K = 0.3;
const OVERSHOOT = 0.15;
/** Without a cycle nobody knows how the air moves. */
const NO_CYCLE_K = 0.6;

interface Case {
  /** Index of the one that is wrong; −1: none. */
  readonly wrong: number;
  readonly logPrior: number;
  readonly errors: readonly number[];
}

/**
 * Who is right, of instruments that disagree: each reading is brought to one place and the mean of the cycle, with what place, lag and phase leave open; then that none is wrong is weighed against each being wrong, by Bayes' rule over normal errors.
 *
 * @throws RangeError for fewer than two instruments
 */
export function whoIsRight(question: Question): WhoIsRight {
  const { instruments } = question;
  if (instruments.length < 2) throw new RangeError('Two instruments at least');
  const cases = casesOf(instruments);
  const measured = question.made.map((made): Measured => ({
    weights: weightsOf(made, instruments),
    found: made.found,
    spread: CHECK_K,
  }));
  const weighed = phasesOf(question).flatMap(({ phase, logWeight }) => {
    const { x, places } = atOnePlace(question, phase);
    return cases.map((one) => {
      const model = errorModel(x, one.errors, places, measured);
      return { one, model, log: logWeight + one.logPrior + model.logEvidence };
    });
  });
  const most = Math.max(...weighed.map(({ log }) => log));
  const total = weighed.reduce((sum, { log }) => sum + Math.exp(log - most), 0);
  const shares = weighed.map(({ one, model, log }) => ({ one, model, share: Math.exp(log - most) / total }));
  const oddsOf = (wrong: number) =>
    shares.reduce((sum, { one, share }) => sum + (one.wrong === wrong ? share : 0), 0);
  const suspects = instruments
    .map(({ id }, i): Suspect => ({ id, odds: oddsOf(i), off: offOf(i, shares, instruments.length) }))
    .toSorted((a, b) => b.odds - a.odds);
  const allRight = oddsOf(-1);
  const first = suspects[0]!;
  const wrong = first.odds >= SURE ? first.id : null;
  return {
    allRight,
    canAllBeTrue: allRight >= 0.5,
    suspects,
    wrong,
    check: allRight >= SURE || wrong !== null ? null : bestCheck(question, shares),
  };
}

function casesOf(instruments: readonly InstrumentReading[]): readonly Case[] {
  const before = instruments.map(wrongBefore);
  const none = before.reduce((sum, p) => sum + Math.log(1 - p), 0);
  const honest = instruments.map(honestSpread);
  return [
    { wrong: -1, logPrior: none, errors: honest },
    ...instruments.map((_, i) => ({
      wrong: i,
      logPrior: none - Math.log(1 - before[i]!) + Math.log(before[i]!),
      errors: honest.map((spread, j) => (i === j ? Math.hypot(spread, WRONG_K) : spread)),
    })),
  ];
}

/** Phases at which the cycle may be, with how well each goes with what the display shows and with whether the machine runs. */
function phasesOf({
  cycle,
  running,
  instruments,
}: Question): readonly { phase: Phase | null; logWeight: number }[] {
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
function atOnePlace({ instruments, cycle }: Question, phase: Phase | null) {
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

interface Share {
  readonly one: Case;
  readonly model: ErrorModel;
  readonly share: number;
}

/** By how much an instrument is off where it is the one that is wrong, K. */
function offOf(i: number, shares: readonly Share[], n: number): number {
  const weights = Array.from({ length: n }, (_, k) => Number(k === i));
  const own = shares.filter(({ one }) => one.wrong === i);
  const total = own.reduce((sum, { share }) => sum + share, 0);
  if (total === 0) return 0;
  return own.reduce((sum, { model, share }) => sum + share * model.expects(weights, CHECK_K).mean, 0) / total;
}

/** A gun reads a surface: it cannot be tied to another, but it can be aimed at ice water. */
function checksOf(instruments: readonly InstrumentReading[]): readonly Check[] {
  const tied = instruments.filter(({ kind }) => kind !== 'gun');
  return [
    ...instruments.map(({ id }): Check => ({ kind: 'iceWater', of: id })),
    ...tied.flatMap((a, i) =>
      tied.slice(i + 1).map((b): Check => ({ kind: 'sideBySide', of: a.id, beside: b.id })),
    ),
  ];
}

const weightsOf = (check: Check, instruments: readonly InstrumentReading[]): readonly number[] =>
  instruments.map(({ id }) =>
    id === check.of ? 1 : check.kind === 'sideBySide' && id === check.beside ? -1 : 0,
  );

/** Points at which the outcomes of a check are looked at, over four standard deviations to each side. */
const OUTCOMES = 61;

/** The check after which the right one is named most often: the mean, over what it may find, of the odds of the likeliest. */
function bestCheck({ instruments, made }: Question, shares: readonly Share[]): WhoIsRight['check'] {
  const known = new Set(made.map((one) => JSON.stringify(weightsOf(one, instruments))));
  const rated = checksOf(instruments)
    .filter((check) => !known.has(JSON.stringify(weightsOf(check, instruments))))
    .map((check) => ({ check, sureAfter: sureAfter(weightsOf(check, instruments), shares) }))
    .toSorted((a, b) => b.sureAfter - a.sureAfter);
  return rated[0] ?? null;
}

function sureAfter(weights: readonly number[], shares: readonly Share[]): number {
  const seen = shares
    .filter(({ share }) => share > 1e-4)
    .map(({ one, model, share }) => ({ wrong: one.wrong, share, ...model.expects(weights, CHECK_K) }));
  const low = Math.min(...seen.map(({ mean, spread }) => mean - 4 * spread));
  const high = Math.max(...seen.map(({ mean, spread }) => mean + 4 * spread));
  const step = (high - low) / (OUTCOMES - 1);
  let sure = 0;
  for (let i = 0; i < OUTCOMES; i += 1) {
    const found = low + i * step;
    const odds = new Map<number, number>();
    for (const { wrong, share, mean, spread } of seen) {
      const density = Math.exp(-0.5 * ((found - mean) / spread) ** 2) / (spread * Math.sqrt(2 * Math.PI));
      odds.set(wrong, (odds.get(wrong) ?? 0) + share * density);
    }
    sure += Math.max(...odds.values()) * step;
  }
  return Math.min(1, sure);
}
