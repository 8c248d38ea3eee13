import { ref } from 'vue';
import { messageOf } from '../../shared/api/client.ts';

/** Somebody stopped it. */
export class Stopped extends Error {}

/** A reading under way: tells how far it is, and hears when it is to stop. */
export interface Reading {
  readonly signal: AbortSignal;
  progress(words: string, done: number, of: number): void;
}

export function unlessStopped({ signal }: Reading): void {
  if (signal.aborted) throw new Stopped();
}

/** How far a reading is. */
export interface Progress {
  readonly words: string;
  readonly done: number;
  readonly of: number;
}

/** Runs one reading at a time; what is wrong is told as a problem, a stop is none. */
export function useReading() {
  const progress = ref<Progress | null>(null);
  const problem = ref<string | null>(null);
  let stopping: AbortController | null = null;

  async function run(read: (reading: Reading) => Promise<void>): Promise<void> {
    if (progress.value) return;
    const controller = new AbortController();
    stopping = controller;
    problem.value = null;
    progress.value = { words: 'Opening', done: 0, of: 1 };
    try {
      await read({
        signal: controller.signal,
        progress: (words, done, of) => (progress.value = { words, done, of }),
      });
    } catch (error) {
      // A reader of letters that was stopped fails in its own words.
      if (!(error instanceof Stopped) && !controller.signal.aborted) problem.value = messageOf(error);
    } finally {
      progress.value = null;
      stopping = null;
    }
  }

  return { progress, problem, run, stop: () => stopping?.abort() };
}
