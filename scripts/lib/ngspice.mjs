import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { ensureDebian, environmentFor } from './debian.mjs';
import { has, read } from './run.mjs';

/** ngspice from Debian's packages, the second opinion on the circuit solver: the program and the environment it runs in. */
export function ensureNgspice() {
  const unpacked = ensureDebian('ngspice', ['ngspice'], (base) => programIn(base) !== null);
  return { program: programIn(unpacked), env: environmentFor(unpacked) };
}

function programIn(base) {
  if (base === null) return has('ngspice') ? read('sh', ['-c', 'command -v ngspice']).trim() : null;
  const program = join(base, 'usr/bin/ngspice');
  return existsSync(program) ? program : null;
}
