import { computed, ref, shallowRef, watch } from 'vue';
import { useLocalStorage } from '@vueuse/core';
import type { DisplayState } from '@brine/core/controllers/definitions';
import type { BusLine, Work } from '@brine/contract/routes';
import { addressOf, messageOf, request } from '../api/client.ts';
import { useJob } from '../job/useJob.ts';
import { useSession } from '../session/sessionStore.ts';

/** How often it is asked how far a piece of work is, ms. */
const ASK_MS = 400;
/** So often more where a piece of work was stopped and still tells what it did. */
const LATE = 25;

/** A person's writings whose answer is not in the record yet, by job: a page may be left while they go on. */
export function useWritingUnderWay() {
  const session = useSession();
  return useLocalStorage<Record<string, string>>(`brine.bus.writing.${session.person?.id ?? ''}`, {});
}

/** The lines of a job's site, which of them and which device on it, and what is under way there. */
export function useBusLine() {
  const job = useJob();
  const site = computed(() => job.job.value?.unit.siteId ?? null);
  const lines = shallowRef<readonly BusLine[] | null>(null);
  const problem = ref<string | null>(null);
  /** What was chosen for this unit before, on this device. */
  const chosen = useLocalStorage<Record<string, { line: string; device: number }>>('brine.bus', {});
  const underWay = useWritingUnderWay();
  const unit = computed(() => job.job.value?.unit.id ?? '');
  const line = ref('');
  const device = ref(1);
  const work = shallowRef<Work | null>(null);
  const isBusy = computed(() => work.value !== null && ['waiting', 'running'].includes(work.value.state));

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

  /** Does a piece of work on the line and returns the file it made; null where there is none, with the problem told. */
  async function run<Answer>(
    begin: (on: { line: string; device: number }) => Promise<{ work: Work }>,
    endedWithout: () => void = () => undefined,
  ): Promise<Answer | null> {
    problem.value = null;
    if (!at.value) {
      problem.value = 'Choose a line, and the device on it: a number from 1 to 247.';
      return null;
    }
    chosen.value = { ...chosen.value, [unit.value]: at.value };
    try {
      const answer = await answerOf<Answer>((await begin(at.value)).work);
      if (answer === null) endedWithout();
      return answer;
    } catch (error) {
      problem.value = messageOf(error);
      return null;
    }
  }

  /** Waits until a piece of work has ended, and takes its file: also of one that was stopped, since what it did until then is done. */
  async function answerOf<Answer>(begun: Work): Promise<Answer | null> {
    work.value = begun;
    try {
      let late = 0;
      while (isBusy.value || (work.value.state === 'stopped' && !work.value.file && late < LATE)) {
        await new Promise((done) => setTimeout(done, ASK_MS));
        if (!isBusy.value) late += 1;
        work.value = (await request('work', { params: { id: begun.id } })).work;
      }
      if (work.value.state === 'failed') problem.value = `${work.value.problem}.`;
      if (work.value.state === 'stopped') problem.value = 'Stopped.';
      if (!work.value.file) return null;
      const file = await fetch(addressOf('workFile', { id: begun.id }));
      if (!file.ok) throw new Error('The answer is not there any more. Ask again.');
      return (await file.json()) as Answer;
    } finally {
      work.value = null;
    }
  }

  async function stop(): Promise<void> {
    if (work.value) work.value = (await request('stopWork', { params: { id: work.value.id } })).work;
  }

  /** Reads all values of the control that a definition describes. */
  const read = (definition: string) =>
    run<BusFound>((on) => request('startBusRead', { params: { id: job.id }, body: { ...on, definition } }));
  /** Writes values into it: whoever stands at the unit said there that it may be. What is under way is remembered on this device until its answer was kept: see `resume`. */
  const write = (
    definition: string,
    values: readonly { code: string; value: string | number }[],
    display: DisplayState,
    atUnit: string,
  ) =>
    run<BusWritten>(async (on) => {
      const begun = await request('startBusWrite', {
        params: { id: job.id },
        body: { ...on, definition, values, display, atUnit, mayBeWritten: true },
      });
      underWay.value = { ...underWay.value, [job.id]: begun.work.id };
      return begun;
    }, settled);
  /** The answer of a writing that this page, or one before it, did not wait for; null where there is none. */
  async function resume(): Promise<BusWritten | null> {
    const id = underWay.value[job.id];
    if (id === undefined) return null;
    try {
      const answer = await answerOf<BusWritten>((await request('work', { params: { id } })).work);
      if (answer === null) settled();
      return answer;
    } catch (error) {
      problem.value = messageOf(error);
      return null;
    }
  }
  /** What was written is in the record. */
  function settled(): void {
    underWay.value = Object.fromEntries(Object.entries(underWay.value).filter(([id]) => id !== job.id));
  }

  function choose(id: string, at: number): void {
    line.value = id;
    device.value = at;
  }

  return { lines, line, device, choose, problem, work, isBusy, read, write, resume, settled, stop };
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
  readonly written: readonly BusBecame[];
}

/** What became of one of them: see `writeValues` of the bus. */
export interface BusBecame {
  readonly code: string;
  readonly is: 'written' | 'otherwise' | 'refused' | 'notKnown' | 'notWritten';
  readonly value: string | number;
  /** What stands there instead, as the display shows it by then. */
  readonly found?: string | number;
  readonly why?: string;
}
