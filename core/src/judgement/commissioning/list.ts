import { fansOf } from '../../machines/condenser/index.ts';
import { condenserFanTests } from './condenserFans.ts';
import { factsOf, wordingOf, type CommissioningInput } from './facts.ts';
import { demandTests } from './demand.ts';
import { guardTests, lastTests } from './guarding.ts';
import { heatMeterTests } from './heatMeter.ts';
import { defrostTests, regulationTests } from './regulating.ts';
import { sensibleMeasure } from './sensible.ts';
import { startingTests } from './starting.ts';
import type { CommissioningTest } from './test.ts';
import { transportTests } from './transport.ts';

/** The tests that this unit with this control and these settings asks for, in their order; a sentence where the settings make no control. */
export function commissioningTests(input: CommissioningInput): readonly CommissioningTest[] | string {
  const tests = testsOf(input);
  return typeof tests === 'string'
    ? tests
    : tests.map((test) => (test.measure ? { ...test, measure: sensibleMeasure(test.measure) } : test));
}

function testsOf(input: CommissioningInput): readonly CommissioningTest[] | string {
  if (input.unit.application === 'heatMeter') return heatMeterTests(wordingOf(input));
  const fans = input.unit.application === 'condenserFans' ? fansOf(input.values) : null;
  if (fans) return condenserFanTests(wordingOf(input), fans);
  const facts = factsOf(input);
  if (typeof facts === 'string') return facts;
  return [
    ...startingTests(facts),
    ...regulationTests(facts),
    ...transportTests(facts),
    // Fans of a condenser that stand while their control believes it defrosts are no defrost to be proven.
    ...(input.unit.application === 'condenserFans' ? [] : [...defrostTests(facts), ...demandTests(facts)]),
    ...guardTests(facts),
    ...lastTests(facts),
  ];
}
