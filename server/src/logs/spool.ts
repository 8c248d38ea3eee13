import { createWriteStream } from 'node:fs';
import { Readable, Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { AppError } from '../http/errors.ts';

/** Largest file of a logger, bytes: a year of minutes with a dozen columns is some 50 MB. */
export const LARGEST_LOG = 256 * 1024 * 1024;

/**
 * Writes an upload to a file as it comes, so that neither a thread nor a connection of the database waits for a slow line. Refuses more than
 * {@link LARGEST_LOG} bytes.
 */
export async function spool(body: AsyncIterable<Uint8Array>, path: string): Promise<void> {
  let bytes = 0;
  const counted = new Transform({
    transform(piece: Uint8Array, _, done) {
      bytes += piece.byteLength;
      if (bytes > LARGEST_LOG)
        done(new AppError('tooLarge', `The file is larger than ${LARGEST_LOG / 1024 / 1024} MiB`));
      else done(null, piece);
    },
  });
  await pipeline(Readable.from(body), counted, createWriteStream(path, { mode: 0o600 }));
}
