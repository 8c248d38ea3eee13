import { judgeValue, type CommissioningTest } from '../commissioning/index.ts';
import type { Measured, MeasuredKind } from './measure.ts';

/** What a test of the commissioning run measures, by the test's id and the unit it is read in. */
const ASKS: Readonly<Record<string, { readonly time?: MeasuredKind; readonly temperature?: MeasuredKind }>> =
  {
    'power.delay': { time: 'powerDelay' },
    'regulation.cutOut': { temperature: 'cutOut' },
    'regulation.cutIn': { temperature: 'cutIn' },
    'regulation.rest': { time: 'rest' },
    'defrost.end': { time: 'defrost', temperature: 'defrostEnd' },
    'defrost.drain': { time: 'drain' },
    'defrost.fans': { time: 'fanDelay', temperature: 'fanCoil' },
  };

/** What was measured for a test, in the unit of its reading, and what it comes to; null: too near to a limit for how exactly it is known. */
export interface FollowedAnswer {
  readonly test: string;
  readonly value: number;
  readonly plusMinus: number;
  readonly at: number;
  readonly result: 'passed' | 'failed' | null;
}

/** What was measured for each test that a bus can answer: the newest, or of the rests between two starts the shortest, since none may be shorter. */
export function answersOf(
  tests: readonly CommissioningTest[],
  measured: readonly Measured[],
): readonly FollowedAnswer[] {
  return tests.flatMap((test) => {
    const { measure } = test;
    const asks = ASKS[test.id];
    if (!measure || !asks) return [];
    const isTime = measure.unit === 's' || measure.unit === 'min';
    const kind = isTime ? asks.time : measure.unit === 'degC' ? asks.temperature : undefined;
    const all = measured.filter((one) => one.kind === kind);
    if (kind === undefined || all.length === 0) return [];
    const one =
      kind === 'rest' ? all.reduce((least, next) => (next.value < least.value ? next : least)) : all.at(-1)!;
    const per = measure.unit === 'min' ? 60 : 1;
    const [value, plusMinus] = [one.value / per, one.plusMinus / per];
    const ends = [value - plusMinus, value + plusMinus].map((end) => judgeValue(test, end));
    return [{ test: test.id, value, plusMinus, at: one.at, result: ends[0] === ends[1] ? ends[0]! : null }];
  });
}
