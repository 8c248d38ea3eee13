import { computed, shallowRef, watch } from 'vue';
import { markOf } from '@brine/core/foundation/files';
import type { HeldFigure } from '@brine/core/judgement/learning';
import type { BoxFinding } from '@brine/core/machines/identification';
import { predictionOf } from '@brine/core/record/job';
import { localDate, localTime } from '../../shared/display/localTime.ts';
import type { OpenJob } from '../../shared/job/useJob.ts';
import { core } from '../../workers/corePool.ts';
import { latestRun } from '../../workers/latestRun.ts';
import type { ReadLog } from './useLog.ts';

/** A log on the page, and the id it is kept under; null while it is not. */
export interface LogToHold {
  readonly read: ReadLog;
  readonly kept: string | null;
}

/** Holds a log against what was predicted when the unit was handed over, in a worker, by itself; or says why it is not held against it. */
export function useHolding(job: OpenJob, log: () => LogToHold) {
  const predicted = computed(() => predictionOf(job.state.value));
  /** The prediction's moment on the clock of the log; null where that has none. */
  const since = computed(() => {
    const [{ clock }, at] = [log().read.log, predicted.value?.at];
    if (at === undefined || clock.kind === 'elapsed') return null;
    const written = clock.kind === 'true' ? at : `${localDate(at)}T${localTime(at)}:00Z`;
    return Date.parse(written) / 1000;
  });
  /** Why this log says nothing of the prediction; null where it does. */
  const apart = computed<'older' | 'otherSettings' | null>(() => {
    const said = predicted.value;
    if (!said) return null;
    const { read, kept } = log();
    const keptAt = kept && job.state.value.registers.get(`log:${kept}`)?.at(-1)?.entry.deviceTime;
    if (since.value !== null && read.log.time.at(-1)! <= since.value) return 'older';
    if (typeof keptAt === 'string' && keptAt < said.at) return 'older';
    // Another program is in the unit than the one that was spoken of.
    return !said.fromBefore && markOf(said.values) !== markOf(job.program.value.inForce)
      ? 'otherSettings'
      : null;
  });
  const held = shallowRef<readonly HeldFigure[]>([]);
  /** Why it could not be held against it. */
  const because = shallowRef<readonly BoxFinding[]>([]);
  const { problem, start } = latestRun();
  watch(
    () => [log().read, predicted.value?.at, apart.value] as const,
    () =>
      start(async ({ signal, isCurrent }) => {
        held.value = [];
        because.value = [];
        if (!predicted.value || apart.value) return;
        const { values, figures } = predicted.value;
        const asks = { log: log().read.log, values, figures, since: since.value };
        const result = await core.run('holdAgainst', asks, { signal });
        if (!isCurrent()) return;
        if ('because' in result) because.value = result.because;
        else held.value = result;
      }),
    { immediate: true },
  );
  return { predicted, apart, held, because, problem };
}
