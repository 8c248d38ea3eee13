import { computed } from 'vue';
import type { CodeValue } from '@brine/core/controllers/definitions';
import { useJob } from '../../shared/job/useJob.ts';

/** The values planned in a job as a control is to hold them: without those that are left out, or not decided yet. */
export function usePlanned() {
  const job = useJob();
  const rows = computed(() => job.program.value.rows);
  /** How the display stands under which the plan tells its numbers. */
  const told = computed(() => job.program.value.display);
  const wanted = computed(
    () =>
      new Map(
        rows.value.flatMap((row): [string, CodeValue][] =>
          row.undecided || row.state === 'skipped' ? [] : [[row.code, row.value]],
        ),
      ),
  );
  const undecided = computed(() => rows.value.filter((row) => row.undecided).map(({ code }) => code));
  return { told, wanted, undecided };
}
