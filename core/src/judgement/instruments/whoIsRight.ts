import { bestCheck, CHECK_K, weightsOf, type BestCheck, type MadeCheck, type Share } from './checks.ts';
import { errorModel, type Measured } from './errors.ts';
import { honestSpread, wrongBefore, type InstrumentReading } from './instruments.ts';
import { atOnePlace, phasesOf, type Read } from './onePlace.ts';

/** Readings of several instruments at one moment. */
export interface Question extends Read {
  /** Checks that were made since, with what they found. */
  readonly made: readonly MadeCheck[];
}

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
  /** Null where nothing need be checked. */
  readonly check: BestCheck | null;
}

/** What an instrument that is wrong may be off by: two kelvins more than it should, a forgotten offset or a probe of the wrong type (common practice). */
const WRONG_K = 2;
/** An instrument is called wrong from these odds on; below, it is a guess. */
const SURE = 0.9;
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
  const shares = weighed.map(({ one, model, log }): Share => ({
    wrong: one.wrong,
    model,
    share: Math.exp(log - most) / total,
  }));
  const oddsOf = (who: number) =>
    shares.reduce((sum, { wrong: one, share }) => sum + (one === who ? share : 0), 0);
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
    check: allRight >= SURE || wrong !== null ? null : bestCheck(instruments, question.made, shares),
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

/** By how much an instrument is off where it is the one that is wrong, K. */
function offOf(i: number, shares: readonly Share[], n: number): number {
  const weights = Array.from({ length: n }, (_, k) => Number(k === i));
  const own = shares.filter(({ wrong }) => wrong === i);
  const total = own.reduce((sum, { share }) => sum + share, 0);
  if (total === 0) return 0;
  return own.reduce((sum, { model, share }) => sum + share * model.expects(weights, CHECK_K).mean, 0) / total;
}
