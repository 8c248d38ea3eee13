import type { CoreAnswer, CoreJob, CoreJobs, CoreRequest } from './coreJobs.ts';

/** What a pool needs of a worker; the browser's own, or one of a test. */
export interface PoolWorker {
  onmessage: ((event: { data: CoreAnswer }) => void) | null;
  onerror: ((event: unknown) => void) | null;
  postMessage(message: { readonly id: number; readonly request: CoreRequest }): void;
  terminate(): void;
}

interface Waiting {
  readonly id: number;
  readonly request: CoreRequest;
  readonly done: (result: unknown) => void;
  readonly failed: (error: Error) => void;
  readonly share: (share: number) => void;
}

/** A run that was called off: nobody waits for it any more. */
export class CalledOff extends Error {}

/**
 * Workers for heavy calls of the core: jobs queue for the first free one. A job called off before it began is dropped, one under way takes its worker with it (unless it may finish unheard), and
 * a new worker is made when the next job comes.
 */
export function corePool(size: number, make: () => PoolWorker) {
  const idle: PoolWorker[] = [];
  const busy = new Map<number, PoolWorker>();
  const queue: Waiting[] = [];
  let last = 0;

  function next(): void {
    while (queue.length > 0 && busy.size < size) {
      const waiting = queue.shift()!;
      const worker = idle.pop() ?? make();
      busy.set(waiting.id, worker);
      const free = () => {
        busy.delete(waiting.id);
        idle.push(worker);
        next();
      };
      worker.onmessage = ({ data }) => {
        if (data.id !== waiting.id) return;
        if ('share' in data) return waiting.share(data.share);
        free();
        if ('problem' in data) waiting.failed(new Error(data.problem));
        else waiting.done(data.result);
      };
      worker.onerror = () => {
        busy.delete(waiting.id);
        worker.terminate();
        waiting.failed(new Error('This could not be computed in this browser.'));
        next();
      };
      worker.postMessage({ id: waiting.id, request: plain(waiting.request) });
    }
  }

  function callOff(id: number, letFinish: boolean): void {
    const at = queue.findIndex((waiting) => waiting.id === id);
    if (at >= 0) queue.splice(at, 1);
    const worker = busy.get(id);
    // A short job costs less than a new worker: it ends by itself, and nobody listens.
    if (!worker || letFinish) return;
    busy.delete(id);
    worker.terminate();
    // Others of the same signal are called off first.
    queueMicrotask(next);
  }

  return {
    size,
    /** Runs a job; rejects with {@link CalledOff} where the signal comes first. */
    run<K extends CoreJob>(
      kind: K,
      asks: CoreJobs[K]['asks'],
      {
        signal,
        share = () => undefined,
        letFinish = false,
      }: {
        readonly signal?: AbortSignal;
        readonly share?: (share: number) => void;
        readonly letFinish?: boolean;
      } = {},
    ): Promise<CoreJobs[K]['gives']> {
      last += 1;
      const id = last;
      return new Promise((done, failed) => {
        if (signal?.aborted) return failed(new CalledOff());
        signal?.addEventListener('abort', () => {
          callOff(id, letFinish);
          failed(new CalledOff());
        });
        queue.push({
          id,
          request: { kind, ...asks } as CoreRequest,
          done: done as (result: unknown) => void,
          failed,
          share,
        });
        next();
      });
    },
  };
}

/** The same without the page's reactive wrappers, which cannot be posted. */
function plain<T>(value: T): T {
  if (Array.isArray(value)) return value.map(plain) as T;
  if (ArrayBuffer.isView(value) || value instanceof Blob) return value;
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(Object.entries(value).map(([key, inner]) => [key, plain(inner)])) as T;
}

/** The page's own pool: as many workers as the machine has cores, between three and four: the judgement of a day never stands in the way of a curve. */
export const core = corePool(
  Math.min(4, Math.max(3, navigator.hardwareConcurrency)),
  () => new Worker(new URL('./core.worker.ts', import.meta.url), { type: 'module' }) as unknown as PoolWorker,
);
