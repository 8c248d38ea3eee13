import { onScopeDispose } from 'vue';

type Told = (jobId: string) => void;
const listeners = new Set<Told>();
let worker: Worker | null = null;

/** Nobody looks: then nothing is asked, and the phone's radio sleeps. */
function followVisibility(): void {
  const wanted = listeners.size > 0 && document.visibilityState === 'visible';
  if (wanted && !worker) {
    worker = new Worker(new URL('./changes.worker.ts', import.meta.url), { type: 'module', name: 'changes' });
    worker.addEventListener('message', (event: MessageEvent<string>) => {
      for (const told of listeners) told(event.data);
    });
  } else if (!wanted && worker) {
    worker.terminate();
    worker = null;
  }
}
document.addEventListener('visibilitychange', followVisibility);

/**
 * Calls back with the id of each job that changes on the server, whoever changed it, while this component lives; empty stands for any. Without contact nothing is
 * told: whoever listens asks by itself now and then.
 */
export function useChanges(told: Told): void {
  listeners.add(told);
  followVisibility();
  onScopeDispose(() => {
    listeners.delete(told);
    followVisibility();
  });
}
