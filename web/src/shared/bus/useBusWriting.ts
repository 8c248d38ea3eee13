import { useLocalStorage } from '@vueuse/core';
import type { DisplayState } from '@brine/core/controllers/definitions';
import { messageOf, request } from '../api/client.ts';
import { useSession } from '../session/sessionStore.ts';
import type { OnLine } from './useLines.ts';

/** What became of values that were written. */
export interface BusWritten {
  readonly atUnit: string;
  readonly written: readonly BusBecame[];
}

/** How many of them do not stand as they were to. */
export const stillOpen = ({ written }: BusWritten): number =>
  written.filter(({ is }) => is !== 'written').length;

/** What became of one of them: see `writeValues` of the bus. */
export interface BusBecame {
  readonly code: string;
  readonly is: 'written' | 'otherwise' | 'refused' | 'notKnown' | 'notWritten';
  readonly value: string | number;
  /** What stands there instead, as the display shows it by then. */
  readonly found?: string | number;
  readonly why?: string;
}

/** What is written, under which definition, and who stands at the unit and said that it may be. */
export interface BusWish {
  readonly definition: string;
  readonly values: readonly { readonly code: string; readonly value: string | number }[];
  readonly display: DisplayState;
  readonly atUnit: string;
}

/** A person's writings whose answer is not in the record yet, by job: a page may be left while they go on. */
export function useWritingUnderWay() {
  const session = useSession();
  return useLocalStorage<Record<string, string>>(`brine.bus.writing.${session.person?.id ?? ''}`, {});
}

/** Writing into controls on a line. What is under way is remembered on this device until its answer was kept. */
export function useBusWriting(on: OnLine) {
  const underWay = useWritingUnderWay();

  /** Writes values into the control of a job. */
  const write = (job: string, wish: BusWish) =>
    on.run<BusWritten>(
      async (at) => {
        const body = { ...at, ...wish, mayBeWritten: true };
        const begun = await request('startBusWrite', { params: { id: job }, body });
        underWay.value = { ...underWay.value, [job]: begun.work.id };
        return begun;
      },
      () => settled(job),
    );

  /** The answer of a writing that this page, or one before it, did not wait for; null where there is none. */
  async function resume(job: string): Promise<BusWritten | null> {
    const id = underWay.value[job];
    if (id === undefined) return null;
    try {
      const answer = await on.answerOf<BusWritten>((await request('work', { params: { id } })).work);
      if (answer === null) settled(job);
      return answer;
    } catch (error) {
      on.problem.value = messageOf(error);
      return null;
    }
  }

  /** What was written is in the record. */
  function settled(job: string): void {
    underWay.value = Object.fromEntries(Object.entries(underWay.value).filter(([id]) => id !== job));
  }

  return { write, resume, settled };
}
