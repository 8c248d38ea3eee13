// Checks everything: types, lint, unit and integration tests, end-to-end tests in Chromium. Ends with a line `N passed, N failed`.
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { spawn, spawnSync } from 'node:child_process';
import { ensureBuilt } from './lib/build.mjs';
import { ensureChromium } from './lib/chromium.mjs';
import { ensureDebianProgram } from './lib/debianProgram.mjs';
import { ensurePackages } from './lib/npm.mjs';
import { readOptions } from './lib/options.mjs';
import { startCluster, throwAwayFolder } from './lib/postgres.mjs';
import { root } from './lib/project.mjs';
import { orFail, say } from './lib/say.mjs';

const options = readOptions(
  process.argv.slice(2),
  {
    unit: { flag: true, help: 'only Jest: core, server, command line, web, scripts' },
    e2e: { flag: true, help: 'only the end-to-end tests' },
    chaos: {
      flag: true,
      help: 'only what is hard on it: 100 servers and 30 PostgreSQLs killed under load, a full disk (some ten minutes)',
    },
    fuzz: { flag: true, help: 'only damaged files and hostile requests: 10,000 (minutes)' },
    long: { flag: true, help: 'tests that try many cases try all that an issue asks for (minutes each)' },
    seed: { help: 'the seed of --fuzz; a number' },
    only: { default: '', help: 'only tests whose path (Jest) or name (end-to-end) holds this' },
  },
  'bin/test [options]   checks everything',
);
const started = Date.now();
const all = !options.unit && !options.e2e && !options.chaos && !options.fuzz;
const results = mkdtempSync(join(tmpdir(), 'brine-results-'));
let passed = 0;
let failed = 0;

await orFail(ensurePackages);
const chromium = all || options.e2e ? await orFail(ensureChromium) : null;
const unit = all || options.unit || options.fuzz;
const ngspice = unit ? await orFail(() => ensureDebianProgram('ngspice')) : null;
const mbpoll = unit ? await orFail(() => ensureDebianProgram('mbpoll')) : null;
const clusterFolder = throwAwayFolder('test');
const cluster = await orFail(() => startCluster(clusterFolder));
process.on('SIGINT', () => finish(130));
process.on('SIGTERM', () => finish(143));

try {
  if (all) {
    // The packages first, since the pages and the tests see what they declare; then two at a time: each keeps one core.
    await sideBySide([['types of the packages', 'npm', ['run', '--silent', 'types:packages']]]);
    await sideBySide(
      [['lint of server and pages', 'npm', ['run', '--silent', 'lint:pages']]],
      [
        ['types of the pages', 'npm', ['run', '--silent', 'types:pages']],
        ['types of the tests', 'npx', ['--no-install', 'tsc', '-p', 'tsconfig.tests.json']],
        ['nothing unused', 'npm', ['run', '--silent', 'unused']],
        ['lint of the rest', 'npm', ['run', '--silent', 'lint:core']],
        ['layout, words, schemas, the drawing', 'npm', ['run', '--silent', 'lint:layout']],
      ],
    );
  }
  if (all || options.unit) jest(options.only);
  if (options.fuzz)
    jest('(cli/src/fuzz|server/src/http/hostile)', {
      BRINE_FUZZ: '1',
      ...(options.seed && { BRINE_FUZZ_SEED: options.seed }),
    });
  if (all || options.e2e) endToEnd();
  if (options.chaos) chaos('--server-kills', 100, '--cluster-kills', 30, '--units', 2000, '--disk-full', 1);
  else if (all) chaos('--server-kills', 4, '--cluster-kills', 2);
} catch (error) {
  say(String(error.stack ?? error));
  failed += 1;
}
finish(failed > 0 ? 1 : 0);

/** Checks that pass or fail as one each, one after the other within a lane; what a check prints is shown when it ends. */
async function sideBySide(...lanes) {
  await Promise.all(
    lanes.map(async (checks) => {
      for (const [name, command, args] of checks) {
        const began = Date.now();
        const { code, printed } = await read(command, args);
        say(`\n== ${name}\n${printed.trimEnd()}`);
        say(`${code === 0 ? 'ok   ' : 'FAIL '} ${name} (${secondsSince(began)} s)`);
        if (code === 0) passed += 1;
        else failed += 1;
      }
    }),
  );
}

