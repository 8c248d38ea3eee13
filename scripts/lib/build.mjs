import { existsSync, readdirSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './project.mjs';
import { run } from './run.mjs';
import { say } from './say.mjs';

const sources = [
  'core/src',
  'contract/src',
  'server/src',
  'cli/src',
  'web/src',
  'web/index.html',
  // What builds the pages lies beside their sources.
  ...readdirSync(join(root, 'web'))
    .filter((name) => /\.(ts|m?js)$/.test(name))
    .map((name) => `web/${name}`),
  'web/public',
  'package-lock.json',
  'tsconfig.base.json',
];
const products = [
  'core/dist/foundation/quantities/index.js',
  'core/dist/record/job/index.js',
  'contract/dist/routes/index.js',
  'server/dist/main.js',
  'cli/dist/main.js',
  'web/dist/index.html',
];

/** Builds everything where a source is newer than the oldest product. */
export function ensureBuilt() {
  const newest = Math.max(...sources.map((path) => newestIn(join(root, path))));
  const oldest = Math.min(
    ...products.map((path) => (existsSync(join(root, path)) ? statSync(join(root, path)).mtimeMs : 0)),
  );
  if (oldest > newest) return;
  say('Building …');
  run('npm', ['run', '--silent', 'build'], { cwd: root, stdio: ['ignore', 'ignore', 'inherit'] });
  touchProducts();
}

/** `tsc -b` leaves files alone whose text did not change; their date must say that they are current all the same. */
function touchProducts() {
  run(
    'touch',
    products.map((path) => join(root, path)),
  );
}

function newestIn(path) {
  if (!existsSync(path)) return 0;
  const status = statSync(path);
  if (!status.isDirectory()) return status.mtimeMs;
  return Math.max(0, ...readdirSync(path).map((item) => newestIn(join(path, item))));
}
