import { readdir, readFile, writeFile } from 'node:fs/promises';
import { extname, join } from 'node:path';
import { promisify } from 'node:util';
import { brotliCompress, constants, gzip } from 'node:zlib';
import type { Plugin } from 'vite';

/** What is text, or a program: pictures, fonts and what is packed already get no smaller. */
const packed = new Set(['.html', '.js', '.mjs', '.css', '.svg', '.json', '.webmanifest', '.wasm']);
/** Smaller files fit in one packet anyway, bytes. */
const LEAST = 1024;
/** Of 11: the last two would make files 7 % smaller, and the build three times as long. */
const QUALITY = 9;

/**
 * Puts each file that gets smaller beside itself as `.br` and `.gz`, once at build: the server sends these to whoever takes them, so that a phone on a slow line loads a quarter, and nothing
 * is packed anew for every caller.
 */
export function compressedFiles(): Plugin {
  let folder = 'dist';
  return {
    name: 'compressed-files',
    apply: 'build',
    configResolved(config) {
      folder = config.build.outDir.startsWith('/')
        ? config.build.outDir
        : join(config.root, config.build.outDir);
    },
    closeBundle: {
      // After whatever still writes files, such as the service worker.
      order: 'post',
      sequential: true,
      async handler() {
        const entries = await readdir(folder, { recursive: true, withFileTypes: true });
        await Promise.all(
          entries
            .filter((entry) => entry.isFile() && packed.has(extname(entry.name)))
            .map((entry) => packFile(join(entry.parentPath, entry.name))),
        );
      },
    },
  };
}

async function packFile(path: string): Promise<void> {
  const whole = await readFile(path);
  if (whole.length < LEAST) return;
  const [br, gz] = await Promise.all([
    promisify(brotliCompress)(whole, {
      params: {
        [constants.BROTLI_PARAM_QUALITY]: QUALITY,
        [constants.BROTLI_PARAM_SIZE_HINT]: whole.length,
      },
    }),
    promisify(gzip)(whole, { level: constants.Z_BEST_COMPRESSION }),
  ]);
  if (br.length < whole.length) await writeFile(`${path}.br`, br);
  if (gz.length < whole.length) await writeFile(`${path}.gz`, gz);
}
