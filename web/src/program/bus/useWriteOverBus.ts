import { computed, ref, shallowRef } from 'vue';
import { LONGEST_CODE, LONGEST_TEXT } from '@brine/contract/lengths';
import { parameterOf, type CodeValue } from '@brine/core/controllers/definitions';
import type { EntryBody } from '@brine/core/record/entries';
import { writingOf, type BusWriting } from '@brine/core/controllers/registers';
import { useBusLine, type BusFound, type BusWritten } from '../../shared/bus/useBusLine.ts';
import { useJob } from '../../shared/job/useJob.ts';
import { cutText } from '../../shared/ui/cutText.ts';
import { writeWarnings } from './writeWarnings.ts';

/** Writing the planned values of a job into its control: what stands is read first, what would change is shown, and what became of it goes into the record. */
export function useWriteOverBus() {
  const job = useJob();
  const on = useBusLine();
  const standing = shallowRef<ReadonlyMap<string, CodeValue> | null>(null);
  const unread = shallowRef<BusFound['unread']>([]);
  const written = shallowRef<BusWritten | null>(null);
  const atUnit = ref('');
  const mayBeWritten = ref(false);

  /** How the display stands under which the plan tells its numbers. */
  const told = computed(() => job.program.value.display);
  const wanted = computed(
    () =>
      new Map(
        job.program.value.rows.flatMap((row): [string, CodeValue][] =>
          row.undecided || row.state === 'skipped' ? [] : [[row.code, row.value]],
        ),
      ),
  );
  const undecided = computed(() =>
    job.program.value.rows.filter((row) => row.undecided).map(({ code }) => code),
  );
  const plan = computed<BusWriting | null>(() =>
    standing.value && job.replacement.value && told.value
      ? writingOf(job.replacement.value, wanted.value, standing.value, told.value)
      : null,
  );
  const warnings = computed(() =>
    writeWarnings(
      (plan.value?.writes ?? []).flatMap(({ code }) => parameterOf(job.replacement.value!, code) ?? []),
    ),
  );

  async function look(): Promise<void> {
    standing.value = null;
    written.value = null;
    mayBeWritten.value = false;
    const found = await on.read(job.newPin.value!.hash);
    if (!found) return;
    standing.value = new Map(found.values.map(({ code, value }) => [code, value]));
    unread.value = found.unread;
  }

  async function write(): Promise<void> {
    const values = plan.value!.writes.map(({ code, value }) => ({ code, value }));
    const answer = await on.write(job.newPin.value!.hash, values, told.value!, atUnit.value.trim());
    if (answer) await take(answer);
  }

  async function take(answer: BusWritten): Promise<void> {
    written.value = answer;
    await keep(answer);
    on.settled();
  }
  // One that a page before this did not wait for: what it did is told, and goes into the record.
  void on.resume().then((answer) => answer && take(answer));

  /** What was written stands as written; what came back otherwise, or was refused, as what the control shows: that stays open. */
  async function keep(answer: BusWritten): Promise<void> {
    await job.write(
      ...answer.written.flatMap((one): readonly EntryBody[] => {
        const about = {
          kind: 'keyed' as const,
          code: one.code,
          value: one.value,
          over: 'bus' as const,
          atUnit: answer.atUnit,
        };
        if (one.is === 'written') return [{ ...about, state: 'keyed' as const }];
        // What nobody knows, or nothing was done about, stays open as it was.
        if (one.found === undefined) return [];
        return [
          {
            ...about,
            state: 'showsElse' as const,
            shown: cutText(String(one.found), LONGEST_CODE),
            ...(one.why !== undefined && { why: cutText(one.why, LONGEST_TEXT) }),
          },
        ];
      }),
    );
  }

  return { on, standing, unread, written, atUnit, mayBeWritten, undecided, plan, warnings, look, write };
}
