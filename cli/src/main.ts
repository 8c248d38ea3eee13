import { writeSync } from 'node:fs';
import { runWithFiles } from './run.ts';

const argv = process.argv.slice(2);
const outcome = await (argv[0] === 'link' ? linked() : runWithFiles(argv));
// Synchronous, so that a long table is not cut off at the exit when stdout is a pipe.
writeAll(1, outcome.stdout);
writeAll(2, outcome.stderr);
process.exitCode = outcome.exitCode;

/** Runs until it is interrupted; says on stderr what happens. Read when it is wanted: no other command knows of lines. */
async function linked() {
  const { link } = await import('./link.ts');
  const off = new AbortController();
  for (const name of ['SIGINT', 'SIGTERM'] as const) process.once(name, () => off.abort());
  return link(argv.slice(1), (words) => writeAll(2, `${words}\n`), off.signal);
}

function writeAll(descriptor: number, text: string): void {
  const bytes = Buffer.from(text, 'utf8');
  for (let done = 0; done < bytes.length;) {
    try {
      done += writeSync(descriptor, bytes, done);
    } catch (error) {
      if ((error as NodeJS.ErrnoException).code === 'EPIPE') return;
      if ((error as NodeJS.ErrnoException).code !== 'EAGAIN') throw error;
    }
  }
}
