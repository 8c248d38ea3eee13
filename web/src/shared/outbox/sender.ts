import { ApiError, request } from '../api/client.ts';
import type { OutboxStorage, Ticket, WaitingEntry } from './storage.ts';

/** Entries in one post; the server takes 200. */
const BATCH = 100;

/** Rounds in which one entry alone may make the server stumble before it is put aside. */
const MAX_TRIES = 3;

/** An entry the server took, with the place it gave it. */
interface Accepted {
  readonly waiting: WaitingEntry;
  readonly sequence: number;
  readonly receivedAt: string;
}

/** What a round of sending came to. */
export interface SendRound {
  /** Entries the server took, with the place it gave them. */
  readonly accepted: readonly Accepted[];
  /** True where the server did not answer; the rest stays and is sent again. */
  readonly serverAway: boolean;
  /** Authors whose ticket is no longer good: they must sign in on this device again. */
  readonly mustSignIn: readonly string[];
}

/** Sends everything that waits, each author's entries with that author's ticket, in the order typed. */
export async function sendAll(storage: OutboxStorage): Promise<SendRound> {
  const waiting = (await storage.entries()).filter((w) => w.state === 'waiting');
  const tickets = new Map((await storage.tickets()).map((t) => [t.author, t]));
  const accepted: Accepted[] = [];
  const mustSignIn = new Set<string>();
  for (const [author, mine] of byAuthor(waiting)) {
    const ticket = tickets.get(author);
    if (!ticket) {
      mustSignIn.add(mine[0]!.authorName);
      continue;
    }
    try {
      for (let at = 0; at < mine.length; at += BATCH)
        await sendApart(storage, ticket, mine.slice(at, at + BATCH), accepted);
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      if (error.isAway || error.status === 429)
        return { accepted, serverAway: true, mustSignIn: [...mustSignIn] };
      if (error.status === 401) {
        await storage.dropTicket(author);
        mustSignIn.add(ticket.authorName);
      } else {
        // What an earlier batch brought in is the server's already: only the rest is refused.
        const taken = new Set(accepted.map((a) => a.waiting.entry.id));
        const rest = mine.filter((w) => !taken.has(w.entry.id));
        await refuse(storage, rest, error.message);
      }
    }
  }
  return { accepted, serverAway: false, mustSignIn: [...mustSignIn] };
}

/**
 * Sends a batch; where the server stumbles over it (an answer, but an error of its own), each half by itself, down to the one entry that
 * it cannot take. That one is put aside after a few tries, so that it holds up nothing. What is taken goes into `accepted` at once: a
 * failure further on does not hide it.
 */
async function sendApart(
  storage: OutboxStorage,
  ticket: Ticket,
  batch: readonly WaitingEntry[],
  accepted: Accepted[],
): Promise<void> {
  try {
    accepted.push(...(await sendBatch(storage, ticket, batch)));
  } catch (error) {
    if (!(error instanceof ApiError) || error.isAway || [401, 403, 429].includes(error.status)) throw error;
    if (batch.length > 1) {
      const middle = Math.ceil(batch.length / 2);
      await sendApart(storage, ticket, batch.slice(0, middle), accepted);
      await sendApart(storage, ticket, batch.slice(middle), accepted);
    } else await stumbled(storage, batch[0]!, error);
  }
}

/** Refused by a sentence: aside at once. An error of the server: aside after {@link MAX_TRIES}, it may be one of the moment. */
async function stumbled(storage: OutboxStorage, waiting: WaitingEntry, error: ApiError): Promise<void> {
  const tries = (waiting.tries ?? 0) + 1;
  const aside = error.status < 500 || tries >= MAX_TRIES;
  await storage.update(
    aside
      ? { ...waiting, tries, state: 'refused', problem: error.message }
      : { ...waiting, tries, problem: error.message },
  );
}

async function sendBatch(storage: OutboxStorage, ticket: Ticket, batch: readonly WaitingEntry[]) {
  const entries = batch.map(({ entry }) => ({
    id: entry.id,
    job: entry.job,
    deviceSequence: entry.deviceSequence,
    deviceTime: entry.deviceTime,
    seen: entry.seen,
    body: entry.body,
  }));
  const { results } = await request('sendEntries', { ticket: ticket.ticket, body: { entries } });
  const accepted: Accepted[] = [];
  // Results come in the order sent: an entry whose id the server could not read has none to go by.
  for (const [i, result] of results.entries()) {
    const waiting = batch[i];
    if (!waiting) continue;
    if (result.status === 'accepted') {
      accepted.push({ waiting, sequence: result.sequence!, receivedAt: result.receivedAt! });
      await storage.remove(waiting.entry.id);
    } else
      await storage.update({
        ...waiting,
        state: 'refused',
        problem: result.message ?? 'The server refused it',
      });
  }
  return accepted;
}

async function refuse(
  storage: OutboxStorage,
  entries: readonly WaitingEntry[],
  problem: string,
): Promise<void> {
  for (const waiting of entries) await storage.update({ ...waiting, state: 'refused', problem });
}

function byAuthor(waiting: readonly WaitingEntry[]): ReadonlyMap<string, WaitingEntry[]> {
  const groups = new Map<string, WaitingEntry[]>();
  for (const w of waiting) groups.set(w.entry.author, [...(groups.get(w.entry.author) ?? []), w]);
  return groups;
}
