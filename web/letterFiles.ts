import { createReadStream, readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import type { Plugin } from 'vite';

const require = createRequire(import.meta.url);
const engine = dirname(require.resolve('tesseract.js/package.json'));
const core = dirname(require.resolve('tesseract.js-core/package.json'));
const english = dirname(require.resolve('@tesseract.js-data/eng/package.json'));

/**
 * Files of the reader of letters, by their address: its worker, its core in three builds of which it loads the one that the browser runs, and its English. They come from
 * packages and are served from our own address; nothing is fetched from elsewhere.
 */
const files: Readonly<Record<string, () => string>> = {
  'letters/worker.min.js': () => join(engine, 'dist/worker.min.js'),
  ...Object.fromEntries(
    ['relaxedsimd-lstm', 'simd-lstm', 'lstm'].map((build) => [
      `letters/tesseract-core-${build}.wasm.js`,
      () => join(core, `tesseract-core-${build}.wasm.js`),
    ]),
  ),
  'letters/eng.traineddata.gz': () => join(english, '4.0.0_best_int/eng.traineddata.gz'),
};

/** Puts the files of the reader of letters beside the application, and serves them while developing. */
export function letterFiles(): Plugin {
  return {
    name: 'letter-files',
    generateBundle() {
      for (const [fileName, path] of Object.entries(files))
        this.emitFile({ type: 'asset', fileName, source: readFileSync(path()) });
    },
    configureServer(server) {
      server.middlewares.use((request, response, next) => {
        const path = files[(request.url ?? '').replace(/^\//, '').replace(/\?.*$/, '')];
        if (!path) return next();
        response.setHeader(
          'content-type',
          request.url!.endsWith('.js') ? 'text/javascript' : 'application/gzip',
        );
        createReadStream(path()).pipe(response);
      });
    },
  };
}
