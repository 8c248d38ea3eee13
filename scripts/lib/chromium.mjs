import { existsSync, readdirSync, symlinkSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ensureDebian, environmentFor } from './debian.mjs';
import { folder } from './project.mjs';
import { has, read } from './run.mjs';

const SHELL = 'usr/lib/chromium/chromium-headless-shell';

/**
 * Chromium from Debian's packages: the program and the environment it runs in. Its headless shell where Debian has it, since it draws the same pages for half of the work; else the whole browser. Fonts come along,
 * since a page without any shows boxes.
 */
export function ensureChromium() {
  return headlessShell() ?? wholeBrowser();
}

function headlessShell() {
  if (!has('apt-get')) return null;
  try {
    const unpacked = ensureDebian(
      'chromium-headless-shell',
      ['chromium-headless-shell', 'fonts-dejavu-core'],
      (base) => existsSync(join(base ?? '/', SHELL)),
    );
    if (unpacked !== null) lendFiles(join(unpacked, 'usr/lib/chromium'));
    const program = join(unpacked ?? '/', SHELL);
    const env = fontsFor(unpacked, environmentFor(unpacked));
    const drawn = read(program, ['--no-sandbox', '--disable-gpu', '--dump-dom', 'data:text/html,ready'], {
      env,
    });
    return drawn?.includes('ready') ? { program, env } : null;
  } catch {
    return null;
  }
}

/** Where the system has the browser's common files, only the shell was unpacked: they are lent to it. */
function lendFiles(beside) {
  const system = '/usr/lib/chromium';
  if (existsSync(join(beside, 'icudtl.dat')) || !existsSync(system)) return;
  for (const name of readdirSync(system))
    if (!existsSync(join(beside, name))) symlinkSync(join(system, name), join(beside, name));
}

function wholeBrowser() {
  const unpacked = ensureDebian(
    'chromium',
    ['chromium', 'fonts-dejavu-core'],
    (base) => programIn(base) !== null,
  );
  return { program: programIn(unpacked), env: fontsFor(unpacked, environmentFor(unpacked)) };
}

function programIn(base) {
  if (base === null) {
    if (!has('chromium') || !existsSync('/usr/lib/chromium/chromium')) return null;
    return read('sh', ['-c', 'command -v chromium'])?.trim() ?? null;
  }
  // The wrapper script of the package names system paths: the program itself is started instead.
  const program = join(base, 'usr/lib/chromium/chromium');
  return existsSync(program) ? program : null;
}

/** Unpacked fonts lie where no system configuration looks: a configuration of our own names both places. */
function fontsFor(unpacked, env) {
  if (unpacked === null) return env;
  const file = join(folder('fonts'), 'fonts.conf');
  const folders = [join(unpacked, 'usr/share/fonts'), '/usr/share/fonts']
    .map((path) => `<dir>${path}</dir>`)
    .join('');
  writeFileSync(
    file,
    `<?xml version="1.0"?><!DOCTYPE fontconfig SYSTEM "fonts.dtd"><fontconfig>${folders}<cachedir>${folder('fonts', 'cache')}</cachedir></fontconfig>`,
  );
  return { ...env, FONTCONFIG_FILE: file };
}
