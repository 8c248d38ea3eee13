import { controlConfig } from '../../machines/box/index.ts';
import { coolingProofs } from './coolingProofs.ts';
import { defrostProof } from './defrostProof.ts';
import { guardProofs } from './guardProofs.ts';
import { powerProofs } from './powerProofs.ts';
import { borrowedId } from './borrowed.ts';
import {
  makingOf,
  phase,
  wayOf,
  type Making,
  type OpenTest,
  type Proof,
  type ProofWay,
  type VisitQuestion,
  everything,
  theUnit,
} from './proof.ts';
import { byHand, sure, type Span } from './span.ts';

/** Tests that no visit can hold: somebody comes back for them. */
const later: ReadonlySet<string> = new Set(['defrost.secondFrost']);
/** What takes longer than this is no part of a visit, s. */
const LONGEST = 6 * 3600;
const PLAIN = 120;
const LOCK = 45;

/** Open tests as what is proven in one go, with how each may be shortened and what has to come before; tests that no visit can hold are left out. */
export function proofsOf(question: VisitQuestion): readonly Proof[] {
  const config = controlConfig(question.values);
  const making = makingOf(
    { ...question, tests: question.tests.filter(({ test }) => !later.has(test.id)) },
    typeof config === 'string' ? null : config,
  );
  const own = [
    ...powerProofs(making),
    ...coolingProofs(making),
    ...defrostProof(making),
    ...guardProofs(making),
  ];
  const covered = new Set(own.flatMap(({ ways }) => ways.flatMap(({ tests }) => tests)));
  const plain = making.tests
    .filter(({ test }) => !covered.has(test.id) && isFixed(test.id, making))
    .flatMap((one) => plainProof(one));
  return inOrder([...own, ...plain], making).map((proof) => asItStands(proof, making));
}

/** What the forecast cannot bring about within a visit is proven by no plain wait either. */
const isFixed = (id: string, { config, forecast }: Making): boolean =>
  !(
    config &&
    forecast &&
    /^(regulation\.(pullDown|cutOut|cutIn|rest)|defrost\.(start|end|drain|fans))$/.test(id)
  );

/** A test with no machine of its own behind it: hands, and its own wait. */
function plainProof({ test }: OpenTest): readonly Proof[] {
  const wait = test.wait ?? 0;
  if (wait > LONGEST) return [];
  return [
    {
      id: test.id,
      title: test.title,
      ways: [
        wayOf(
          [test.id],
          [
            phase(
              test.how[0] ?? test.title,
              byHand(test.id === 'users.lock' ? LOCK : PLAIN),
              test.id === 'users.lock' ? ['hands'] : everything,
            ),
            ...(wait > 0
              ? [
                  phase('It is waited for', sure(wait), theUnit, { test: test.id }),
                  phase('Read it', byHand(30), everything),
                ]
              : []),
          ],
        ),
      ],
      after: [],
    },
  ];
}

/** Nothing live before what is looked at dead and the power; a start from a power cut is measured while the box still calls. */
function inOrder(proofs: readonly Proof[], { has }: Making): readonly Proof[] {
  const ids = proofs.map(({ id }) => id);
  const dead = ids.filter((id) => id.startsWith('dead.'));
  const isPowering = has('power.order');
  return proofs.map((proof) => {
    if (dead.includes(proof.id)) return proof;
    const first = [
      ...dead,
      ...(isPowering && proof.id !== 'power' ? ids.filter((id) => id === 'power') : []),
      ...(proof.id === 'stop' && has('power.delay') ? ids.filter((id) => id === 'powerCut') : []),
    ];
    return { ...proof, after: [...first, ...proof.after] };
  });
}

/** What has begun goes on from where its stopwatch is, or from where something was borrowed for it, in the way that borrows it first. */
function asItStands(proof: Proof, { tests, out }: Making): Proof {
  const running = new Map(
    tests.flatMap(({ test, running: s }) => (s === null ? [] : [[test.id, s] as const])),
  );
  // The pull-down is reckoned from the air of now; it keeps nothing from being done first.
  const timed = (way: ProofWay) =>
    way.phases.findIndex(({ test }) => test !== null && test !== 'regulation.pullDown' && running.has(test));
  const lent = (way: ProofWay) =>
    way.phases.findLastIndex(
      ({ lends }) =>
        lends !== null &&
        out.some((one) => one.id === borrowedId(lends) && one.tests.some((id) => way.tests.includes(id))),
    );
  const way =
    proof.ways.filter((one) => lent(one) >= 0).toSorted((a, b) => lent(a) - lent(b))[0] ??
    proof.ways.find((one) => timed(one) >= 0);
  if (!way) return proof;
  const at = timed(way);
  const { test } = way.phases[at] ?? { test: null };
  const phases =
    test === null ? way.phases.slice(lent(way) + 1) : leftOf(way.phases.slice(at), running.get(test)!, test);
  return { ...proof, ways: [{ ...way, from: sure(0), phases }], after: [], isBegun: true };
}

/** Phases of one stopwatch with what has passed of them taken off. */
function leftOf(phases: ProofWay['phases'], elapsed: number, test: string) {
  let passed = elapsed;
  return phases.map((one, i) => {
    if (passed <= 0 || (i > 0 && one.test !== test)) {
      passed = 0;
      return one;
    }
    const taken = Math.min(passed, one.seconds.late);
    passed -= taken;
    return { ...one, seconds: shortened(one.seconds, taken) };
  });
}

/** What is left of a span once so much has passed; what is overdue is over soon. */
function shortened({ early, likely, late }: Span, passed: number): Span {
  const left = (of: number) => Math.max(0, of - passed);
  const overdue = 0.1 * likely;
  return {
    early: left(early),
    likely: passed < likely ? left(likely) : Math.min(overdue, left(late)),
    late: left(late),
  };
}
