import { randomUUID } from 'node:crypto';

/** One entry a device sent: when the server said it was taken, and never anything else, it counts as acknowledged. */
export interface Acknowledged {
  readonly id: string;
  readonly device: string;
  readonly deviceSequence: number;
}

/** A device that saves as the page's outbox does: the same entries again, under the same ids, until they are taken. */
export interface Device {
  /** Ends after the entry under way; resolves with everything that was acknowledged. */
  stop(): Promise<readonly Acknowledged[]>;
  acknowledged(): number;
  /** Why it stopped by itself; null while it goes on. */
  refused(): string | null;
}

const PATIENCE_MS = 5000;
const PAUSE_MS = 30;
const rest = (ms: number) => new Promise((done) => setTimeout(done, ms));

/** Signs a person in; the cookie, and the ticket of the device. */
export async function signInAt(base: string, login: string, password: string, device: string) {
  const answer = await fetch(`${base}/api/sign-in`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ login, password, device }),
  });
  if (!answer.ok) throw new Error(`sign-in: ${answer.status} ${await answer.text()}`);
  const { ticket } = (await answer.json()) as { ticket: string };
  return { ticket, cookie: answer.headers.get('set-cookie')!.split(';')[0]! };
}

/** Starts a device that saves notes to a job, now at one server, now at another. */
export function startDevice(
  bases: readonly string[],
  ticket: string,
  job: string,
  device: string,
  random: () => number,
): Device {
  let ended = false;
  let sequence = 0;
  const taken: Acknowledged[] = [];

  async function save(): Promise<void> {
    const batch = Array.from({ length: 1 + Math.floor(random() * 3) }, () => ({
      id: randomUUID(),
      job,
      deviceSequence: (sequence += 1),
      deviceTime: new Date().toISOString(),
      seen: 0,
      body: { kind: 'note', text: `${device} ${sequence}` },
    }));
    for (;;) {
      const base = bases[Math.floor(random() * bases.length)]!;
      try {
        const answer = await fetch(`${base}/api/entries`, {
          method: 'POST',
          headers: { 'content-type': 'application/json', 'x-brine-ticket': ticket },
          body: JSON.stringify({ entries: batch }),
          signal: AbortSignal.timeout(PATIENCE_MS),
        });
        if (answer.ok) {
          const { results } = (await answer.json()) as {
            results: readonly { status: string; message?: string }[];
          };
          for (const [i, result] of results.entries()) {
            const entry = batch[i]!;
            if (result.status !== 'accepted') throw new Refused(`${entry.id}: ${result.message}`);
            taken.push({ id: entry.id, device, deviceSequence: entry.deviceSequence });
          }
          return;
        }
        if (answer.status < 500 && answer.status !== 429)
          throw new Refused(`${answer.status} ${await answer.text()}`);
      } catch (error) {
        if (error instanceof Refused) throw error;
      }
      await rest(100);
    }
  }
  const running = (async () => {
    while (!ended) {
      await save();
      await rest(PAUSE_MS * random());
    }
    return taken;
  })();
  // Looked at when it is stopped; until then a refusal is not unhandled.
  let refusal: string | null = null;
  running.catch((error: unknown) => (refusal = String(error)));
  return {
    stop: () => {
      ended = true;
      return running;
    },
    acknowledged: () => taken.length,
    refused: () => refusal,
  };
}

/** The server said no where it had no reason to. */
class Refused extends Error {}
