import { ref, shallowRef, watch, type Ref } from 'vue';
import type { Learning } from '@brine/core/judgement/learning';
import type { SettingValues } from '@brine/core/foundation/settings';
import type { BoxFinding } from '@brine/core/machines/identification';
import { clockIso } from '@brine/core/logs/reading';
import { boxMark } from '@brine/core/record/job';
import { LONGEST_NAME } from '@brine/contract/lengths';
import type { OpenJob } from '../../shared/job/useJob.ts';
import { useSession } from '../../shared/session/sessionStore.ts';
import { cutText } from '../../shared/ui/cutText.ts';
import { core } from '../../workers/corePool.ts';
import { latestRun } from '../../workers/latestRun.ts';
import type { ReadLog } from './useLog.ts';

/** What was learned: a box beside its log. */
export type LearnedNow = Extract<Learning, { readonly from: number }>;

/** Learns the unit's own box from the log on the page, in a worker; keeps it with the unit once somebody takes it. */
export function useLearning(job: OpenJob, read: Ref<ReadLog>, inForceThen: () => SettingValues) {
  const session = useSession();
  const learned = shallowRef<LearnedNow | null>(null);
  /** Why nothing was learned. */
  const because = shallowRef<readonly BoxFinding[]>([]);
  const share = ref<number | null>(null);
  const taken = ref(false);
  const { problem, start, stop } = latestRun();

  function forget(): void {
    stop();
    learned.value = null;
    because.value = [];
    taken.value = false;
    share.value = null;
  }
  watch(read, forget);

  const learn = () =>
    start(async ({ signal, isCurrent }) => {
      const { unit } = job.program.value;
      if (!unit) throw new Error('Say in Survey what the unit is; then its own box can be learned.');
      learned.value = null;
      because.value = [];
      taken.value = false;
      share.value = 0;
      const kind = session.company?.kinds[unit.application];
      const result = await core.run(
        'learn',
        { log: read.value.log, unit, values: inForceThen(), ...(kind && { priors: kind.priors }) },
        { signal, share: (done) => isCurrent() && (share.value = done) },
      );
      if (!isCurrent() || result === null) return;
      if (typeof result === 'string') throw new Error(result);
      if (result.box === null) because.value = result.because;
      else learned.value = result;
    }).finally(() => (share.value = null));

  /** Runs are made with it from now on, until somebody says otherwise. */
  async function take(): Promise<void> {
    const [result, { unit }] = [learned.value, job.program.value];
    if (!result || !unit) return;
    const { name, log } = read.value;
    await job.write(
      {
        kind: 'learned',
        name: cutText(name, LONGEST_NAME),
        from: clockIso(log.clock, result.from),
        to: clockIso(log.clock, result.to),
        unit: boxMark(unit),
        box: result.box,
      },
      { kind: 'boxChoice', use: 'own', why: '' },
    );
    taken.value = true;
  }

  return { learned, because, share, problem, taken, learn, take, stop };
}
