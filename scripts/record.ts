// Records what every command prints over examples, demo and seeded cases, or compares two recordings:
//   npm run record -- --out FILE [--checkout FOLDER] [--inputs FOLDER]
//   npm run record -- --compare A B
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { pathToFileURL } from 'node:url';
import { compareRecordings, type Recorded } from './record/compare.ts';
import { makeCases } from './record/cases.ts';

const root = resolve(import.meta.dirname, '..');
const argument = (name: string): string | undefined => {
  const at = process.argv.indexOf(name);
  return at < 0 ? undefined : process.argv[at + 1];
};

if (process.argv.includes('--compare')) {
  const [a, b] = process.argv.slice(process.argv.indexOf('--compare') + 1);
  if (!a || !b) throw new Error('--compare: expected two files');
  const { lines, differing } = compareRecordings(read(a), read(b));
  process.stdout.write(lines.join('\n') + '\n');
  process.exit(differing > 0 ? 1 : 0);
} else {
  const out = argument('--out');
  if (!out) throw new Error('--out: expected a file');
  const checkout = resolve(argument('--checkout') ?? root);
  const inputs = resolve(argument('--inputs') ?? root);
  // The cases lie in a folder of a fixed name, since sentences name the file.
  const folder = argument('--cases') ?? mkdtempSync(join(tmpdir(), 'brine-record-'));
  const cases = makeCases(inputs, folder);
  process.chdir(checkout);
  const { run } = (await import(pathToFileURL(join(checkout, 'cli/src/run.ts')).href)) as {
    run(argv: readonly string[]): { stdout: string; stderr: string; exitCode: number };
  };
  const recorded: Record<string, Recorded> = {};
  const bare = (text: string) => text.replaceAll(folder, '<cases>').replaceAll(inputs, '<inputs>');
  for (const { name, argv } of cases) {
    const { stdout, stderr, exitCode } = run(argv);
    recorded[name] = { stdout: bare(stdout), stderr: bare(stderr), exitCode };
  }
  writeFileSync(out, JSON.stringify(recorded, null, 1));
  const refused = Object.values(recorded).filter((r) => r.exitCode !== 0).length;
  process.stdout.write(`${cases.length} cases, ${refused} refused, to ${out}\n`);
}

function read(path: string): Readonly<Record<string, Recorded>> {
  return JSON.parse(readFileSync(path, 'utf8')) as Readonly<Record<string, Recorded>>;
}
