// Runs Brine Dial on a machine that has nothing but Node and Debian: installs, makes the database, builds, serves, stops again.
import { existsSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { ensureBuilt } from './lib/build.mjs';
import { ensurePackages } from './lib/npm.mjs';
import { readOptions } from './lib/options.mjs';
import { lanAddresses } from './lib/lan/names.mjs';
import { freePort, startCluster } from './lib/postgres.mjs';
import { homeFolder, root } from './lib/project.mjs';
import { start } from './lib/run.mjs';
import { startServers } from './lib/servers.mjs';
import { watchCluster } from './lib/watch.mjs';
import { fail, orFail, say } from './lib/say.mjs';

const options = readOptions(
  process.argv.slice(2),
  {
    port: { env: 'BRINE_PORT', default: '4780', help: 'port of the web page; 0 takes a free one' },
    data: {
      env: 'BRINE_DATA',
      default: join(homeFolder, 'postgresql'),
      help: 'folder of the private PostgreSQL cluster',
    },
    'database-url': {
      env: 'BRINE_DATABASE_URL',
      help: 'an existing PostgreSQL database instead of the private cluster',
    },
    'no-demo': {
      flag: true,
      env: 'BRINE_NO_DEMO',
      help: 'no demo data: prints a one-time link for the first lead',
    },
    lan: {
      flag: true,
      env: 'BRINE_LAN',
      help: 'serves HTTPS on the local network, with a certificate of its own and a page on which phones learn to trust it',
    },
    cert: { env: 'BRINE_TLS_CERT', help: 'your own certificate (PEM) for --lan' },
    key: { env: 'BRINE_TLS_KEY', help: 'the key of it (PEM)' },
    'trust-port': {
      env: 'BRINE_TRUST_PORT',
      help: 'port of that page, plain HTTP; by default the one after --port',
    },
    'public-url': { env: 'BRINE_PUBLIC_URL', help: 'address people type, for links' },
    'trust-proxy': {
      flag: true,
      env: 'BRINE_TRUST_PROXY',
      help: 'behind a reverse proxy that sets X-Forwarded-For and -Proto',
    },
    servers: {
      env: 'BRINE_SERVERS',
      default: '1',
      help: 'how many servers share the address and the database; one that dies is started again',
    },
    'backup-every': {
      env: 'BRINE_BACKUP_EVERY',
      default: '24',
      help: 'hours between backups of the private cluster; 0: none',
    },
    'backups-kept': { env: 'BRINE_BACKUPS_KEPT', default: '7', help: 'how many of them are kept' },
    log: { env: 'BRINE_LOG', default: 'warn', help: 'what the server logs: debug, info, warn, error' },
    'stand-in': {
      flag: true,
      help: 'a controller that is none beside it, on Modbus TCP: to be read and written on the first evening (docs/bus.md)',
    },
    dev: { flag: true, help: 'serves the sources with Vite and reloads (for developers)' },
  },
  'bin/start [options]   runs Brine Dial',
);

if (Boolean(options.cert) !== Boolean(options.key))
  fail('--cert and --key belong together: give both, or with --lan neither.');
for (const name of ['cert', 'key'])
  if (options[name] && !existsSync(options[name])) fail(`--${name}: no such file: ${options[name]}`);

/** Each holds up to a dozen connections, of the hundred that PostgreSQL gives. */
const MOST_SERVERS = 6;
const servers = Number(options.servers);
if (!(Number.isInteger(servers) && servers >= 1 && servers <= MOST_SERVERS))
  fail(`--servers: expected a number from 1 to ${MOST_SERVERS}.`);
/** A week; Node's timers hold no more than 24 days. */
const MOST_HOURS = 168;
const every = Number(options['backup-every']);
if (!(every >= 0 && every <= MOST_HOURS)) fail(`--backup-every: expected hours from 0 to ${MOST_HOURS}.`);
if (!/^[1-9]\d{0,3}$/.test(options['backups-kept']))
  fail('--backups-kept: expected a number from 1 to 9999.');

await orFail(ensurePackages);
const cluster = options['database-url'] ? null : await orFail(() => startCluster(resolve(options.data)));
const endWatch = cluster ? watchCluster(cluster) : () => undefined;
/** What serves; absent until it is built. */
let serving;
/** What phones on the network need, where the certificate is made here. */
let phones = null;
let stopping = false;

/** Ctrl-C reaches the server as well; it ends by itself, then the cluster is stopped. */
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'])
  process.on(signal, () => {
    stopping = true;
    endWatch();
    if (serving) serving.stop();
    else finish(0);
  });

try {
  if (!options.dev) ensureBuilt();
} catch (error) {
  say(String(error.message));
  finish(1);
}

if (!stopping) {
  // One that is started again comes back to the address that was printed.
  if (options.port === '0' && !options.dev) options.port = String(await freePort());
  if (options.lan && !options.cert) phones = await phonesOrFinish();
  serve();
  if (options['stand-in']) standIn();
  else if (!options['no-demo'])
    say(
      'With --stand-in a controller that is none answers on a bus beside it, to be read and written: docs/bus.md.',
    );
  if (cluster && every > 0) backUpEvery(every);
}

function serve() {
  const env = {
    ...process.env,
    BRINE_HOST: options.lan ? '0.0.0.0' : (process.env.BRINE_HOST ?? '127.0.0.1'),
    BRINE_PORT: options.port,
    BRINE_DATABASE_URL: options['database-url'] ?? cluster.url,
    BRINE_DATA_FOLDER: cluster?.home ?? '',
    BRINE_DEMO: options['no-demo'] ? '0' : '1',
    BRINE_LOG: options.log,
    BRINE_TRUST_PROXY: options['trust-proxy'] ? '1' : '0',
    ...(options['public-url'] && { BRINE_PUBLIC_URL: options['public-url'] }),
    BRINE_TLS_CERT: options.lan && options.cert ? resolve(options.cert) : '',
    BRINE_TLS_KEY: options.lan && options.key ? resolve(options.key) : '',
    ...(options.lan &&
      options.cert &&
      !options['public-url'] && {
        BRINE_PHONE_URL: `https://${lanAddresses()[0] ?? 'localhost'}:${options.port}`,
      }),
    ...phones?.env,
  };
  serving = options.dev ? developing(env) : startServers(servers, env, finish, () => phones?.tell());
}

/** A controller that is none, on this machine alone: a lead enters its address as a line of a site. */
function standIn() {
  const child = start(
    process.execPath,
    [
      '--import',
      'tsx',
      '--conditions=brine-src',
      'bus/src/standIn/main.ts',
      ...['--controller', 'demo/controllers/skerry-dx.controller.json', '--speed', '60'],
    ],
    { cwd: root, stdio: 'inherit' },
  );
  // It goes with everything else; the page goes on without it.
  process.on('exit', () => child.kill('SIGTERM'));
}

/** The certificate and the page of trust; without them nobody is served. */
async function phonesOrFinish() {
  try {
    // Only now: its packages may have been installed a moment ago.
    const { readyForPhones } = await import('./lib/lan/lan.mjs');
    return await readyForPhones({
      data: cluster ? resolve(options.data) : homeFolder,
      port: options.port,
      trustPort: Number(options['trust-port'] ?? Number(options.port) + 1),
      publicUrl: options['public-url'],
    });
  } catch (error) {
    say(`\n${error.message}`);
    return finish(1);
  }
}

function developing(env) {
  const child = start(process.execPath, ['scripts/dev.mjs'], {
    cwd: root,
    env,
    stdio: 'inherit',
    detached: true,
  });
  child.on('exit', (code, signal) => finish(stopping ? 0 : (code ?? (signal ? 1 : 0))));
  return { stop: () => child.kill('SIGTERM') };
}

/** Backs the private cluster up while it serves, one at a time; a failed backup is said and tried again at its next time. */
function backUpEvery(hours) {
  let running = false;
  const backUp = () => {
    if (running) return;
    running = true;
    const args = ['scripts/backup.mjs', '--data', options.data, '--keep', options['backups-kept']];
    start(process.execPath, args, { cwd: root, stdio: ['ignore', 'ignore', 'inherit'] }).on(
      'exit',
      (code) => {
        running = false;
        if (code !== 0) say('The scheduled backup failed; the reason stands above.');
      },
    );
  };
  setInterval(backUp, hours * 3600 * 1000).unref();
}

function finish(code) {
  phones?.stop();
  endWatch();
  cluster?.stop();
  process.exit(code);
}
