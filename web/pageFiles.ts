/** The page of a job, on every one of its addresses, and its stations, as they stand below `src`. */
const JOB = 'jobs/JobPage.vue';
export const stationModules = ['Survey', 'Fit', 'Wire', 'Program', 'Prove', 'Handover'].map(
  (name) => `${name.toLowerCase()}/${name}Station.vue`,
);
/** What comes with every page. */
const FIRST = 'first';
/** What comes with pages that have no job: it stays where the bundler puts it. */
const LIGHT = 'light';
/** What comes with the page of every job. */
const WITH_JOB = 'job';
const CABINET = 'program/CabinetView.vue';
/** Shows the work of a job without its page. */
const UNIT = 'units/UnitPage.vue';

/** A file of a build, as far as it is looked at here. */
export interface BuiltFile {
  readonly fileName: string;
  readonly isEntry: boolean;
  readonly facadeModuleId: string | null;
  readonly imports: readonly string[];
  readonly moduleIds: readonly string[];
  /** What each module comes to, characters of the source as it is built in. */
  readonly modules: Readonly<Record<string, { readonly renderedLength: number }>>;
}

/** Files smaller than this, in characters before they are packed, are put together: each costs a way there and back more than its bytes. */
const SMALL = 12_000;

/**
 * Which file each module goes into, by its id; what is not named stays where the bundler puts it. A slow line pays a way there and back for each handful of files, and the bundler makes one
 * for every set of pages that share something, some seventy for the cabinet. Here what comes with the page of a job is one file, and of the rest what comes with the same stations. Nothing
 * is loaded that a page did not load before: what comes with the first page, or with any that has no job, is left alone.
 *
 * @param files of a build in which the bundler chose by itself: what it found unused is in none
 */
export function pageFiles(files: readonly BuiltFile[]): ReadonlyMap<string, string> {
  const byName = new Map(files.map((file) => [file.fileName, file]));
  const comesWith = (start: BuiltFile): ReadonlySet<string> => {
    const seen = new Set<BuiltFile>();
    const left = [start];
    for (let file = left.pop(); file !== undefined; file = left.pop()) {
      if (seen.has(file)) continue;
      seen.add(file);
      left.push(...file.imports.flatMap((name) => byName.get(name) ?? []));
    }
    return new Set([...seen].flatMap(({ moduleIds }) => moduleIds));
  };
  /** Of each module the pages that it comes with, each by the end of its path. */
  const pages = new Map<string, string[]>();
  for (const file of files) {
    if (file.facadeModuleId === null) continue;
    const known = [JOB, ...stationModules, CABINET, UNIT].find((end) =>
      file.facadeModuleId!.endsWith(`/src/${end}`),
    );
    const page = known ?? (file.isEntry ? FIRST : isLight(file.facadeModuleId) ? LIGHT : null);
    if (page === null) continue;
    for (const id of comesWith(file)) pages.set(id, [...(pages.get(id) ?? []), page]);
  }
  const named = new Map<string, string>();
  const alone = new Set(files.map(({ facadeModuleId }) => facadeModuleId));
  for (const [id, found] of pages) {
    // A page stays a file of its own: it is found by that. Helpers of the bundler belong to every page.
    if (alone.has(id) || id.startsWith('\0')) continue;
    if (found.includes(FIRST)) named.set(id, FIRST);
    if (found.includes(FIRST) || found.includes(LIGHT) || found.length < 2) continue;
    const places = found.includes(JOB) ? found.filter((end) => end === UNIT) : found;
    named.set(id, [WITH_JOB, ...places.map(shortName)].join('-'));
  }
  return withSmallTogether(named, files);
}

/** `program/CabinetView.vue`: `cabinet`. */
const shortName = (end: string): string => /\/(\w+?)(Station|Page|View)\.vue$/.exec(end)![1]!.toLowerCase();

/**
 * Gives small files one name. Only those that stand on nothing but what comes before all of them: whatever else they stand on would be loaded with them where it is not needed, and might stand
 * on one of them in its turn.
 */
function withSmallTogether(
  named: ReadonlyMap<string, string>,
  files: readonly BuiltFile[],
): ReadonlyMap<string, string> {
  const nameOf = ({ moduleIds }: BuiltFile) => moduleIds.map((id) => named.get(id)).find(Boolean) ?? null;
  const byName = new Map(files.map((file) => [file.fileName, file]));
  const groups = new Map<string, { size: number; readonly standsOn: Set<string> }>();
  for (const file of files) {
    const name = nameOf(file);
    if (name === null) continue;
    const group = groups.get(name) ?? { size: 0, standsOn: new Set() };
    groups.set(name, group);
    for (const { renderedLength } of Object.values(file.modules)) group.size += renderedLength;
    for (const imported of file.imports) {
      const other = byName.get(imported) && nameOf(byName.get(imported)!);
      if (other && other !== name) group.standsOn.add(other);
    }
  }
  const before = new Set([FIRST, WITH_JOB]);
  const together = new Set<string>();
  let grown = true;
  while (grown) {
    grown = false;
    for (const [name, { size, standsOn }] of groups) {
      if (size >= SMALL || before.has(name) || together.has(name) || name.includes(shortName(UNIT))) continue;
      if (![...standsOn].every((other) => before.has(other) || together.has(other))) continue;
      together.add(name);
      grown = true;
    }
  }
  return new Map([...named].map(([id, name]) => [id, together.has(name) ? 'job-small' : name] as const));
}

/** Pages that are opened without a job. */
const isLight = (id: string) =>
  /\/src\/(signin|today|jobs|units|audit|people|work|outbox)\/\w+Page\.vue$/.test(id);
