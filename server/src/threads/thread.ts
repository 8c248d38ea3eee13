import { setPriority } from 'node:os';
import { tasks, type TaskName } from './tasks.ts';

/** Below the thread that answers requests, so that it is served first on a machine that has no core to spare. */
const NICE = 10;
try {
  // On Linux this is the calling thread alone; elsewhere it may be refused, which costs nothing but the order.
  if (process.platform === 'linux') setPriority(0, NICE);
} catch {
  // As it was, then.
}

/** A thread of the pool: a task's name and input in, its output out. */
export default function run({
  name,
  input,
}: {
  readonly name: TaskName;
  readonly input: unknown;
}): Promise<unknown> {
  return Promise.resolve(tasks[name](input as never));
}
