import { spawn } from 'node:child_process';
import { join } from 'node:path';

/** One psql that stays on its connection: several statements see the same transaction. Statements are ours, never a person's. */
export function openSession(postgres, url) {
  const child = spawn(
    join(postgres.bin, 'psql'),
    ['-X', '-A', '-t', '-q', '-v', 'ON_ERROR_STOP=1', '-d', url],
    {
      env: postgres.env,
      stdio: ['pipe', 'pipe', 'pipe'],
    },
  );
  let printed = '';
  let complaint = '';
  let waiting = null;
  let count = 0;
  child.stdout.on('data', (chunk) => {
    printed += chunk;
    look();
  });
  child.stderr.on('data', (chunk) => (complaint += chunk));
  child.stdin.on('error', () => undefined);
  let ended = false;
  const why = () => new Error(complaint.trim() || 'psql ended');
  child.on('close', () => {
    ended = true;
    waiting?.reject(why());
  });
  function look() {
    const end = waiting ? printed.indexOf(waiting.mark) : -1;
    if (end < 0) return;
    const answer = printed.slice(0, end).trim();
    printed = printed.slice(end + waiting.mark.length);
    const { resolve } = waiting;
    waiting = null;
    resolve(answer);
  }
  return {
    /** What a statement printed, bare. */
    ask: (sql) =>
      new Promise((resolve, reject) => {
        if (ended) return reject(why());
        waiting = { mark: `--answered-${(count += 1)}--`, resolve, reject };
        child.stdin.write(`${sql};\n\\echo ${waiting.mark}\n`);
      }),
    close: () => {
      waiting = null;
      child.stdin.end('\\q\n');
    },
  };
}
