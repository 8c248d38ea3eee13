import { writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { Means } from '../http/context.ts';
import { inOwnFolder } from '../work/inOwnFolder.ts';
import { keepFile } from '../work/keepFile.ts';
import type { WorkUnderWay } from '../work/kind.ts';

/** Keeps what came of a piece of work as a file of JSON. */
export const keepAnswer = (means: Means, work: WorkUnderWay, name: string, answer: object): Promise<void> =>
  inOwnFolder(async (folder) => {
    const path = join(folder, name);
    await writeFile(path, JSON.stringify(answer), { mode: 0o600 });
    await keepFile(means, work, path, name);
  });
