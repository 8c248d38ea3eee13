import type { LinkAnswer, LinkCall } from '@brine/contract/routes';
import { Line, LineFailure, type LineAddress } from '../line/index.ts';

export interface LinkOptions {
  /** Where the server is, such as `https://brine.example`. */
  readonly server: string;
  /** The secret that a lead was given for this link. */
  readonly token: string;
  readonly signal: AbortSignal;
  /** Told a sentence when the link comes, breaks, or is asked for the first time on a line. */
  readonly tell: (words: string) => void;
  /** How the server is asked. */
  readonly ask?: typeof fetch;
}

/** The server does not let this link in: its token was ended, or never was one. */
export class LinkRefused extends Error {}

/** After a failure it is tried again so much later, ms, ever more. */
const AGAIN_MS = [500, 1000, 2000, 5000] as const;
/** A line that nobody asked for so long is hung up, ms. */
const IDLE_MS = 60_000;

/**
 * Carries what a server asks to the lines on site: dials out to the server, takes calls, asks the devices and hands the answers in. Runs until it is stopped. Throws {@link LinkRefused}
 * where the server does not let it in.
 */
export async function runLink({ server, token, signal, tell, ask = fetch }: LinkOptions): Promise<void> {
  const lines = new Map<string, { line: Line; idle: NodeJS.Timeout }>();
  const post = async (path: string, body: object): Promise<unknown> => {
    const answer = await ask(new URL(`/api/link/${path}`, server), {
      method: 'POST',
      headers: { 'content-type': 'application/json', 'x-brine-link': token },
      body: JSON.stringify(body),
      signal,
    });
    if (answer.status === 401 || answer.status === 403)
      throw new LinkRefused('The server does not let this link in: its token is not known, or was ended.');
    if (!answer.ok) throw new Error(`the server answers ${answer.status}`);
    return answer.json();
  };
  const lineOf = (address: LineAddress) => {
    const key = `${address.kind} ${address.host}:${address.port}`;
    let held = lines.get(key);
    if (!held) {
      tell(`Asks on ${address.host}, port ${address.port}.`);
      held = { line: new Line(address), idle: setTimeout(() => undefined, 0) };
      lines.set(key, held);
    }
    clearTimeout(held.idle);
    held.idle = setTimeout(() => {
      lines.get(key)?.line.close();
      lines.delete(key);
    }, IDLE_MS);
    return held.line;
  };
  const answered = async (call: LinkCall, line: Line): Promise<LinkAnswer> => {
    try {
      const words = call.read ? await line.read(call.device, call.read) : [];
      if (call.write) await line.write(call.device, call.write.by, call.write.address, call.write.words);
      return { call: call.id, words, failure: null };
    } catch (error) {
      if (!(error instanceof LineFailure)) throw error;
      const { kind, message, exception } = error;
      return { call: call.id, words: [], failure: { kind, message, exception } };
    }
  };
  const isOver = () => signal.aborted;
  let failures = 0;
  try {
    while (!isOver()) {
      try {
        const { calls } = (await post('calls', {})) as { calls: readonly LinkCall[] };
        if (failures > 0) tell('The server is there again.');
        failures = 0;
        // A line takes them in turn; lines do not wait for each other, nor the next calls for these.
        for (const call of calls)
          answered(call, lineOf(call.line))
            .then((answer) => post('answers', answer))
            .catch((error: unknown) => {
              if (!isOver()) tell(`An answer was lost: ${(error as Error).message}.`);
            });
      } catch (error) {
        if (isOver()) return;
        if (error instanceof LinkRefused) throw error;
        if (failures === 0)
          tell(`The server is not reached: ${(error as Error).message}. It is tried again.`);
        await new Promise((done) => setTimeout(done, AGAIN_MS[Math.min(failures, AGAIN_MS.length - 1)]));
        failures += 1;
      }
    }
  } finally {
    for (const { line, idle } of lines.values()) {
      clearTimeout(idle);
      line.close();
    }
  }
}
