import { chance } from '../../foundation/statistics/index.ts';
import { proofsOf } from './proofs.ts';
import type { Proof, ProofPhase, ProofWay, VisitQuestion } from './proof.ts';
import { bestOrder, busy, placeInOrder, type Task } from './schedule.ts';
import { atShare, type Span } from './span.ts';
import { siteQuestion, type SiteQuestion } from './siteQuestion.ts';
import { worthOf } from './worth.ts';

/** A phase at its place, s from now. */
export interface PlannedPhase extends Omit<ProofPhase, 'seconds'> {
  readonly from: number;
  readonly to: number;
}

/** A proof at its place in the visit. */
export interface VisitStep {
  readonly proof: Proof;
  readonly way: ProofWay;
  readonly phases: readonly PlannedPhase[];
  /** When it begins, s from now, as likely as not. */
  readonly start: number;
  /** When it is over, s from now. */
  readonly end: Span;
  /** It is done in a way that takes less time than the one it should have. */
  readonly isShortened: boolean;
}

/** What does not fit, and what becomes of it. */
export interface LeftProof {
  readonly tests: readonly string[];
  readonly title: string;
}

/** The minutes one has, filled. */
export interface VisitPlan {
  readonly steps: readonly VisitStep[];
  /** When all that is planned is over, s from now. */
  readonly leave: Span;
  /** How often it is over in the time one has, 0 to 1. */
  readonly fits: number;
  readonly left: readonly LeftProof[];
  /** What the people on site are asked of what was not seen here; null where no display tells it. */
  readonly question: SiteQuestion | null;
  /** No other order does more in the time. */
  readonly isProven: boolean;
}

/** Ways through the visit that are drawn. */
const DRAWS = 200;
const SEED = 2120;

/** Open proofs put into the time one has: the most of them by worth, with the least borrowed, the soonest over, and how sure that is. */
export function planVisit(question: VisitQuestion): VisitPlan {
  const proofs = proofsOf(question);
  const worth = worthOf(question.tests.map(({ test }) => test));
  const tasks = proofs.map((proof) => taskOf(proof, worth));
  const { best, drawn, fits } = inTime(proofs, tasks, question.seconds);
  const steps = best.placed.map(({ id, way, start, end }): VisitStep => {
    const proof = proofs.find((one) => one.id === id)!;
    const chosen = proof.ways[way]!;
    return {
      proof,
      way: chosen,
      phases: placedPhases(chosen, start),
      start,
      end: spanOf(
        end,
        drawn.map((ends) => ends.get(id) ?? end),
      ),
      isShortened: way > 0,
    };
  });
  const lasts = drawn.map((ends) => Math.max(0, ...ends.values()));
  const proven = new Set(steps.flatMap(({ way }) => way.tests));
  const open = question.tests.filter(({ test }) => !proven.has(test.id));
  return {
    steps,
    leave: spanOf(best.end, lasts),
    fits,
    left: open.map(({ test }) => ({ tests: [test.id], title: test.title })),
    question: siteQuestion(question, new Set(open.map(({ test }) => test.id)), best.end, stalledIn(steps)),
    isProven: best.isProven,
  };
}

/** An order is one that fits if it does so often. */
const OFTEN = 0.8;
/** Where hands and box may be slow, only so much of the time is filled. */
const FILLED = [1, 0.92, 0.85, 0.75, 0.65, 0.55] as const;

/** The best order that is over in time four times out of five; where none is, the one that is most often. */
function inTime(proofs: readonly Proof[], tasks: readonly Task[], seconds: number) {
  const tried = [];
  for (const share of FILLED) {
    const best = bestOrder(tasks, share * seconds);
    const drawn = draws(proofs, tasks, best.placed);
    const fits = drawn.filter((ends) => Math.max(0, ...ends.values()) <= seconds + 1).length / DRAWS;
    tried.push({ best, drawn, fits });
    if (fits >= OFTEN) break;
  }
  return tried.reduce((a, b) => (b.fits > a.fits ? b : a));
}

function taskOf(proof: Proof, worth: (test: string) => number): Task {
  return {
    id: proof.id,
    after: proof.after,
    ...(proof.isBegun && { begun: 0 }),
    ways: proof.ways.map(({ phases, tests, borrows, from }) => ({
      notBefore: from.likely,
      phases: phases.map(({ seconds, uses }) => ({ seconds: seconds.likely, uses: bits(uses) })),
      worth: tests.reduce((sum, test) => sum + worth(test), 0),
      borrows: borrows.length,
    })),
  };
}

/** How long the machine is kept from cooling in a visit, s. */
const stalledIn = (steps: readonly VisitStep[]): number =>
  steps
    .flatMap(({ phases }) => phases)
    .filter(({ uses, until }) => uses.includes('machine') && until !== 'stop')
    .reduce((sum, { from, to }) => sum + to - from, 0);

const bits = (uses: ProofPhase['uses']): number => uses.reduce((all, one) => all | busy[one], 0);

function placedPhases({ phases }: ProofWay, start: number): readonly PlannedPhase[] {
  let at = start;
  return phases.map(({ seconds, ...rest }) => {
    const from = at;
    at += seconds.likely;
    return { ...rest, from, to: at };
  });
}

/** Ends of each step on ways through the visit that are drawn: hands are quick or slow each time, the box is quick or slow in all of it. */
function draws(
  proofs: readonly Proof[],
  tasks: readonly Task[],
  order: readonly { readonly id: string; readonly way: number }[],
): readonly ReadonlyMap<string, number>[] {
  const random = chance(SEED);
  return Array.from({ length: DRAWS }, () => {
    const box = random();
    const drawn = tasks.map((task, i): Task => ({
      ...task,
      ways: task.ways.map((way, w) => ({
        ...way,
        notBefore: atShare(proofs[i]!.ways[w]!.from, box),
        phases: way.phases.map((one, p) => ({
          ...one,
          seconds: atShare(proofs[i]!.ways[w]!.phases[p]!.seconds, one.uses & busy.hands ? random() : box),
        })),
      })),
    }));
    return new Map(placeInOrder(drawn, order).placed.map(({ id, end }) => [id, end]));
  });
}

/** Where eight of ten drawn times lie, about the likely one. */
function spanOf(likely: number, times: readonly number[]): Span {
  const inOrder = times.toSorted((a, b) => a - b);
  const at = (share: number) => inOrder[Math.min(inOrder.length - 1, Math.floor(share * inOrder.length))]!;
  return { early: Math.min(likely, at(0.1)), likely, late: Math.max(likely, at(0.9)) };
}
