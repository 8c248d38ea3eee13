import { waitingLogs } from './logStorage.ts';
import { sendLog } from './sendLog.ts';

/** Hands over every logger's file that waits on this device, of whatever job; how many still wait. What the server refuses stays: its page says why. */
export async function sendLogs(): Promise<number> {
  const logs = waitingLogs();
  for (const log of await logs.all()) {
    const outcome = await sendLog(log).catch(() => 'refused' as const);
    if (outcome === 'away') break;
    if (outcome === 'taken') await logs.remove(log.id);
  }
  return (await logs.all()).length;
}
