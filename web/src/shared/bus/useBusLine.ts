import { computed } from 'vue';
import { useLocalStorage } from '@vueuse/core';
import type { DisplayState } from '@brine/core/controllers/definitions';
import { messageOf, request } from '../api/client.ts';
import { useJob } from '../job/useJob.ts';
import { useSession } from '../session/sessionStore.ts';
import { useLines } from './useLines.ts';

/** How a control is followed: a look each second, for half a day. */
const FOLLOWED = { every: 1, hours: 12 } as const;

/** A person's writings whose answer is not in the record yet, by job: a page may be left while they go on. */
export function useWritingUnderWay() {
  const session = useSession();
  return useLocalStorage<Record<string, string>>(`brine.bus.writing.${session.person?.id ?? ''}`, {});
}

/** The lines of a job's site, which of them and which device on it, and what is under way there. */
export function useBusLine() {
  const job = useJob();
  const on = useLines(
    computed(() => job.job.value?.unit.siteId ?? null),
    computed(() => job.job.value?.unit.id ?? ''),
  );
  const { run, answerOf } = on;
  const underWay = useWritingUnderWay();

  /** Reads all values of the control that a definition describes. */
  const read = (definition: string) =>
    run<BusFound>((on) => request('startBusRead', { params: { id: job.id }, body: { ...on, definition } }));
  /** Begins following it: what it tells is kept from then on, whether a page looks or not. */
  const follow = (definition: string) =>
    on.begin((at) =>
      request('startBusFollow', { params: { id: job.id }, body: { ...at, definition, ...FOLLOWED } }),
    );
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
      on.problem.value = messageOf(error);
      return null;
    }
  }
  /** What was written is in the record. */
  function settled(): void {
    underWay.value = Object.fromEntries(Object.entries(underWay.value).filter(([id]) => id !== job.id));
  }

  return { ...on, read, follow, write, resume, settled };
}

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