function read(command, args) {
  return new Promise((done) => {
    const child = spawn(command, args, { cwd: root, stdio: ['ignore', 'pipe', 'pipe'] });
    let printed = '';
    const add = (piece) => (printed += piece);
    child.stdout.on('data', add);
    child.stderr.on('data', add);
    child.on('error', (error) => done({ code: 1, printed: String(error) }));
    child.on('close', (code) => done({ code: code ?? 1, printed }));
  });
}

function jest(only, env = {}) {
  say('\n== Jest');
  const file = join(results, 'jest.json');
  const args = [
    'node_modules/jest/bin/jest.js',
    '--json',
    `--outputFile=${file}`,
    '--silent=false',
    ...(only ? [only] : []),
  ];
  const nodeOptions =
    `${process.env.NODE_OPTIONS ?? ''} --experimental-vm-modules --disable-warning=ExperimentalWarning`.trim();
  const status = runIn(process.execPath, args, {
    BRINE_TEST_DATABASE_URL: cluster.url,
    NODE_OPTIONS: nodeOptions,
    BRINE_TEST_PG_BIN: cluster.postgres.bin,
    BRINE_NGSPICE: ngspice.program,
    BRINE_NGSPICE_LIBRARIES: ngspice.env.LD_LIBRARY_PATH ?? '',
    BRINE_MBPOLL: mbpoll.program,
    BRINE_MBPOLL_LIBRARIES: mbpoll.env.LD_LIBRARY_PATH ?? '',
    ...(options.long && { BRINE_LONG: '1' }),
    ...env,
  });
  count(file, status, (json) => ({
    passed: json.numPassedTests,
    failed: json.numFailedTests + json.numRuntimeErrorTestSuites + json.numPendingTests,
  }));
}

function endToEnd() {
  say('\n== end to end');
  ensureBuilt();
  const file = join(results, 'e2e.json');
  const env = {
    ...chromiumEnv(),
    BRINE_TEST_DATABASE_URL: cluster.url,
    BRINE_CHROMIUM: chromium.program,
    BRINE_RESULTS: file,
    ...(options.long && { BRINE_LONG: '1' }),
  };
  const status = runIn(
    process.execPath,
    ['--import', 'tsx', '--conditions=brine-src', 'e2e/run.ts', ...(options.only ? [options.only] : [])],
    env,
  );
  count(file, status, (json) => json);
}

/** Servers and PostgreSQL are killed under load; the figures are printed. */
function chaos(...asked) {
  say('\n== killed under load');
  ensureBuilt();
  const file = join(results, 'chaos.json');
  const status = runIn(
    process.execPath,
    ['--import', 'tsx', '--conditions=brine-src', 'e2e/chaos/run.ts', ...asked.map(String)],
    { BRINE_RESULTS: file },
  );
  count(file, status, (json) => json);
}

/** Only what Chromium needs beyond our own environment. */
function chromiumEnv() {
  return Object.fromEntries(
    Object.entries(chromium.env).filter(([name, value]) => process.env[name] !== value),
  );
}

/** A runner that left no count, or ended badly without a failure counted, is a failure itself: nothing is skipped silently. */
function count(file, status, read) {
  if (!existsSync(file)) {
    failed += 1;
    return;
  }
  const found = read(JSON.parse(readFileSync(file, 'utf8')));
  passed += found.passed;
  failed += found.failed;
  if (status !== 0 && found.failed === 0) failed += 1;
}

function runIn(command, args, env) {
  const began = Date.now();
  const result = spawnSync(command, args, {
    cwd: root,
    env: { ...process.env, ...env },
    stdio: ['ignore', 'inherit', 'inherit'],
  });
  say(`took ${secondsSince(began)} s`);
  return result.status ?? 1;
}

function secondsSince(began) {
  return Math.round((Date.now() - began) / 1000);
}

function finish(code) {
  cluster.stop();
  rmSync(clusterFolder, { recursive: true, force: true });
  rmSync(results, { recursive: true, force: true });
  say(`\nin ${secondsSince(started)} s`);
  process.stdout.write(`\n${passed} passed, ${failed} failed\n`);
  process.exit(code);
}
