import { nameHere } from '../mount/mount.ts';
import { ref, shallowRef } from 'vue';
import { request, messageOf, type ApiError } from '../api/client.ts';
import type { ProgressLine } from '@brine/contract/routes';
import type { DrillResult } from './useDrill.ts';

/** A finished drill that still has to reach the server. */
export type WaitingRun = DrillResult & {
  readonly id: string;
  readonly definitionId: string;
  readonly family: string;
};

const KEY = nameHere('brine-practice-waiting');

/** Drills done so far, and keeping of new ones: those the server has not taken yet wait in this browser. */
export function useProgress() {
  const lines = shallowRef<readonly ProgressLine[]>([]);
  const problem = ref<string | null>(null);

  async function reload(): Promise<void> {
    try {
      await sendWaiting();
      lines.value = (await request('progress')).progress;
      problem.value = null;
    } catch (error) {
      const waiting = readWaiting().length;
      problem.value = `${messageOf(error)}${waiting > 0 ? `; ${waiting} finished ${waiting === 1 ? 'drill waits' : 'drills wait'} in this browser` : ''}`;
    }
  }

  async function keep(run: WaitingRun): Promise<void> {
    writeWaiting([...readWaiting(), run]);
    await reload();
  }

  void reload();
  return { lines, problem, keep };
}

/** Sends what waits, oldest first. What the server refuses for good is dropped: it would stand in the way for ever. */
export async function sendWaiting(): Promise<void> {
  for (const run of readWaiting()) {
    try {
      await request('keepRun', { body: run });
    } catch (error) {
      if ((error as ApiError).isTransient !== false) throw error;
    }
    writeWaiting(readWaiting().filter((other) => other.id !== run.id));
  }
}

export function readWaiting(): readonly WaitingRun[] {
  try {
    return JSON.parse(localStorage.getItem(KEY) ?? '[]') as WaitingRun[];
  } catch {
    return [];
  }
}

function writeWaiting(runs: readonly WaitingRun[]): void {
  localStorage.setItem(KEY, JSON.stringify(runs));
}
