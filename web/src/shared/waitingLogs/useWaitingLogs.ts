import { onScopeDispose, ref, shallowRef } from 'vue';
import { waitingLogs, type LogStorage, type WaitingLog } from './logStorage.ts';
import { sendLog } from './sendLog.ts';

const RETRY_MS = 8000;

/** Loggers' files of a job that the server has not yet: on this device, handed over when it answers. */
export function useWaitingLogs(job: string, open: () => LogStorage = waitingLogs) {
  const waiting = shallowRef<ReadonlySet<string>>(new Set());
  const problem = ref<string | null>(null);
  let timer: ReturnType<typeof setTimeout> | undefined;
  let gone = false;

  /** Sends a file; where the server is away it stays on the device and is sent later. Throws where the server refuses it. */
  async function handOver(log: WaitingLog): Promise<void> {
    if ((await sendLog(log)) === 'taken') return;
    await open().keep(log);
    await look();
    later();
  }

  /** Hands over what waits, one after the other. A file that is refused now stays, and why is said. */
  async function send(): Promise<void> {
    clearTimeout(timer);
    problem.value = null;
    const kept = open();
    for (const log of await kept.ofJob(job)) {
      try {
        if ((await sendLog(log)) === 'away') {
          later();
          break;
        }
        await kept.remove(log.id);
      } catch (error) {
        problem.value = `${log.name} stays on this device: ${(error as Error).message}`;
      }
    }
    await look();
  }

  function later(): void {
    clearTimeout(timer);
    if (!gone) timer = setTimeout(() => void send(), RETRY_MS);
  }

  async function look(): Promise<void> {
    waiting.value = new Set((await open().ofJob(job)).map((log) => log.id));
  }

  void send();
  onScopeDispose(() => {
    gone = true;
    clearTimeout(timer);
  });
  return { waiting, problem, handOver, send, read: (id: string) => open().read(id) };
}
