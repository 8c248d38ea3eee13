import { ref, shallowRef, watch } from 'vue';
import type { SettingValues } from '@brine/core/foundation/settings';
import type { UnitDescription } from '@brine/core/foundation/unit';
import type { BoxFile, Predicted } from '@brine/core/machines/identification';
import { core } from '../../workers/corePool.ts';
import { latestRun } from '../../workers/latestRun.ts';

/** What is asked: the unit's own box under some settings. */
export interface Asked {
  readonly box: BoxFile;
  readonly unit: UnitDescription;
  readonly values: SettingValues;
}

/** Values rest this long before days are drawn. */
const REST_MS = 300;

/** What a unit's own box says of its days under settings, with its intervals, in a worker; the last stays until the next is there. */
export function useUnitPredicted(asked: () => Asked | null) {
  const predicted = shallowRef<Predicted | null>(null);
  const share = ref<number | null>(null);
  const { problem, start, stop } = latestRun();
  watch(
    () => {
      const now = asked();
      return now && JSON.stringify([now.unit, now.values]);
    },
    () => {
      stop();
      const asks = asked();
      if (!asks) {
        predicted.value = null;
        return;
      }
      void start(async ({ signal, isCurrent }) => {
        share.value = 0;
        await new Promise((resolve) => setTimeout(resolve, REST_MS));
        if (!isCurrent()) return;
        const result = await core.run('predictUnit', asks, {
          signal,
          share: (done) => isCurrent() && (share.value = done),
        });
        if (!isCurrent() || result === null) return;
        share.value = null;
        if (typeof result === 'string') throw new Error(result);
        predicted.value = result;
      });
    },
    { immediate: true },
  );
  return { predicted, share, problem };
}
