import { availableParallelism } from 'node:os';
import { Piscina } from 'piscina';
import type { TaskInput, TaskName, TaskOutput } from './tasks.ts';

/** Where the threads begin: compiled in service; the sources, through a loader, where the tests run those. */
const source = import.meta.url.endsWith('.ts');
const file = new URL(source ? './fromSource.mjs' : './thread.js', import.meta.url).href;

/** Threads end when there was nothing for them this long. */
const REST_MS = 60_000;
/** Work in the background keeps so many threads busy at most; there is one more, so that a sheet never waits behind a review. */
export const BACKGROUND_THREADS = Math.min(4, Math.max(1, availableParallelism()));

/** The one pool of threads for whatever takes the processor longer than an answer may wait. */
export interface Threads {
  /** Runs a task of {@link TaskName}. Rejects with what it threw, and where `signal` is aborted. */
  run<Name extends TaskName>(
    name: Name,
    input: TaskInput<Name>,
    signal?: AbortSignal,
  ): Promise<TaskOutput<Name>>;
  /** Ends every thread at once. */
  close(): Promise<void>;
}

/** Makes the pool; threads are started when there is work. */
export function startThreads(): Threads {
  const pool = new Piscina({
    filename: file,
    minThreads: 0,
    maxThreads: BACKGROUND_THREADS + 1,
    idleTimeout: REST_MS,
    // By this condition the loader picks the sources of our other packages.
    ...(source && { execArgv: ['--conditions=brine-src'] }),
  });
  return {
    run: (name, input, signal) => pool.run({ name, input }, signal ? { signal } : {}) as never,
    close: () => pool.destroy(),
  };
}
