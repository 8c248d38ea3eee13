import { existsSync, mkdirSync, readdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { folder } from './project.mjs';
import { has, isRoot, read, run } from './run.mjs';
import { fail, say } from './say.mjs';

/**
 * Brings Debian packages: as root with apt-get; as an ordinary user with sudo where it asks for no password; else downloads them and
 * unpacks them into the project's own folder. Returns the folder they were unpacked into, or null where the system has them.
 */
export function ensureDebian(name, packages, isInstalled) {
  if (isInstalled(null)) return null;
  const unpacked = folder('debian', name);
  const done = join(unpacked, '.done');
  if (existsSync(done) && isInstalled(unpacked)) return unpacked;
  if (!has('apt-get'))
    fail(`${packages.join(', ')} is missing and this is no Debian machine: install it, then start again.`);
  const sudo = isRoot ? [] : mayUseSudo() ? ['sudo', '-n'] : null;
  if (sudo && process.env.BRINE_UNPACK !== '1') {
    installWithApt(sudo, packages);
    if (!isInstalled(null)) fail(`${packages.join(', ')} was installed but is not found.`);
    return null;
  }
  unpackPackages(unpacked, packages);
  writeFileSync(done, packages.join('\n'));
  if (!isInstalled(unpacked))
    fail(`${packages.join(', ')} was unpacked into ${unpacked} but is not found there.`);
  return unpacked;
}

/** The environment in which unpacked programs find their libraries and data. */
export function environmentFor(unpacked) {
  if (unpacked === null) return process.env;
  const libraries = ['usr/lib', 'lib'].flatMap((base) => {
    const machine = join(unpacked, base);
    if (!existsSync(machine)) return [];
    const triplets = readdirSync(machine)
      .filter((item) => /-linux-gnu/.test(item))
      .map((item) => join(machine, item));
    // Some packages keep their libraries one folder deeper.
    return [...triplets, ...triplets.flatMap((dir) => subfolders(dir)), machine];
  });
  return {
    ...process.env,
    LD_LIBRARY_PATH: [...libraries, process.env.LD_LIBRARY_PATH].filter(Boolean).join(':'),
    XDG_DATA_DIRS: [
      join(unpacked, 'usr/share'),
      process.env.XDG_DATA_DIRS ?? '/usr/local/share:/usr/share',
    ].join(':'),
  };
}

function subfolders(dir) {
  return readdirSync(dir, { withFileTypes: true })
    .filter((item) => item.isDirectory() && ['pulseaudio', 'nss', 'blas', 'lapack'].includes(item.name))
    .map((item) => join(dir, item.name));
}

function mayUseSudo() {
  return has('sudo') && read('sudo', ['-n', 'true']) !== null;
}

function installWithApt(sudo, packages) {
  say(`Installing from Debian: ${packages.join(' ')} …`);
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  const [command, ...before] = [...sudo, 'apt-get'];
  const quiet = { env, stdio: ['ignore', 'ignore', 'inherit'] };
  run(command, [...before, '-q', '-o', 'DPkg::Lock::Timeout=300', 'update'], quiet);
  run(
    command,
    [
      ...before,
      '-q',
      '-y',
      '--no-install-recommends',
      '-o',
      'DPkg::Lock::Timeout=300',
      'install',
      ...packages,
    ],
    quiet,
  );
}

/** apt as an ordinary user: its lists and cache in our folder, the system's list of installed packages read only. */
function unpackPackages(target, packages) {
  say(`Downloading from Debian and unpacking into ${target}: ${packages.join(' ')} …`);
  const state = folder('apt', 'state');
  const cache = folder('apt', 'cache');
  mkdirSync(join(state, 'lists', 'partial'), { recursive: true });
  mkdirSync(join(cache, 'archives', 'partial'), { recursive: true });
  const options = [
    `Dir::State=${state}`,
    `Dir::State::Lists=${state}/lists`,
    'Dir::State::status=/var/lib/dpkg/status',
    `Dir::Cache=${cache}`,
    'APT::Sandbox::User=',
    'Debug::NoLocking=1',
    'APT::Install-Recommends=false',
  ].flatMap((option) => ['-o', option]);
  const quiet = { stdio: ['ignore', 'ignore', 'inherit'] };
  run('apt-get', [...options, '-q', 'update'], quiet);
  run('apt-get', [...options, '-q', '-y', '--download-only', 'install', ...packages], quiet);
  const archives = join(cache, 'archives');
  for (const archive of readdirSync(archives).filter((file) => file.endsWith('.deb')))
    run('dpkg', ['-x', join(archives, archive), target], quiet);
}
