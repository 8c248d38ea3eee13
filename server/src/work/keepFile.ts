import { createReadStream } from 'node:fs';
import type { Means } from '../http/context.ts';
import type { WorkUnderWay } from './kind.ts';

/** Pieces a file is kept in, bytes. */
const PIECE = 1 << 20;

/** Keeps a file from disk with the work that made it, piece by piece. */
export async function keepFile(
  { database }: Means,
  work: WorkUnderWay,
  path: string,
  name: string,
): Promise<void> {
  let position = 0;
  for await (const piece of createReadStream(path, { highWaterMark: PIECE })) {
    await database.transaction((repositories) =>
      repositories.work.addPiece(work.id, position, piece as Uint8Array),
    );
    position += 1;
  }
  await database.transaction((repositories) => repositories.work.nameFile(work.id, name, position));
}
