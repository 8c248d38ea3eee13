import type { UnitJudged } from '@brine/contract/routes';
import { availableParallelism } from 'node:os';
import { Worker } from 'node:worker_threads';
import type { UnitToReview } from './unitReview.ts';

/** The thread's file beside this one: compiled in service, TypeScript where the tests run the sources. */
const source = import.meta.url.endsWith('.ts');
const file = new URL(source ? './review.thread.ts' : './review.thread.js', import.meta.url);

function makeThread(): Worker {
  if (!source) return new Worker(file);
  // A thread does not inherit the loader that reads TypeScript: it registers one first.
  const boot = `import('tsx/esm/api').then(({ register }) => { register(); return import('${file.href}'); })`;
  return new Worker(boot, { eval: true, execArgv: ['--conditions=brine-src'] });
}

interface Waiting {
  readonly id: number;
  readonly unit: UnitToReview;
  readonly signal: AbortSignal;
  readonly done: (judged: UnitJudged) => void;
  readonly failed: (error: Error) => void;
}

/**
 * Threads that judge units, so that a long review never holds up the answers of the server: as many as the machine has cores, at most four. They are made
 * when there is work and end when there has been none for a while.
 */
export class ThreadPool {
  private readonly queue: Waiting[] = [];
  private readonly idle = new Set<Worker>();
  private readonly busy = new Map<Worker, Waiting>();
  private last = 0;
  private readonly size = Math.min(4, Math.max(1, availableParallelism()));
  private ending: ReturnType<typeof setTimeout> | undefined;
  private static readonly REST_MS = 20_000;

  /** Judges a unit in the next free thread; a unit that waits when its review is stopped is never begun. */
  judge(unit: UnitToReview, signal: AbortSignal): Promise<UnitJudged> {
    return new Promise((done, failed) => {
      this.last += 1;
      this.queue.push({ id: this.last, unit, signal, done, failed });
      this.next();
    });
  }

  /** Ends every thread at once. */
  async close(): Promise<void> {
    clearTimeout(this.ending);
    this.queue.length = 0;
    const threads = [...this.idle, ...this.busy.keys()];
    this.idle.clear();
    this.busy.clear();
    await Promise.all(threads.map((thread) => thread.terminate()));
  }

  private next(): void {
    clearTimeout(this.ending);
    while (this.queue.length > 0 && this.busy.size < this.size) {
      const waiting = this.queue.shift()!;
      if (waiting.signal.aborted) {
        waiting.failed(new Error('stopped'));
        continue;
      }
      const thread = [...this.idle][0] ?? this.made();
      this.idle.delete(thread);
      this.busy.set(thread, waiting);
      thread.postMessage({ id: waiting.id, unit: waiting.unit });
    }
    if (this.busy.size > 0) return;
    this.ending = setTimeout(() => void this.close(), ThreadPool.REST_MS);
    this.ending.unref();
  }

  private made(): Worker {
    const thread = makeThread();
    thread.unref();
    thread.on('message', (answer: { judged: UnitJudged } | { problem: string }) => {
      const waiting = this.busy.get(thread);
      this.busy.delete(thread);
      this.idle.add(thread);
      if ('judged' in answer) waiting?.done(answer.judged);
      else waiting?.failed(new Error(answer.problem));
      this.next();
    });
    thread.on('error', (error) => {
      const waiting = this.busy.get(thread);
      this.busy.delete(thread);
      this.idle.delete(thread);
      waiting?.failed(error);
      this.next();
    });
    return thread;
  }
}
