import { databaseAway } from '../http/errors.ts';

/** What is asked of the database: a statement with its values. */
export interface Question {
  readonly sql: string;
  readonly values: readonly unknown[];
  /** Whether the statement is planned once and kept. */
  readonly prepared: boolean;
}

export type Ask = (question: Question) => Promise<object[]>;

interface Waiting {
  readonly question: Question;
  readonly since: number;
  readonly answer: Promise<object[]>;
  readonly settle: Settle;
}

interface Settle {
  resolve(rows: object[]): void;
  reject(error: unknown): void;
}

/**
 * Lets at most so many questions be under way at once; whoever comes later waits in turn. Those who wait with the same question are given one answer: it is asked for after the last of them
 * came, so nobody is told less than was kept when they asked. After a change on twenty open pages, all of which ask anew, a list is read a few times instead of twenty. Rows are shared: they
 * must not be changed.
 *
 * @param longestWaitMs whoever waited longer for their turn is told that the database does not answer
 */
export function together(
  ask: Ask,
  most: number,
  longestWaitMs: number,
  now: () => number = () => performance.now(),
): Ask {
  const waiting = new Map<string, Waiting>();
  let underWay = 0;

  async function send(question: Question, settle: Settle): Promise<void> {
    underWay += 1;
    try {
      settle.resolve(await ask(question));
    } catch (error) {
      settle.reject(error);
    } finally {
      underWay -= 1;
      sendNext();
    }
  }

  function sendNext(): void {
    for (const [key, { question, since, settle }] of waiting) {
      waiting.delete(key);
      if (now() - since <= longestWaitMs) return void send(question, settle);
      settle.reject(databaseAway());
    }
  }

  return (question) => {
    if (underWay < most) return new Promise((resolve, reject) => void send(question, { resolve, reject }));
    const key = JSON.stringify([question.prepared, question.sql, question.values]);
    const same = waiting.get(key);
    if (same) return same.answer;
    let settle: Settle | undefined;
    const answer = new Promise<object[]>((resolve, reject) => (settle = { resolve, reject }));
    waiting.set(key, { question, since: now(), answer, settle: settle! });
    return answer;
  };
}
