import { computed, effectScope, onScopeDispose, shallowRef, watch, type EffectScope, type Ref } from 'vue';
import type { Variant } from '@brine/core/record/job';
import type { Scenario, Simulated } from '@brine/core/machines/simulation';
import { useRun } from '../../shared/strip/useRun.ts';

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
  const held = shallowRef<ReadonlyMap<string, { scope: EffectScope; run: ReturnType<typeof useRun> }>>(
    new Map(),
  );
  const variantOf = (id: string) => chosen.value.find((v) => v.id === id);

  watch(
    () => chosen.value.map((v) => v.id).join(),
    () => {
      const next = new Map(held.value);
      for (const [id, { scope }] of held.value) {
        if (variantOf(id)) continue;
        scope.stop();
        next.delete(id);
      }
      for (const { id } of chosen.value) {
        if (next.has(id)) continue;
        const scope = effectScope(true);
        const run = scope.run(() =>
          useRun(() => {
            const variant = variantOf(id);
            return variant ? scenarioOf(variant) : null;
          }, sampleEvery),
        )!;
        next.set(id, { scope, run });
      }
      held.value = next;
    },
    { immediate: true },
  );
  onScopeDispose(() => held.value.forEach(({ scope }) => scope.stop()));

  const runs = computed<readonly VariantRun[]>(() =>
    chosen.value.flatMap(({ id, name }) => {
      const result = held.value.get(id)?.run.result.value;
      return result ? [{ id, name, result }] : [];
    }),
  );
  const all = computed(() => [...held.value.values()].map(({ run }) => run));
  const share = computed(() => {
    const shares = all.value.flatMap((run) => run.share.value ?? []);
    return shares.length === 0 ? null : Math.min(...shares);
  });
  const problem = computed(() => all.value.map((run) => run.problem.value).find((p) => p !== null) ?? null);
  return { runs, share, problem, stop: () => all.value.forEach((run) => run.stop()) };
}
