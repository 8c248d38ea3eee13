import { factsOf, type CommissioningInput } from './facts.ts';
import { guardTests, lastTests } from './guarding.ts';
import { defrostTests, regulationTests } from './regulating.ts';
import { startingTests } from './starting.ts';
import type { CommissioningTest } from './test.ts';

/** The tests that this unit with this control and these settings asks for, in their order; a sentence where the settings make no control. */
export function commissioningTests(input: CommissioningInput): readonly CommissioningTest[] | string {
  const facts = factsOf(input);
  if (typeof facts === 'string') return facts;
  return [
    ...startingTests(facts),
    ...regulationTests(facts),
    ...defrostTests(facts),
    ...guardTests(facts),
    ...lastTests(facts),
  ];
}
