import { computed } from 'vue';
import { useBusLine } from '../../shared/bus/useBusLine.ts';
import { useJob } from '../../shared/job/useJob.ts';
import { stoodEntries } from './becameEntries.ts';
import { usePlanned } from './usePlanned.ts';
import { useWriteSteps } from './useWriteSteps.ts';

/** Writing the planned values of a job into its control. */
export function useWriteOverBus() {
  const job = useJob();
  const on = useBusLine();
  const { told, wanted, undecided } = usePlanned();
  const steps = useWriteSteps(on, {
    control: job.replacement,
    values: wanted,
    told,
    hash: () => job.newPin.value!.hash,
    read: on.read,
  });
  const own = { job: job.id, keep: job.write };
  void steps.resume(own);

  /** What stands already as planned, and is not settled yet. */
  const stood = computed(() => {
    const codes = new Set(steps.plan.value?.stood ?? []);
    return job.program.value.rows.filter(({ code, state }) => codes.has(code) && state !== 'keyed');
  });
  /** Settles it, without a writing; `atUnit`: who stands at the unit, where somebody was asked. */
  const settle = (atUnit: string | null) => job.write(...stoodEntries(stood.value, atUnit));

  async function write(atUnit: string): Promise<void> {
    await settle(atUnit);
    await steps.write(own, atUnit);
  }

  return { steps, undecided, stood, settle, write };
}
