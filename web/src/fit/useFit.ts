import { computed, shallowRef, watch } from 'vue';
import type { Fit } from '@brine/core/judgement/fit';
import type { ControllerLine } from '@brine/contract/routes';
import { definitionByHash } from '../shared/job/definitions.ts';
import { useControllers } from '../shared/job/useControllers.ts';
import { useJob } from '../shared/job/useJob.ts';
import { core } from '../workers/corePool.ts';
import { latestRun } from '../workers/latestRun.ts';

/** One control of the library with how it fits. */
export interface FitRow {
  readonly fit: Fit;
  readonly line: ControllerLine;
  readonly summary: string;
}

/** The library against this unit, ranked in a worker. Definitions are loaded once a visit. */
export function useFit() {
  const job = useJob();
  const { controllers, problem: away } = useControllers();
  const newest = computed(() => controllers.value.filter((c) => c.newest));
  const library = computed(() =>
    newest.value.flatMap((line) => {
      const definition = definitionByHash(line.hash);
      return definition ? [definition] : [];
    }),
  );
  const fits = shallowRef<readonly Fit[]>([]);
  const { running, problem: failed, start, stop } = latestRun();
  watch(
    () => `${library.value.length}${JSON.stringify(job.wiring.value.needs)}`,
    () => {
      const { needs } = job.wiring.value;
      if (!needs || library.value.length === 0) return stop();
      void start(async ({ signal, isCurrent }) => {
        const done = await core.run('fit', { needs, library: library.value }, { signal });
        if (isCurrent()) fits.value = done;
      });
    },
    { immediate: true },
  );
  const loading = computed(() => running.value || library.value.length < newest.value.length);
  const problem = computed(() => failed.value ?? away.value);

  const rows = computed<readonly FitRow[]>(() =>
    fits.value.flatMap((fit) => {
      const line = newest.value.find((c) => c.id === fit.id);
      return line ? [{ fit, line, summary: summaryOf(fit) }] : [];
    }),
  );
  return { rows, loading, problem };
}

/** What stands between a control and the unit, in one line. */
export function summaryOf(fit: Fit): string {
  if (fit.verdict === 'cannot')
    return fit.gaps
      .filter((g) => g.bridge === null)
      .map((g) => g.lacks)
      .join('; ');
  const bridges = fit.gaps.filter((g) => g.bridge!.kind !== 'jumper');
  if (bridges.length === 0) return fit.gaps.length > 0 ? 'jumpers only' : 'as it is';
  return bridges.map((g) => g.lacks).join('; ');
}
