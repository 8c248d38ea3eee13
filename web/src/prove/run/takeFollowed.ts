import type { FollowedAnswer } from '@brine/core/judgement/following';
import type { RunTest } from '@brine/core/record/job';
import { printNumber } from '@brine/core/foundation/quantities';

/** A test's result as it was measured over the bus, for the record: what is borrowed for it must be back first. */
export function followedResult({ test, startedAt, picture, word }: RunTest, answer: FollowedAnswer) {
  const how = `measured over the bus, ± ${printNumber(Math.max(0.01, answer.plusMinus), 2)} ${test.measure!.unit === 'degC' ? 'K' : test.measure!.unit}`;
  return [
    {
      kind: 'test' as const,
      test: test.id,
      result: answer.result,
      value: answer.value,
      word: word.trim() === '' ? how : `${word.trim()}; ${how}`,
      picture,
    },
    ...(startedAt ? [{ kind: 'timer' as const, test: test.id, startedAt: null }] : []),
  ];
}

/** Whether what was measured may stand as its result: it is settled, nobody gave one, and nothing borrowed for it is out. */
export const mayStand = (run: RunTest, answer: FollowedAnswer): boolean =>
  run.result === null && answer.result !== null && !run.borrowed.some(({ since }) => since !== null);
