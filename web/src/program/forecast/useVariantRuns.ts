import { computed, type Ref } from 'vue';
import type { Variant } from '@brine/core/record/job';
import type { Scenario, Simulated } from '@brine/core/machines/simulation';
import { useRun } from '../../shared/strip/useRun.ts';
import { perVariant } from './perVariant.ts';

/** A variant that has run. */
export interface VariantRun {
  readonly id: string;
  readonly name: string;
  readonly result: Simulated;
}

/** Runs of the variants chosen, each following its own values: one that is moved runs anew alone. */
export function useVariantRuns(
  chosen: Ref<readonly Variant[]>,
  scenarioOf: (variant: Variant) => Scenario | string,
  sampleEvery: () => number,
) {
  const held = perVariant(chosen, (variantOf) =>
    useRun(() => {
      const variant = variantOf();
      return variant ? scenarioOf(variant) : null;
    }, sampleEvery),
  );
  const runs = computed<readonly VariantRun[]>(() =>
    chosen.value.flatMap(({ id, name }) => {
      const result = held.value.get(id)?.result.value;
      return result ? [{ id, name, result }] : [];
    }),
  );
  const all = computed(() => [...held.value.values()]);
  const share = computed(() => {
    const shares = all.value.flatMap((run) => run.share.value ?? []);
    return shares.length === 0 ? null : Math.min(...shares);
  });
  const problem = computed(() => all.value.map((run) => run.problem.value).find((p) => p !== null) ?? null);
  return { runs, share, problem, stop: () => all.value.forEach((run) => run.stop()) };
}
