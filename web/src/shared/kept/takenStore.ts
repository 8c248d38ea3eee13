import { nameHere } from '../mount/mount.ts';
import { defineStore } from 'pinia';
import { MOST_OFFLINE_DAYS } from '@brine/contract/lengths';
import { computed, ref, shallowRef } from 'vue';
import { ApiError, messageOf } from '../api/client.ts';
import { serverAway } from '../api/contact.ts';
import { kept, type KeptJob } from './keptStorage.ts';
import { jobsToKeep } from './myJobs.ts';

/** It knows every kind of entry: no page waits for that. */
const whole = () =>
  import('./keepWhole.ts').catch(() => {
    throw new ApiError('unreachable', 'The server does not answer', 0);
  });
/** How often what is kept is brought up to date while there is signal. */
const EVERY_MS = 5 * 60_000;
/** The page's own data come first. */
const FIRST_MS = 2500;
/** Answers older than anybody may work without contact serve nobody. */
const LONGEST_KEPT_MS = MOST_OFFLINE_DAYS * 86_400_000;
/** When all was last brought here for a person. */
const LAST = nameHere('brine-taken:');

/** The jobs of the person signed in that lie whole on this device, and the work of bringing them here. */
export const useTaken = defineStore('taken', () => {
  const jobs = shallowRef<readonly KeptJob[]>([]);
  /** Jobs done and to do of the round that runs; null while none does. */
  const round = ref<{ readonly done: number; readonly of: number } | null>(null);
  let person: string | null = null;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let running: Promise<void> | null = null;
  /** How often a round was asked for while one ran. */
  let asked = 0;

  const byId = computed(() => new Map(jobs.value.map((job) => [job.job, job])));
  const ofJob = (id: string): KeptJob | null => byId.value.get(id) ?? null;

  async function look(): Promise<void> {
    jobs.value = person === null ? [] : await kept().jobs(person);
  }

  /** Follows the person signed in; null: nobody. */
  async function follow(who: string | null): Promise<void> {
    clearTimeout(timer);
    person = who;
    await look();
    if (who !== null) timer = setTimeout(() => void bring(), isDue(who) ? FIRST_MS : EVERY_MS);
  }

  /** A page that is loaded again asks for nothing that was brought a moment ago; what is not whole yet is brought at once. */
  function isDue(who: string): boolean {
    const last = Number(localStorage.getItem(LAST + who) ?? 0);
    return Date.now() - last > EVERY_MS || jobsToKeep(jobs.value).some((job) => job.wholeAt === null);
  }

  /** Marks a job to be taken along, or takes the mark off. */
  async function mark(job: string, marked: boolean): Promise<void> {
    if (person === null) return;
    await kept().noteJob(person, job, { marked });
    await look();
    if (marked) await bring();
  }

  /** Brings here what is missing, and drops what need not stay; one round at a time, and one more where it was asked for meanwhile. */
  function bring(): Promise<void> {
    if (running) {
      asked += 1;
      return running;
    }
    return (running = rounds().finally(() => {
      running = null;
      round.value = null;
      clearTimeout(timer);
      if (person !== null) timer = setTimeout(() => void bring(), EVERY_MS);
    }));
  }

  async function rounds(): Promise<void> {
    let begun: number;
    do {
      begun = asked;
      await bringAll();
    } while (asked !== begun);
  }

  const hasLeft = (who: string) => person !== who;

  async function bringAll(): Promise<void> {
    const who = person;
    if (who === null) return;
    let staying = jobsToKeep(await kept().jobs(who));
    const streams = new Set<string>();
    round.value = { done: 0, of: staying.length + 1 };
    try {
      const { keepLibrary } = await whole();
      await keepLibrary(who);
      // Answers of the last visit serve the page; they bring nothing here.
      if (serverAway.value) return;
      // The library told which jobs are theirs by now.
      staying = jobsToKeep(await kept().jobs(who));
      for (const [i, { job }] of staying.entries()) {
        if (hasLeft(who)) return;
        round.value = { done: i + 1, of: staying.length + 1 };
        for (const id of await bringOne(who, job)) streams.add(id);
      }
    } catch (error) {
      // Without signal the next round goes on, and until then nothing is dropped.
      if (!(error instanceof ApiError)) throw error;
      return;
    } finally {
      await look();
    }
    localStorage.setItem(LAST + who, String(Date.now()));
    const since = new Date(Date.now() - LONGEST_KEPT_MS).toISOString();
    await kept().drop(who, { jobs: new Set(staying.map(({ job }) => job)), streams, since });
    await look();
  }

  /** One job; the streams that it needs. What is against it is said at it, unless the server is away. */
  async function bringOne(who: string, job: string): Promise<readonly string[]> {
    let streams: readonly string[] = [job];
    try {
      const { keepWhole } = await whole();
      streams = await keepWhole(who, job);
      await kept().noteJob(who, job, { wholeAt: new Date().toISOString(), problem: null });
    } catch (error) {
      if (!(error instanceof ApiError) || error.isAway) throw error;
      await kept().noteJob(who, job, { problem: messageOf(error) });
    }
    await look();
    return streams;
  }

  return { jobs, round, ofJob, follow, mark };
});
