import { Agent, request } from 'node:http';

/** One request of a load: where to, and with which headers. */
export interface Asked {
  readonly url: string;
  readonly headers: Readonly<Record<string, string>>;
  /** Milliseconds that whoever asks rests afterwards. */
  readonly pause?: number;
}

/** What a load came to. */
export interface Load {
  /** Milliseconds of every answer, ascending. */
  readonly took: readonly number[];
  readonly perSecond: number;
}

/** So many clients, each asking as soon as it was answered, in turn of the list, for some seconds. An answer that is none of success ends it. */
export async function clients(count: number, seconds: number, asked: (n: number) => Asked): Promise<Load> {
  const agent = new Agent({ keepAlive: true, maxSockets: count });
  const took: number[] = [];
  let n = 0;
  const began = performance.now();
  const end = began + seconds * 1000;
  await Promise.all(
    Array.from({ length: count }, async () => {
      while (performance.now() < end) {
        const at = performance.now();
        const what = asked((n += 1));
        await answered(agent, what);
        took.push(performance.now() - at);
        if (what.pause) await new Promise((done) => setTimeout(done, what.pause));
      }
    }),
  );
  agent.destroy();
  const lasted = (performance.now() - began) / 1000;
  return { took: took.sort((a, b) => a - b), perSecond: took.length / lasted };
}

/** The time that a share of answers kept within. */
export const within = ({ took }: Load, share: number): number => took[Math.ceil(took.length * share) - 1]!;

/**
 * Waits for the whole answer; its text is not looked at. A server lets go of a connection that rested for some seconds, perhaps in the moment in which it is used again: asked anew then, as
 * browsers do.
 */
function answered(agent: Agent, { url, headers }: Asked): Promise<void> {
  return new Promise((resolve, reject) => {
    const sent = request(url, { agent, headers }, (answer) => {
      answer.resume();
      answer.on('end', () =>
        answer.statusCode! < 300 ? resolve() : reject(new Error(`${url}: ${answer.statusCode}`)),
      );
      answer.on('error', reject);
    });
    sent.on('error', (error: NodeJS.ErrnoException) => {
      if (sent.reusedSocket && error.code === 'ECONNRESET')
        answered(agent, { url, headers }).then(resolve, reject);
      else reject(error);
    });
    sent.end();
  });
}
