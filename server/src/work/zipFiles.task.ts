import { closeSync, openSync, readFileSync, writeSync } from 'node:fs';
import { join } from 'node:path';
import { Zip, ZipDeflate } from 'fflate';

/** Fast rather than small: PDFs are packed already. */
const LEVEL = 1;

/** Packs files of a folder into one ZIP, one after the other, so that it never holds more than one. */
export function zipFiles({
  folder,
  names,
  into,
}: {
  readonly folder: string;
  /** Name of each file in the folder and in the ZIP. */
  readonly names: readonly { readonly file: string; readonly name: string }[];
  readonly into: string;
}): void {
  const out = openSync(into, 'w', 0o600);
  try {
    const failures: Error[] = [];
    const zip = new Zip((error, bytes) => {
      if (error) failures.push(error);
      else writeSync(out, bytes);
    });
    for (const { file, name } of names) {
      const entry = new ZipDeflate(name, { level: LEVEL });
      zip.add(entry);
      entry.push(new Uint8Array(readFileSync(join(folder, file))), true);
    }
    zip.end();
    if (failures[0]) throw failures[0];
  } finally {
    closeSync(out);
  }
}
