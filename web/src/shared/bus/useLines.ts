import { computed, ref, shallowRef, watch, type Ref } from 'vue';
import { useLocalStorage } from '@vueuse/core';
import type { BusLine, Work } from '@brine/contract/routes';
import { addressOf, messageOf, request } from '../api/client.ts';

/** How often it is asked how far a piece of work is, ms. */
const ASK_MS = 400;
/** So often more where a piece of work was stopped and still tells what it did. */
const LATE = 25;

/** Which device on which line a person chose under each name (a unit, or what else is read), on this device. */
export const useChosenDevices = () =>
  useLocalStorage<Record<string, { line: string; device: number }>>('brine.bus', {});

/**
 * The open lines of a site, which of them and which device on it, and what is under way there.
 *
 * @param site null: not known yet
 * @param name under which the choice is remembered on this device
 */
export function useLines(site: Ref<string | null>, name: Ref<string>) {
  const lines = shallowRef<readonly BusLine[] | null>(null);
  const problem = ref<string | null>(null);
  const chosen = useChosenDevices();
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
        const before = chosen.value[name.value];
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

  /** Begins a piece of work on the line and does not wait for it; null where that cannot be, with the problem told. */
  async function begin(
    ask: (on: { line: string; device: number }) => Promise<{ work: Work }>,
  ): Promise<Work | null> {
    problem.value = null;
    if (!at.value) {
      problem.value = 'Choose a line, and the device on it: a number from 1 to 247.';
      return null;
    }
    chosen.value = { ...chosen.value, [name.value]: at.value };
    try {
      return (await ask(at.value)).work;
    } catch (error) {
      problem.value = messageOf(error);
      return null;
    }
  }

  /** Does a piece of work on the line and returns the file it made; null where there is none, with the problem told. */
  async function run<Answer>(
    ask: (on: { line: string; device: number }) => Promise<{ work: Work }>,
    endedWithout: () => void = () => undefined,
  ): Promise<Answer | null> {
    const begun = await begin(ask);
    if (!begun) return null;
    try {
      const answer = await answerOf<Answer>(begun);
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

  function choose(id: string, at: number): void {
    line.value = id;
    device.value = at;
  }

  return { lines, line, device, choose, problem, work, isBusy, begin, run, answerOf, stop };
}

export type OnLine = ReturnType<typeof useLines>;
