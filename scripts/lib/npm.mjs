import { cpSync, existsSync, mkdirSync, readFileSync, renameSync, rmSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { root } from './project.mjs';
import { run } from './run.mjs';
import { say } from './say.mjs';

/** Installs the npm packages of the lock file where what is there is not what it names. What is there stays until the new ones are whole. */
export function ensurePackages() {
  const wrong = unlikeTheLock();
  if (wrong === null) return;
  const anew = existsSync(join(root, 'node_modules'));
  say(
    anew
      ? `Bringing the npm packages up to the lock file (${wrong}) …`
      : 'Installing the npm packages (about a minute the first time) …',
  );
  const beside = join(root, `.install-${process.pid}`);
  try {
    installInto(beside);
    swapIn(beside);
  } catch (error) {
    throw new Error(
      `${error.message}. The npm packages could not be installed; npm's own words stand above.${anew ? ' The ones from before are untouched.' : ''} Check the connection to the registry, then run this again.`,
    );
  } finally {
    rmSync(beside, { recursive: true, force: true });
  }
}

/** What npm recorded of its last install, held against the lock file: the first package that differs, or null where all are alike. */
export function unlikeTheLock(base = root) {
  const recorded = join(base, 'node_modules/.package-lock.json');
  if (!existsSync(recorded)) return 'nothing is installed';
  const wanted = packagesOf(join(base, 'package-lock.json'));
  const there = packagesOf(recorded);
  for (const [path, { version, integrity, link, optional, peer }] of Object.entries(wanted)) {
    if (!path.includes('node_modules/')) continue;
    const found = there[path];
    const name = path.replace(/^.*node_modules\//, '');
    if (link) {
      if (!existsSync(join(base, path))) return `${name} is missing`;
    } else if (!found) {
      // Packages of other systems, and peers that nobody asked for, are in the lock file and on no disk.
      if (!optional && !peer) return `${name} is missing`;
    } else if (found.version !== version || found.integrity !== integrity)
      return `${name} is ${found.version}, the lock file has ${version}`;
    // What was recorded may have been deleted since.
    else if (!existsSync(join(base, path))) return `${name} is missing`;
  }
  return null;
}

const packagesOf = (file) => JSON.parse(readFileSync(file, 'utf8')).packages ?? {};

/** The folders that may have packages of their own: the checkout and its workspaces. */
const folders = () => ['.', ...JSON.parse(readFileSync(join(root, 'package.json'), 'utf8')).workspaces];

function installInto(beside) {
  rmSync(beside, { recursive: true, force: true });
  for (const file of [
    'package-lock.json',
    '.npmrc',
    ...folders().map((folder) => join(folder, 'package.json')),
  ]) {
    if (!existsSync(join(root, file))) continue;
    mkdirSync(dirname(join(beside, file)), { recursive: true });
    cpSync(join(root, file), join(beside, file));
  }
  run('npm', ['ci', '--no-audit', '--no-fund'], { cwd: beside, stdio: ['ignore', 'ignore', 'inherit'] });
}

/** Renames, so that there is no moment with half of the packages; links between workspaces are relative and hold in the new place. */
function swapIn(beside) {
  for (const folder of folders()) {
    const [fresh, place, old] = [
      join(beside, folder, 'node_modules'),
      join(root, folder, 'node_modules'),
      join(beside, folder, 'old'),
    ];
    if (existsSync(place)) renameSync(place, old);
    try {
      if (existsSync(fresh)) renameSync(fresh, place);
    } catch (error) {
      if (existsSync(old)) renameSync(old, place);
      throw error;
    }
  }
}
