import { fileURLToPath } from 'node:url';
import vue from '@vitejs/plugin-vue';
import { build, type InlineConfig, type Plugin, type Rolldown } from 'vite';
import { pageFiles } from './pageFiles.ts';

/** What is drawn with plays no part in where modules go, and takes as long as the rest. */
const withoutStyles: Plugin = {
  name: 'without-styles',
  enforce: 'pre',
  load: (id) => (/\.css$/.test(id) || /[?&]type=style/.test(id) ? '' : null),
};

/** Builds once by the bundler's own choice, keeps nothing of it, and says by that which file each module goes into. */
export async function choosePageFiles(
  config: Pick<InlineConfig, 'resolve' | 'worker'>,
): Promise<ReadonlyMap<string, string>> {
  const built = (await build({
    ...config,
    configFile: false,
    root: fileURLToPath(new URL('.', import.meta.url)),
    logLevel: 'silent',
    plugins: [withoutStyles, vue()],
    build: { write: false, minify: false, target: 'es2022', modulePreload: false },
  })) as Rolldown.RolldownOutput;
  return pageFiles(built.output.filter((file) => file.type === 'chunk'));
}
