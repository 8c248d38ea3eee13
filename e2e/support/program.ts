import { spawn, type ChildProcess } from 'node:child_process';
import { text } from 'node:stream/consumers';
import { fileURLToPath } from 'node:url';

const root = fileURLToPath(new URL('../..', import.meta.url));

/** One of the programs of `bin/`, as a person starts it at a terminal. */
export interface StartedProgram {
  readonly address: string;
  readonly seconds: number;
  output(): string;
  /** What the terminal does at Ctrl-C: the signal reaches every process of the foreground group. Resolves with the exit code. */
  interrupt(): Promise<number | null>;
}

const running = new Set<() => Promise<number | null>>();

/** Ends what a failed test left running. */
export async function interruptAll(): Promise<void> {
  await Promise.all([...running].map((interrupt) => interrupt()));
}

/** Runs `bin/start` until it prints its address. */
export function startProgram(args: readonly string[], env: NodeJS.ProcessEnv = {}): Promise<StartedProgram> {
  const began = Date.now();
  const child: ChildProcess = spawn('bin/start', args, {
    cwd: root,
    env: { ...process.env, ...env },
    stdio: ['ignore', 'pipe', 'pipe'],
    detached: true,
  });
  let printed = '';
  const ended = new Promise<number | null>((resolve) => child.once('exit', (code) => resolve(code)));
  const interrupt = () => {
    if (running.delete(interrupt)) process.kill(-child.pid!, 'SIGINT');
    return ended;
  };
  running.add(interrupt);
  void ended.then(() => running.delete(interrupt));
  return new Promise((resolve, reject) => {
    const timer = setTimeout(() => {
      void interrupt();
      reject(new Error(`bin/start printed no address:\n${printed}`));
    }, 120_000);
    const read = (chunk: Buffer) => {
      printed += chunk.toString();
      const ready = /READY (\S+)/.exec(printed);
      if (!ready) return;
      clearTimeout(timer);
      setTimeout(
        () =>
          resolve({
            address: ready[1]!,
            seconds: (Date.now() - began) / 1000,
            output: () => printed,
            interrupt,
          }),
        50,
      );
    };
    child.stdout!.on('data', read);
    child.stderr!.on('data', read);
    void ended.then((code) => reject(new Error(`bin/start ended with ${code}:\n${printed}`)));
  });
}

/** What a program said, and how it ended. */
export interface EndedProgram {
  readonly code: number | null;
  readonly stdout: string;
  readonly stderr: string;
}

/** Runs one of the programs to its end. Never in step with this process: the other lane presses keys meanwhile, and a press that hangs is a hold. */
export function runProgram(
  program: string,
  args: readonly string[],
  env: NodeJS.ProcessEnv = {},
): Promise<EndedProgram> {
  const child = spawn(program, args, {
    cwd: root,
    env: { ...process.env, ...env },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  const [stdout, stderr] = [text(child.stdout), text(child.stderr)];
  return new Promise((resolve, reject) => {
    child.once('error', reject);
    child.once('close', (code) => {
      void Promise.all([stdout, stderr]).then(([out, err]) => resolve({ code, stdout: out, stderr: err }));
    });
  });
}
