import { writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { Means } from '../http/context.ts';
import { BACKGROUND_THREADS } from '../threads/threads.ts';
import { inOwnFolder } from './inOwnFolder.ts';
import { keepFile } from './keepFile.ts';
import { NotOurs, type WorkUnderWay } from './kind.ts';
import { sideBySide } from './sideBySide.ts';

/** One file of an archive: its name, and what stands in it. */
export interface ArchiveFile {
  readonly name: string;
  readonly content: Uint8Array | string;
}

/**
 * Makes a ZIP of one file an item and keeps it with the work. `fileOf` gives null for an item without one. Several are made side by side; begun anew it makes
 * them all again. Returns how many files it holds.
 */
export async function archive<Item>(
  means: Means,
  work: WorkUnderWay,
  items: readonly Item[],
  fileOf: (item: Item) => Promise<ArchiveFile | null>,
  zipName: string,
): Promise<number> {
  const { database, threads } = means;
  return inOwnFolder(async (folder) => {
    const made: { at: number; file: string; name: string }[] = [];
    let done = 0;
    await sideBySide(BACKGROUND_THREADS, items, work.signal, async (item, at) => {
      const file = await fileOf(item);
      if (file) {
        await writeFile(join(folder, String(at)), file.content, { mode: 0o600 });
        made.push({ at, file: String(at), name: file.name });
      }
      done += 1;
      const ours = await database.transaction((repositories) =>
        repositories.work.progress(work.id, work.runner, done, items.length),
      );
      if (!ours) throw new NotOurs();
    });
    if (made.length === 0) return 0;
    const names = apart(made.sort((a, b) => a.at - b.at));
    const zip = join(folder, 'zip');
    await threads.run('zipFiles', { folder, names, into: zip }, work.signal);
    await keepFile(means, work, zip, zipName);
    return made.length;
  });
}

/** Two files of one name are told apart by a number. */
function apart(files: readonly { readonly file: string; readonly name: string }[]) {
  const seen = new Map<string, number>();
  return files.map(({ file, name }) => {
    const times = (seen.get(name) ?? 0) + 1;
    seen.set(name, times);
    return { file, name: times === 1 ? name : name.replace(/(\.[\w.]+)?$/, ` (${times})$1`) };
  });
}

/** A text as part of a file's name, on any system. */
export const asFileName = (text: string): string =>
  text
    .replace(/[^\p{L}\p{N}. ()-]+/gu, ' ')
    .replace(/\s+/g, ' ')
    .trim()
    .slice(0, 120) || 'unnamed';
