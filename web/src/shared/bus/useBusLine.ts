import { computed, onScopeDispose, ref, shallowRef, watch } from 'vue';
import { useLocalStorage } from '@vueuse/core';
import type { BusLine, Work } from '@brine/contract/routes';
import { addressOf, messageOf, request } from '../api/client.ts';
import { useJob } from '../job/useJob.ts';

/** How often it is asked how far a piece of work is, ms. */
const ASK_MS = 400;

/** The lines of a job's site, which of them and which device on it, and what is under way there. */
export function useBusLine() {
  const job = useJob();
  const site = computed(() => job.job.value?.unit.siteId ?? null);
  const lines = shallowRef<readonly BusLine[] | null>(null);
  const problem = ref<string | null>(null);
  /** What was chosen for this unit before, on this device. */
  const chosen = useLocalStorage<Record<string, { line: string; device: number }>>('brine.bus', {});
  const unit = computed(() => job.job.value?.unit.id ?? '');
  const line = ref('');
  const device = ref(1);
  const work = shallowRef<Work | null>(null);
  const isBusy = computed(() => work.value !== null && ['waiting', 'running'].includes(work.value.state));
  let gone = false;
  onScopeDispose(() => (gone = true));

  watch(
    site,
    async (id) => {
      if (id === null) return;
      try {
        lines.value = (await request('busLines', { params: { id } })).lines.filter(({ open }) => open);
        const before = chosen.value[unit.value];
        const known = lines.value.find(({ id: one }) => one === before?.line);
        line.value = known?.id ?? lines.value[0]?.id ?? '';
        device.value = before?.device ?? 1;
      } catch (error) {
        problem.value = messageOf(error);
      }
    },
    { immediate: true },
  );

  /** What is named on the line, or null where that is not all there. */
  const at = computed(() =>
    line.value !== '' && Number.isInteger(device.value) && device.value >= 1 && device.value <= 247
      ? { line: line.value, device: device.value }
      : null,
  );

  /** Does a piece of work on the line and returns the file it made; null where it failed or was stopped, with the problem told. */
  async function run<Answer>(
    begin: (on: { line: string; device: number }) => Promise<{ work: Work }>,
  ): Promise<Answer | null> {
    problem.value = null;
    if (!at.value) {
      problem.value = 'Choose a line, and the device on it: a number from 1 to 247.';
      return null;
    }
    chosen.value = { ...chosen.value, [unit.value]: at.value };
    try {
      work.value = (await begin(at.value)).work;
      while (isBusy.value && !gone) {
        await new Promise((done) => setTimeout(done, ASK_MS));
        work.value = (await request('work', { params: { id: work.value.id } })).work;
      }
      if (work.value.state === 'failed') problem.value = `${work.value.problem}.`;
      if (work.value.state === 'stopped') problem.value = 'Stopped.';
      if (work.value.state !== 'done') return null;
      const file = await fetch(addressOf('workFile', { id: work.value.id }));
      if (!file.ok) throw new Error('The answer is not there any more. Ask again.');
      return (await file.json()) as Answer;
    } catch (error) {
      problem.value = messageOf(error);
      return null;
    } finally {
      if (!isBusy.value || gone) work.value = null;
    }
  }

  async function stop(): Promise<void> {
    if (work.value) work.value = (await request('stopWork', { params: { id: work.value.id } })).work;
  }

  /** Reads all values of the control that a definition describes. */
  const read = (definition: string) =>
    run<BusFound>((on) => request('startBusRead', { params: { id: job.id }, body: { ...on, definition } }));
  /** Writes values into it: whoever stands at the unit said there that it may be. */
  const write = (
    definition: string,
    values: readonly { code: string; value: string | number }[],
    atUnit: string,
  ) =>
    run<BusWritten>((on) =>
      request('startBusWrite', {
        params: { id: job.id },
        body: { ...on, definition, values, atUnit, mayBeWritten: true },
      }),
    );

  function choose(id: string, at: number): void {
    line.value = id;
    device.value = at;
  }

  return { lines, line, device, choose, problem, work, isBusy, read, write, stop };
}

export type OnBusLine = ReturnType<typeof useBusLine>;

/** What a reading over a line came to. */
export interface BusFound {
  readonly values: readonly { readonly code: string; readonly value: string | number }[];
  readonly unread: readonly { readonly code: string; readonly why: string }[];
  readonly requests: number;
}

/** What became of values that were written. */
export interface BusWritten {
  readonly atUnit: string;
  readonly written: readonly {
    readonly code: string;
    readonly is: 'written' | 'otherwise' | 'refused' | 'notKnown' | 'notReached';
    readonly value: string | number;
    readonly found?: string | number;
    readonly why?: string;
  }[];
  readonly notOverTheBus: readonly { readonly code: string; readonly why: string }[];
}
