import { mount } from '../mount/mount.ts';
import type { WaitingLog } from './logStorage.ts';

/**
 * Hands a logger's file to the server as it is; the same one sent twice is taken once. `away`: the server does not answer, or is busy. Throws
 * with a sentence where it refuses.
 */
export async function sendLog({ id, job, name, layout, file }: WaitingLog): Promise<'taken' | 'away'> {
  const address = `${mount}/api/jobs/${job}/logs/${id}?name=${encodeURIComponent(name)}&layout=${encodeURIComponent(JSON.stringify(layout))}`;
  const answer = await fetch(address, {
    method: 'POST',
    body: file,
    headers: { 'content-type': 'text/csv' },
    credentials: 'same-origin',
  }).catch(() => null);
  if (!answer || answer.status >= 500) return 'away';
  if (answer.ok) return 'taken';
  const told = (await answer.json().catch(() => null)) as { error?: { message: string } } | null;
  throw new Error(told?.error?.message ?? 'The server could not take the file');
}
