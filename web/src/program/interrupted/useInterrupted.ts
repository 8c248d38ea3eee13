import { computed, onScopeDispose, ref, shallowRef, type ComputedRef } from 'vue';
import { readTypedCode, sameCodeValue, type CodeValue } from '@brine/core/controllers/definitions';
import { doubtful, Readings, type MayBe } from '@brine/core/controllers/interrupted';
import { machineOf, printValue, panelAtRest, type Wish } from '@brine/core/controllers/panel';
import type { EntryBody } from '@brine/core/record/entries';
import { atCabinetOf, menuMayCloseAfter, type AtCabinet, type ProgramRow } from '@brine/core/record/job';
import { useJob } from '../../shared/job/useJob.ts';
import { useOutbox } from '../../shared/outbox/outboxStore.ts';
import { useSession } from '../../shared/session/sessionStore.ts';
import { core } from '../../workers/corePool.ts';
import { latestRun } from '../../workers/latestRun.ts';
import { readingStep, type ReadingStep } from './readingStep.ts';
import { settledBy, type Outcome } from './settledBy.ts';

/** What somebody else, or this person before a break, did at the control, and what of it is not sure. */
export interface BrokenOff {
  readonly last: NonNullable<AtCabinet['last']>;
  readonly doubtful: readonly string[];
}

/** A code whose value was read on the display. */
export interface Taken {
  readonly code: string;
  readonly value: CodeValue;
  readonly shown: string;
}

/** The list that is keyed, and where one stands in it. */
interface Place {
  readonly rows: ComputedRef<readonly ProgramRow[]>;
  readonly current: ComputedRef<ProgramRow | null>;
  readonly allDone: ComputedRef<boolean>;
  goTo(code: string): void;
}

