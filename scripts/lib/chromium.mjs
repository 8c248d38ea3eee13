import { existsSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ensureDebian, environmentFor } from './debian.mjs';
import { folder } from './project.mjs';
import { has, read } from './run.mjs';

/** Chromium from Debian's packages: the program and the environment it runs in. Fonts come along, since a page without any shows boxes. */
export function ensureChromium() {
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
