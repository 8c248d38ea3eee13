import { computed, shallowRef, watch, type Ref } from 'vue';
import type { CodeValues, ControllerDefinition, DisplayState } from '@brine/core/controllers/definitions';
import { writingOf, type BusWriting } from '@brine/core/controllers/registers';
import type { EntryBody } from '@brine/core/record/entries';
import { valuesOf, type BusFound } from '../../shared/bus/foundOverBus.ts';
import { useBusWriting, type BusWritten } from '../../shared/bus/useBusWriting.ts';
import type { OnLine } from '../../shared/bus/useLines.ts';
import { becameEntries } from './becameEntries.ts';

/** What is wanted of a control on a line, and how it is read. */
interface Wanted {
  readonly control: Readonly<Ref<ControllerDefinition | null>>;
  readonly values: Readonly<Ref<CodeValues>>;
  /** How the display stands under which the values are told. */
  readonly told: Readonly<Ref<DisplayState | null>>;
  /** The hash of its definition. */
  readonly hash: () => string;
  readonly read: (hash: string) => Promise<BusFound | null>;
}

/** The job whose record a writing goes into. */
export interface WritingInto {
  readonly job: string;
  keep(...bodies: readonly EntryBody[]): Promise<void>;
}

/** The steps of writing into a control on a line: what stands there is read, what would change is shown, and what became of it goes into the record. */
export function useWriteSteps(on: OnLine, wanted: Wanted) {
  const writing = useBusWriting(on);
  const standing = shallowRef<CodeValues | null>(null);
  const unread = shallowRef<BusFound['unread']>([]);
  const written = shallowRef<BusWritten | null>(null);
  const plan = computed<BusWriting | null>(() =>
    standing.value && wanted.control.value && wanted.told.value
      ? writingOf(wanted.control.value, wanted.values.value, standing.value, wanted.told.value)
      : null,
  );
  // What was read stands in that device alone.
  watch([on.line, on.device], () => (standing.value = null));

  async function look(): Promise<void> {
    standing.value = null;
    written.value = null;
    const found = await wanted.read(wanted.hash());
    if (!found) return;
    standing.value = valuesOf(found);
    unread.value = found.unread;
  }

  async function write(into: WritingInto, atUnit: string): Promise<void> {
    const answer = await writing.write(into.job, {
      definition: wanted.hash(),
      values: plan.value!.writes.map(({ code, value }) => ({ code, value })),
      display: wanted.told.value!,
      atUnit,
    });
    if (answer) await take(into, answer);
  }

  /** One that a page before this did not wait for: what it did is told, and goes into the record. */
  async function resume(into: WritingInto): Promise<void> {
    const answer = await writing.resume(into.job);
    if (answer) await take(into, answer);
  }

  async function take(into: WritingInto, answer: BusWritten): Promise<void> {
    written.value = answer;
    await into.keep(...becameEntries(answer));
    writing.settled(into.job);
  }

  return {
    on,
    control: wanted.control,
    told: wanted.told,
    standing,
    unread,
    written,
    plan,
    look,
    write,
    resume,
  };
}

export type WriteSteps = ReturnType<typeof useWriteSteps>;