/** Work at a panel that was broken off: what the control may hold, the codes to read that settle it, and what is to be keyed anew. */
export function useInterrupted(cabinet: Place) {
  const job = useJob();
  const session = useSession();
  const outbox = useOutbox();
  const machine = computed(() => (job.replacement.value ? machineOf(job.replacement.value) : null));
  const { running, problem, start, stop } = latestRun();
  onScopeDispose(stop);

  /** Said above the strokes, until it was looked into; null where all that was ticked is sure. */
  const brokenOff = shallowRef<BrokenOff | null>(null);
  const isOpen = ref(false);
  const at = shallowRef<AtCabinet | null>(null);
  const under = shallowRef<Wish | null>(null);
  const memories = shallowRef<readonly MayBe[]>([]);
  const readings = shallowRef<Readings | null>(null);
  const left = shallowRef<readonly MayBe[]>([]);
  const taken = shallowRef<readonly Taken[]>([]);
  /** Where the display stands; null: at the standard display. */
  const from = ref<string | null>(null);
  /** Strokes of the last reading that are still to be done: out of the value. */
  const leftOver = shallowRef<ReadingStep['rest']>([]);
  /** Something was read that none of the memories shows: nothing further is asked. */
  const surprise = ref(false);

  async function workOut(then: (found: readonly MayBe[]) => void): Promise<void> {
    const definition = job.replacement.value;
    if (!machine.value || !definition) return;
    const now = atCabinetOf(job.state.value, job.program.value, machine.value);
    const row = cabinet.current.value;
    const wish =
      !row || cabinet.allDone.value || row.state !== 'open' ? null : { code: row.code, value: row.value };
    await start(async ({ signal, isCurrent }) => {
      const found = await core.run(
        'memories',
        {
          definition,
          at: { before: Object.fromEntries(now.before), done: now.done, under: wish },
        },
        { signal },
      );
      if (!isCurrent() || !found) return;
      at.value = now;
      under.value = wish;
      then(found);
    });
  }

  /** Somebody comes to the control: says what of the work before is not sure, where it was somebody else’s, on another device, or so long ago that the menu may have closed. */
  async function look(closedNow = false): Promise<void> {
    if (!machine.value) return;
    const { last } = atCabinetOf(job.state.value, job.program.value, machine.value);
    if (!last) return;
    const isAway = Date.now() - Date.parse(last.at) > menuMayCloseAfter(machine.value) * 1000;
    const isOthers = last.author !== session.person?.id || last.device !== (await outbox.device());
    if (!closedNow && !isAway && !isOthers) return;
    await workOut((found) => {
      const codes = doubtful(at.value!.done, found);
      brokenOff.value = codes.length > 0 ? { last, doubtful: codes } : null;
    });
  }

  /** Begins to find out. */
  async function begin(): Promise<void> {
    isOpen.value = true;
    taken.value = [];
    leftOver.value = [];
    from.value = null;
    surprise.value = false;
    readings.value = null;
    await workOut((found) => {
      memories.value = found;
      left.value = found;
      readings.value = new Readings(machine.value!, found);
    });
  }

  const next = computed(() => (surprise.value ? null : (readings.value?.next(left.value) ?? null)));
  const needed = computed(() => readings.value?.needed(memories.value) ?? 0);
  const step = computed(() =>
    machine.value && next.value && left.value[0]
      ? readingStep(machine.value, left.value[0].memory, next.value.code, from.value)
      : null,
  );

  /** Notes what a code showed; the memories that are left, and where the display stands then. */
  function took(one: Taken, part: readonly MayBe[]): void {
    taken.value = [...taken.value, one];
    leftOver.value = step.value?.rest ?? [];
    from.value = step.value?.ends ?? null;
    left.value = part;
  }

  /** The display showed one of what the memories show. */
  function shows(words: string): void {
    const asked = next.value;
    const part = asked?.shows.get(words);
    if (!asked || !part) return;
    took({ code: asked.code, value: part[0]!.memory.get(asked.code)!, shown: words }, part);
  }

  /** The display showed something else, as it was typed; a sentence where that is no value of the code. */
  function showsElse(typed: string): string | null {
    const asked = next.value;
    const parameter = asked && machine.value?.parameters.get(asked.code);
    const display = job.program.value.display;
    if (!asked || !parameter || !display) return null;
    const read = readTypedCode(job.replacement.value!, parameter, typed, display);
    if (!('value' in read)) return read.problem;
    const panel = panelAtRest(machine.value!, left.value[0]!.memory);
    const printed = printValue(machine.value!, panel, parameter, read.value);
    if (asked.shows.has(printed)) shows(printed);
    else {
      // Nobody had seen what the code under hand held before: then it is as it was, with another value than the booklet says.
      const asItWas = panelAtRest(machine.value!, at.value!.before).memory.get(asked.code)!;
      const part =
        asked.code === under.value?.code
          ? left.value.filter(({ memory }) => sameCodeValue(memory.get(asked.code)!, asItWas))
          : [];
      surprise.value = part.length === 0;
      took({ code: asked.code, value: read.value, shown: typed.trim() }, part.length > 0 ? part : left.value);
    }
    return null;
  }

  /** What came of it; null while something is still to be read. */
  const outcome = computed<Outcome | null>(() => {
    if (!readings.value || !at.value || next.value) return null;
    return settledBy({
      done: at.value.done,
      under: under.value,
      memories: memories.value,
      left: left.value,
      taken: taken.value,
    });
  });

  /** Writes down what was found: what is lost is open again, and the strokes go on from there. Gives the code at which the display stands. */
  async function take(): Promise<string | null> {
    const found = outcome.value;
    if (!found) return null;
    const rows = new Map(cabinet.rows.value.map((row) => [row.code, row]));
    const entry = (code: string, state: 'keyed' | null): readonly EntryBody[] => {
      const row = rows.get(code);
      return row ? [{ kind: 'keyed', code, state, value: row.value }] : [];
    };
    await job.write(
      ...found.stands.flatMap((code) => entry(code, 'keyed')),
      ...found.lost.flatMap((code) => entry(code, null)),
      { kind: 'readBack', read: [...taken.value], lost: [...found.lost] },
    );
    brokenOff.value = null;
    isOpen.value = false;
    const first = found.lost.find((code) => rows.has(code));
    if (first !== undefined) cabinet.goTo(first);
    return from.value;
  }

  function close(): void {
    stop();
    isOpen.value = false;
  }

  return {
    machine,
    running,
    problem,
    brokenOff,
    isOpen,
    look,
    begin,
    close,
    taken,
    needed,
    next,
    step,
    leftOver,
    shows,
    showsElse,
    outcome,
    take,
  };
}

export type Interrupted = ReturnType<typeof useInterrupted>;
