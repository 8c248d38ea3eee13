import { mount } from '../mount/mount.ts';
import { onScopeDispose } from 'vue';

type Told = (jobId: string) => void;
const listeners = new Set<Told>();
let worker: Worker | null = null;
/** The server gives a sign of life every 25 s: two may be missed before the connection counts as lost. */
const ALIVE_MS = 60_000;
let aliveUntil = 0;

/** Nobody looks: then nothing is asked, and the phone's radio sleeps. */
function followVisibility(): void {
  const wanted = listeners.size > 0 && document.visibilityState === 'visible';
  if (wanted && !worker) {
    worker = new Worker(new URL('./changes.worker.ts', import.meta.url), {
      type: 'module',
      name: `changes ${mount}`,
    });
    worker.addEventListener('message', (event: MessageEvent<{ job?: string; stands?: boolean }>) => {
      const { job, stands } = event.data;
      if (stands !== undefined) aliveUntil = stands ? performance.now() + ALIVE_MS : 0;
      if (job !== undefined) for (const told of listeners) told(job);
    });
  } else if (!wanted && worker) {
    worker.terminate();
    worker = null;
    aliveUntil = 0;
  }
}
document.addEventListener('visibilitychange', followVisibility);

/** Whether the server tells of changes at this moment: then there is little to ask for. */
export const changesAreTold = (): boolean => performance.now() < aliveUntil;

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
