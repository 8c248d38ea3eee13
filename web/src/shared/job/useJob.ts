import { computed, inject, onScopeDispose, provide, ref, shallowRef, watch, type InjectionKey } from 'vue';
import { conflictsOf, fold, standing, type Conflict, type JobState } from '@brine/core/record/fold';
import {
  programOf,
  provingOf,
  progressOf,
  wiringOf,
  type JobWiring,
  type Program,
  type Proving,
} from '@brine/core/record/job';
import type { Finding } from '@brine/core/judgement/checks';
import { openWork, type OpenWork } from '@brine/core/record/openWork';
import type { AcceptedEntry, EntryBody } from '@brine/core/record/entries';
import { ApiError, request } from '../api/client.ts';
import { noteSeen } from '../api/early.ts';
import type { Job } from '@brine/contract/routes';
import { useDisplay } from '../display/displayStore.ts';
import { useOutbox } from '../outbox/outboxStore.ts';
import { joined, entriesAfter, keptStream } from '../kept/stream.ts';
import { kept, type KeptStream } from '../kept/keptStorage.ts';
import { noteOpened } from '../kept/myJobs.ts';
import { changesAreTold, useChanges } from '../live/changes.ts';
import { useSession } from '../session/sessionStore.ts';
import { definitionByHash } from './definitions.ts';
import { rounds } from './rounds.ts';

/** How often other people's entries are asked for while the page is looked at: seldom where the server tells of them. */
const POLL_MS = 3000;
const SELDOM_MS = 30_000;

