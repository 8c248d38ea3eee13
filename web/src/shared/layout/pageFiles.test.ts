import { expect, test } from '@jest/globals';
import { pageFiles, type BuiltFile } from '../../../pageFiles.ts';

/** A file as a build has it: what opens it, what it imports, and the modules in it with their lengths. */
function file(
  name: string,
  opens: string | null,
  imports: readonly string[],
  modules: Readonly<Record<string, number>>,
): BuiltFile {
  const own = opens === null ? [] : [[opens, 10_000] as const];
  const lengths = [...own, ...Object.entries(modules)];
  return {
    fileName: name,
    isEntry: opens?.endsWith('main.ts') ?? false,
    facadeModuleId: opens,
    imports,
    moduleIds: lengths.map(([id]) => id),
    modules: Object.fromEntries(lengths.map(([id, renderedLength]) => [id, { renderedLength }])),
  };
}

const page = (path: string) => `/work/web/src/${path}`;
const built = [
  file('index', page('main.ts'), ['values'], { router: 5000 }),
  file('values', null, [], { quantities: 20_000, '\0helper': 100 }),
  file('jobs', page('jobs/JobsPage.vue'), ['values', 'goods'], {}),
  file('goods', null, [], { goods: 30_000 }),
  file('job', page('jobs/JobPage.vue'), ['record', 'goods', 'plates'], {}),
  file('record', null, ['circuit'], { fold: 40_000 }),
  file('circuit', null, [], { circuit: 30_000 }),
  file('plates', null, [], { plates: 13_000 }),
  file('unit', page('units/UnitPage.vue'), ['plates', 'marks'], {}),
  file('program', page('program/ProgramStation.vue'), ['record', 'plan', 'bits', 'marks'], {}),
  file('prove', page('prove/ProveStation.vue'), ['record', 'plan'], {}),
  file('wire', page('wire/WireStation.vue'), ['circuit', 'bits'], {}),
  file('survey', page('survey/SurveyStation.vue'), ['alone'], {}),
  file('plan', null, ['circuit'], { plan: 25_000 }),
  file('bits', null, [], { bit: 500 }),
  file('marks', null, [], { mark: 400 }),
  file('alone', null, [], { question: 9000 }),
];

test('what comes with the page of a job is one file, what the same stations need another, and small ones lie together', () => {
  const files = pageFiles(built);
  // With the page of every job, and with that of a unit.
  expect([files.get('fold'), files.get('circuit')]).toEqual(['job', 'job']);
  expect(files.get('plates')).toBe('job-unit');
  expect(files.get('plan')).toBe('job-program-prove');
  expect(files.get('bit')).toBe('job-small');
});

test('the first page is one file, and loads nothing of a job; pages without one load what they did', () => {
  const files = pageFiles(built);
  expect([files.get('quantities'), files.get('router')]).toEqual(['first', 'first']);
  // Of a page without a job, of one station alone, small but of a unit’s page, and pages themselves: where the bundler puts them.
  for (const left of ['goods', 'question', '\0helper', page('jobs/JobPage.vue'), page('main.ts')])
    expect([left, files.get(left)]).toEqual([left, undefined]);
  expect(files.get('mark')).not.toBe('job-small');
});

test('no page loads a module that it did not load before, but for the small ones', () => {
  const files = pageFiles(built);
  const byName = new Map(built.map((one) => [one.fileName, one]));
  const before = (name: string): ReadonlySet<string> =>
    new Set([
      ...byName.get(name)!.moduleIds,
      ...byName.get(name)!.imports.flatMap((next) => [...before(next)]),
    ]);
  const small = [...files].filter(([, name]) => name === 'job-small').map(([id]) => id);
  for (const { fileName, facadeModuleId } of built) {
    if (facadeModuleId === null || facadeModuleId.endsWith('main.ts')) continue;
    // Whatever is opened by itself has the first page before it.
    const had = new Set([...before(fileName), ...before('index')]);
    const names = new Set([...had].map((id) => files.get(id)).filter((name) => name !== undefined));
    const loads = [...files].filter(([, name]) => names.has(name)).map(([id]) => id);
    // A station stands on the page of its job.
    if (/Station\.vue$/.test(facadeModuleId)) for (const id of before('job')) had.add(id);
    expect([fileName, loads.filter((id) => !had.has(id) && !small.includes(id))]).toEqual([fileName, []]);
  }
});

test('small files that stand on a larger one, which stands on a small one, are not put together', () => {
  // Program and Wire share a small thing on a large one of theirs and Prove, which stands on a small one of four stations.
  const stations = ['program', 'wire', 'prove', 'fit'];
  const imports: Readonly<Record<string, readonly string[]>> = {
    program: ['upper', 'middle', 'lower'],
    wire: ['upper', 'middle', 'lower'],
    prove: ['middle', 'lower'],
    fit: ['lower'],
  };
  const files = pageFiles([
    ...stations.map((name) =>
      file(name, page(`${name}/${name[0]!.toUpperCase()}${name.slice(1)}Station.vue`), imports[name]!, {}),
    ),
    file('upper', null, ['middle'], { upper: 500 }),
    file('middle', null, ['lower'], { middle: 50_000 }),
    file('lower', null, [], { lower: 500 }),
  ]);
  expect(files.get('lower')).toBe('job-small');
  expect(files.get('upper')).not.toBe('job-small');
});
