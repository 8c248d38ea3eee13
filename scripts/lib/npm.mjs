import { createHash } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './project.mjs';
import { run } from './run.mjs';
import { say } from './say.mjs';

const stamp = join(root, 'node_modules', '.brine-lock-hash');

/** Installs the npm packages of the lock file where they are missing or another lock file was installed. */
export function ensurePackages() {
  const wanted = createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .digest('hex');
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return;
  say('Installing the npm packages (about a minute the first time) …');
  try {
    run('npm', ['ci', '--no-audit', '--no-fund'], { cwd: root, stdio: ['ignore', 'ignore', 'inherit'] });
  } catch (error) {
    throw new Error(
      `${error.message}. The npm packages could not be installed; npm's own words stand above. Check the connection to the registry, then run this again.`,
    );
  }
  writeFileSync(stamp, wanted);
}