/** One job on this page: its stream, what is computed from it, and the way to write to it. */
export function openJob(id: string) {
  const outbox = useOutbox();
  const session = useSession();
  const display = useDisplay();
  const job = ref<Job | null>(null);
  const problem = ref<string | null>(null);
  const accepted = shallowRef<ReadonlyMap<string, AcceptedEntry>>(new Map());
  const names = ref<Readonly<Record<string, string>>>({});
  /** Everything up to here was given to this page: what it has seen. */
  const seen = ref(0);
  const loaded = ref(false);

  const pending = computed(() => outbox.entries.filter((w) => w.entry.job === id).map((w) => w.entry));
  const state = computed<JobState>(() => fold([...accepted.value.values()], pending.value));
  const oldPin = computed(() => standing(state.value, 'control:old', 'control')?.definition ?? null);
  const newPin = computed(() => standing(state.value, 'control:new', 'control')?.definition ?? null);
  const old = computed(() => definitionByHash(oldPin.value?.hash));
  const replacement = computed(() => definitionByHash(newPin.value?.hash));
  const program = computed<Program>(() =>
    programOf({
      state: state.value,
      name: job.value?.unit.name ?? '',
      old: old.value,
      replacement: replacement.value,
      companyDefaults: session.company?.schools ?? {},
    }),
  );
  watch(
    () => program.value.unit?.displayUnit,
    (read) => (display.ofTheJob = read === undefined ? null : read === 'celsius' ? 'degC' : 'degF'),
    { immediate: true },
  );
  onScopeDispose(() => (display.ofTheJob = null));
  const wiring = computed<JobWiring>(() => wiringOf(state.value, program.value.unit, replacement.value));
  const proving = computed<Proving>(() =>
    provingOf(state.value, program.value, wiring.value, replacement.value, null, display.unit),
  );
  /** What the one judgement says, once it was asked; null: what the rules say stands. */
  const judged = shallowRef<readonly Finding[] | null>(null);
  /** What is open: one list for the head of the job and all its stations. */
  const work = computed<OpenWork>(() =>
    openWork({
      state: state.value,
      program: program.value,
      wiring: wiring.value,
      proving: proving.value,
      findings: judged.value ?? program.value.findings,
    }),
  );
  const progress = computed(() =>
    progressOf(state.value, program.value, wiring.value, proving.value, work.value),
  );
  const conflicts = computed<readonly Conflict[]>(() => conflictsOf(state.value));

  function keep(entries: readonly AcceptedEntry[]): void {
    if (entries.length === 0) return;
    const next = new Map(accepted.value);
    for (const entry of entries) if (entry.job === id) next.set(entry.id, entry);
    accepted.value = next;
  }

  async function loadJob(): Promise<void> {
    try {
      job.value = (await request('job', { params: { id } })).job;
      problem.value = null;
    } catch (error) {
      if (error instanceof ApiError && !error.isTransient) problem.value = error.message;
    }
  }

  /** The stream as it lies on this device; null until it was looked for. */
  let onDevice: KeptStream | null = null;
  /** Whether it lies there at all, be it empty: a job nobody has begun is worked on without signal as well. */
  let isHere = false;

  /** What this device has of the job: it stands on the page before the server has answered, and without it. */
  async function loadKept(): Promise<void> {
    const person = session.person?.id;
    if (person === undefined || onDevice) return;
    const here = await kept().stream(person, id);
    onDevice = here ?? (await keptStream(person, id));
    isHere = here !== undefined;
    keep(onDevice.entries);
    names.value = { ...onDevice.names, ...names.value };
    seen.value = Math.max(seen.value, onDevice.seen);
    if (isHere) loaded.value = true;
    void noteOpened(person, id);
  }

  async function loadEntries(): Promise<void> {
    await loadKept();
    await entriesAfter(id, seen.value, (entries, authors) => {
      keep(entries);
      names.value = { ...names.value, ...authors };
      const last = Math.max(0, ...entries.map((entry) => entry.sequence));
      seen.value = Math.max(seen.value, last);
      if (!onDevice || entries.length === 0) return;
      onDevice = joined(onDevice, entries, authors, last);
      void kept().keepStream(onDevice);
    });
    if (onDevice && !isHere) {
      isHere = true;
      void kept().keepStream(onDevice);
    }
    noteSeen(id, seen.value);
    loaded.value = true;
  }

  async function ask(): Promise<void> {
    try {
      await loadKept();
      await Promise.all([
        job.value ? undefined : loadJob(),
        document.visibilityState === 'visible' || !loaded.value ? loadEntries() : undefined,
      ]);
    } catch {
      // The server is away: what was typed waits in the outbox, and the next round asks again.
    }
  }

  const stopListening = outbox.onAccepted(keep);
  const asking = rounds(ask, () => (changesAreTold() && loaded.value ? SELDOM_MS : POLL_MS));
  // Somebody else wrote: it is asked for at once, not at the next round.
  useChanges((changed) => {
    if (changed === '' || changed === id) asking.soon();
  });
  onScopeDispose(() => {
    asking.stop();
    stopListening();
  });

  /** Writes entries under the person signed in. Returns once they are safe on this device. */
  async function write(...bodies: readonly EntryBody[]): Promise<void> {
    if (!session.person || !session.mayWrite || bodies.length === 0) return;
    await outbox.add(session.person, id, seen.value, bodies);
  }

  /** The name of an entry's author, as far as this page knows it. */
  function nameOf(author: string): string {
    return (
      names.value[author] ??
      (author === session.person?.id
        ? session.person.name
        : outbox.entries.find((w) => w.entry.author === author)?.authorName) ??
      'somebody'
    );
  }

  return {
    id,
    job,
    problem,
    loaded,
    state,
    seen,
    oldPin,
    newPin,
    old,
    replacement,
    program,
    wiring,
    proving,
    judged,
    work,
    progress,
    conflicts,
    pending,
    write,
    nameOf,
    reload: loadJob,
  };
}

export type OpenJob = ReturnType<typeof openJob>;

const key: InjectionKey<OpenJob> = Symbol('job');

/** Gives the job to the stations below. */
export function provideJob(job: OpenJob): void {
  provide(key, job);
}

/** The job of the station this is part of. */
export function useJob(): OpenJob {
  const job = inject(key);
  if (!job) throw new Error('useJob needs a job page above it');
  return job;
}
