import { computed, ref, shallowRef, watch } from 'vue';
import type { SettingValues } from '@brine/core/foundation/settings';
import type { UnitDescription } from '@brine/core/foundation/unit';
import type { BoxFile, Predicted } from '@brine/core/machines/identification';
import { core } from '../../workers/corePool.ts';
import { latestRun } from '../../workers/latestRun.ts';

/** What is asked: the unit's own box under some settings. */
interface Asked {
  readonly box: BoxFile;
  readonly unit: UnitDescription;
  readonly values: SettingValues;
}

/** Values rest this long before days are drawn. */
const REST_MS = 300;

/** What a unit's own box says of its days under settings, with its intervals, in a worker; the last stays until the next is there. */
export function usePredictedDays(asked: () => Asked | null) {
  const drawn = shallowRef<{ readonly values: SettingValues; readonly predicted: Predicted } | null>(null);
  const done = ref(0);
  const { running, problem, start, stop } = latestRun();
  watch(
    () => {
      const now = asked();
      return now && JSON.stringify([now.unit, now.values]);
    },
    () => {
      stop();
      const asks = asked();
      if (!asks) {
        drawn.value = null;
        return;
      }
      done.value = 0;
      void start(async ({ signal, isCurrent }) => {
        await new Promise((resolve) => setTimeout(resolve, REST_MS));
        if (!isCurrent()) return;
        const result = await core.run('predictUnit', asks, {
          signal,
          share: (share) => isCurrent() && (done.value = share),
        });
        if (!isCurrent() || result === null) return;
        if (typeof result === 'string') throw new Error(result);
        drawn.value = { values: asks.values, predicted: result };
      });
    },
    { immediate: true },
  );

  /** The days of the values that are asked about now, once they are drawn; null where they cannot be. */
  function whenDrawn(): Promise<typeof drawn.value> {
    return new Promise((resolve) => {
      const unwatch = watch(
        running,
        (now) => {
          if (now) return;
          // The watch runs once at once, before it has a name.
          queueMicrotask(() => unwatch());
          resolve(problem.value === null ? drawn.value : null);
        },
        { immediate: true },
      );
    });
  }

  return {
    predicted: computed(() => drawn.value?.predicted ?? null),
    share: computed(() => (running.value ? done.value : null)),
    problem,
    whenDrawn,
  };
}
