import { until } from '@vueuse/core';
import { useTaken } from '../kept/takenStore.ts';
import { startOffline } from './programVersion.ts';
import { whenQuiet } from './quiet.ts';
import { sparesData } from './sparesData.ts';

const AGAIN_MS = 30_000;

/**
 * Puts the whole program on this device, after the page's own data: some megabytes, over which a slow line is long. Where the person spares data it is brought once they take a job along; a
 * device that has it already keeps it up to date.
 *
 * @param loadPages loads the pages themselves, for a browser that keeps no program
 */
export async function bringProgram(loadPages: () => Promise<void>): Promise<void> {
  const worker = import.meta.env.PROD ? navigator.serviceWorker : undefined;
  if (worker?.controller) return untilDone(startOffline);
  if (sparesData()) {
    if (!worker) return;
    const taken = useTaken();
    await until(() => taken.jobs.some(({ marked }) => marked)).toBe(true);
  } else await whenQuiet();
  await (worker ? untilDone(startOffline) : loadPages());
}

/** Again and again: where the server is away in that moment, its files are as well. */
async function untilDone(bring: () => Promise<void>): Promise<void> {
  for (;;)
    try {
      return await bring();
    } catch {
      await new Promise((again) => setTimeout(again, AGAIN_MS));
    }
}
