import { readFileSync } from 'node:fs';
import type { Plugin } from 'vite';
import { stationModules } from './pageFiles.ts';

/** Which pages a path opens, the first that fits: the files they are made of, as they stand below `src`. */
export const pages: readonly {
  readonly begins: string;
  readonly modules: readonly string[];
  /** A worker without which the page shows nothing, by the beginning of its file's name. */
  readonly worker?: string;
}[] = [
  { begins: '^/sign-in', modules: ['signin/SignInPage.vue'] },
  { begins: '^/(today/?)?$', modules: ['today/TodayPage.vue'] },
  { begins: '^/jobs/?$', modules: ['jobs/JobsPage.vue'] },
  {
    begins: '^/jobs/[^/]+/program/cabinet',
    modules: ['jobs/JobPage.vue', 'program/ProgramStation.vue', 'program/CabinetView.vue'],
  },
  {
    begins: '^/jobs/[^/]+/wire/diagram',
    modules: ['jobs/JobPage.vue', 'wire/WireStation.vue'],
    worker: 'layout.worker',
  },
  // A test holds them to the core's: this runs before the core is built.
  ...stationModules.map((module) => ({
    begins: `^/jobs/[^/]+/${module.split('/')[0]}`,
    modules: ['jobs/JobPage.vue', module],
  })),
  { begins: '^/jobs/[^/]+', modules: ['jobs/JobPage.vue'] },
  { begins: '^/units/?$', modules: ['units/UnitsPage.vue'] },
  { begins: '^/units/[^/]+/?$', modules: ['units/UnitPage.vue'] },
];

/** A file of the build, as far as its imports are followed. */
export interface Built {
  readonly fileName: string;
  readonly type: string;
  readonly isEntry?: boolean;
  readonly facadeModuleId?: string | null;
  readonly imports?: readonly string[];
  readonly viteMetadata?: { readonly importedCss: ReadonlySet<string> };
}

/** Script files that pages load beside those of the first page, each once. */
export function filesOf(built: readonly Built[], modules: readonly string[]): readonly string[] {
  const byName = new Map(built.map((file) => [file.fileName, file]));
  const reached = (from: readonly string[], but: ReadonlySet<string>): ReadonlySet<string> => {
    const found = new Set<string>();
    const left = [...from];
    for (let name = left.pop(); name !== undefined; name = left.pop()) {
      if (found.has(name) || but.has(name)) continue;
      found.add(name);
      left.push(...(byName.get(name)?.imports ?? []));
    }
    return found;
  };
  const entries = built.filter((file) => file.isEntry).map((file) => file.fileName);
  const opened = modules.flatMap(
    (module) => built.find((file) => file.facadeModuleId?.endsWith(`/src/${module}`))?.fileName ?? [],
  );
  return [...reached(opened, reached(entries, new Set()))];
}

/** Writes `early.js`, which asks for a page's data and files before the program is here. */
export function earlyFile(): Plugin {
  const read = () => readFileSync(new URL('./early.js', import.meta.url), 'utf8');
  return {
    name: 'early-file',
    configureServer(server) {
      server.middlewares.use('/early.js', (_, answer) => {
        answer.setHeader('content-type', 'text/javascript');
        answer.end(read());
      });
    },
    generateBundle(_, bundle) {
      const built = Object.values(bundle) as readonly Built[];
      const known = pages.map(({ begins, modules, worker }) => ({
        begins,
        files: filesOf(built, modules),
        worker: worker && built.find(({ fileName }) => fileName.includes(`/${worker}-`))?.fileName,
      }));
      for (const { begins, files } of known)
        if (files.length === 0) this.error(`early.js: no files of ${begins} were built`);
      // The letters lie in the style sheet that `fonts.ts` imports.
      const letters = built.find((file) => file.facadeModuleId?.endsWith('/src/fonts.ts'));
      const sheets = [...(letters?.viteMetadata?.importedCss ?? [])];
      if (sheets.length === 0) this.error('early.js: no style sheet of the letters was built');
      // What explains it stays in the source.
      const source = read()
        .replace('/* LETTERS */ []', () => JSON.stringify(sheets))
        .replace(/^\s*(\/\/|\/\*\*).*\n/gm, '')
        .replace('/* PAGES */ []', () => JSON.stringify(known));
      this.emitFile({ type: 'asset', fileName: 'early.js', source });
    },
  };
}
