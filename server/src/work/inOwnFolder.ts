import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { AppError } from '../http/errors.ts';

/** A folder of one's own for the time of the work; gone afterwards, however it ends. A full disk is told as what it is. */
export async function inOwnFolder<Result>(work: (folder: string) => Promise<Result>): Promise<Result> {
  const folder = await mkdtemp(join(tmpdir(), 'brine-dial-'));
  try {
    return await work(folder);
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code === 'ENOSPC')
      throw new AppError('unavailable', 'The server has no room left for this; try again when there is', {
        cause: error,
      });
    throw error;
  } finally {
    await rm(folder, { recursive: true, force: true });
  }
}
