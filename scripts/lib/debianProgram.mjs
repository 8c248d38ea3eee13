import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { ensureDebian, environmentFor } from './debian.mjs';
import { has, read } from './run.mjs';

/**
 * A program from Debian's packages that tests hold the work against, such as ngspice for the circuit solver and mbpoll for the bus: where it is, and the environment it runs in.
 * Package and program are named alike.
 */
export function ensureDebianProgram(name) {
  const programIn = (base) => {
    if (base === null) return has(name) ? read('sh', ['-c', `command -v ${name}`]).trim() : null;
    const program = join(base, 'usr/bin', name);
    return existsSync(program) ? program : null;
  };
  const unpacked = ensureDebian(name, [name], (base) => programIn(base) !== null);
  return { program: programIn(unpacked), env: environmentFor(unpacked) };
}
