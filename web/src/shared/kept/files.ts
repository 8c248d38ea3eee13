import { ApiError } from '../api/client.ts';
import { kept } from './keptStorage.ts';

/**
 * Brings a file of the server's onto this device, once.
 *
 * @throws ApiError where the server does not give it
 */
export async function takeFile(person: string, id: string, job: string, address: string): Promise<void> {
  if (await kept().file(person, id)) return;
  const answer = await fetch(address, { credentials: 'same-origin' }).catch(() => null);
  if (!answer?.ok) throw new ApiError('unreachable', 'A picture or a log did not come', answer?.status ?? 0);
  await kept().keepFile({ person, id, job, blob: await answer.blob() });
}

/** A file of the server's that lies on this device for a person; null where it does not. */
export const takenFile = async (person: string | undefined, id: string): Promise<Blob | null> =>
  person === undefined ? null : ((await kept().file(person, id))?.blob ?? null);
