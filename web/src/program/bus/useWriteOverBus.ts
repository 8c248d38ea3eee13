import { computed, shallowRef, watch } from 'vue';
import type { CodeValues } from '@brine/core/controllers/definitions';
import { writingOf, type BusWriting } from '@brine/core/controllers/registers';
import { valuesOf, type BusFound } from '../../shared/bus/foundOverBus.ts';
import { useBusLine } from '../../shared/bus/useBusLine.ts';
import type { BusWritten } from '../../shared/bus/useBusWriting.ts';
import { useJob } from '../../shared/job/useJob.ts';
import { becameEntries, stoodEntries } from './becameEntries.ts';
import { usePlanned } from './usePlanned.ts';

/** Writing the planned values of a job into its control: what stands is read first, what would change is shown, and what became of it goes into the record. */
export function useWriteOverBus() {
  const job = useJob();
  const on = useBusLine();
  const standing = shallowRef<CodeValues | null>(null);
  const unread = shallowRef<BusFound['unread']>([]);
  const written = shallowRef<BusWritten | null>(null);

  const { told, wanted, undecided } = usePlanned();
  const plan = computed<BusWriting | null>(() =>
    standing.value && job.replacement.value && told.value
      ? writingOf(job.replacement.value, wanted.value, standing.value, told.value)
      : null,
  );

  /** What stands already as planned, and is not settled yet. */
  const stood = computed(() => {
    const codes = new Set(plan.value?.stood ?? []);
    return job.program.value.rows.filter(({ code, state }) => codes.has(code) && state !== 'keyed');
  });

  // What was read stands in that device alone.
  watch([on.line, on.device], () => (standing.value = null));

  async function look(): Promise<void> {
    standing.value = null;
    written.value = null;
    const found = await on.read(job.newPin.value!.hash);
    if (!found) return;
    standing.value = valuesOf(found);
    unread.value = found.unread;
  }

  async function write(atUnit: string): Promise<void> {
    await takeStood(atUnit);
    const answer = await on.write({
      definition: job.newPin.value!.hash,
      values: plan.value!.writes.map(({ code, value }) => ({ code, value })),
      display: told.value!,
      atUnit,
    });
    if (answer) await take(answer);
  }

  /** What stands already as planned is settled as well, without a writing. */
  async function takeStood(atUnit: string | null): Promise<void> {
    await job.write(...stoodEntries(stood.value, atUnit));
  }

  async function take(answer: BusWritten): Promise<void> {
    written.value = answer;
    await job.write(...becameEntries(answer));
    on.settled();
  }
  // One that a page before this did not wait for: what it did is told, and goes into the record.
  void on.resume().then((answer) => answer && take(answer));

  return { on, standing, unread, written, undecided, told, plan, stood, look, takeStood, write };
}
