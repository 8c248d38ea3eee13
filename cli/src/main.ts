import { writeSync } from 'node:fs';
import { runWithFiles } from './run.ts';

const outcome = await runWithFiles(process.argv.slice(2));
// Synchronous, so that a long table is not cut off at the exit when stdout is a pipe.
writeAll(1, outcome.stdout);
writeAll(2, outcome.stderr);
process.exitCode = outcome.exitCode;

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
