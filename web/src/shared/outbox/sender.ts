import { ApiError, call } from '../api/client.ts';
import type { EntryResult } from '../api/types.ts';
import type { OutboxStorage, Ticket, WaitingEntry } from './storage.ts';

/** Entries in one post; the server takes 200. */
const BATCH = 100;

/** What a round of sending came to. */
export interface SendRound {
  /** Entries the server took, with the place it gave them. */
  readonly accepted: readonly {
    readonly waiting: WaitingEntry;
    readonly sequence: number;
    readonly receivedAt: string;
  }[];
  /** True where the server did not answer; the rest stays and is sent again. */
  readonly serverAway: boolean;
  /** Authors whose ticket is no longer good: they must sign in on this device again. */
  readonly mustSignIn: readonly string[];
}

/** Sends everything that waits, each author's entries with that author's ticket, in the order typed. */
export async function sendAll(storage: OutboxStorage): Promise<SendRound> {
  const waiting = (await storage.entries()).filter((w) => w.state === 'waiting');
  const tickets = new Map((await storage.tickets()).map((t) => [t.author, t]));
  const accepted: { waiting: WaitingEntry; sequence: number; receivedAt: string }[] = [];
  const mustSignIn = new Set<string>();
  for (const [author, mine] of byAuthor(waiting)) {
    const ticket = tickets.get(author);
    if (!ticket) {
      mustSignIn.add(mine[0]!.authorName);
      continue;
    }
    try {
      for (let at = 0; at < mine.length; at += BATCH)
        accepted.push(...(await sendBatch(storage, ticket, mine.slice(at, at + BATCH))));
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      if (error.isTransient) return { accepted, serverAway: true, mustSignIn: [...mustSignIn] };
      if (error.status === 401) {
        await storage.dropTicket(author);
        mustSignIn.add(ticket.authorName);
      } else await refuse(storage, mine, error.message);
    }
  }
  return { accepted, serverAway: false, mustSignIn: [...mustSignIn] };
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
  const { results } = await call<{ results: EntryResult[] }>('POST', '/entries', {
    ticket: ticket.ticket,
    body: { entries },
  });
  const accepted: { waiting: WaitingEntry; sequence: number; receivedAt: string }[] = [];
  for (const result of results) {
    const waiting = batch.find((w) => w.entry.id === result.id);
    if (!waiting) continue;
    if (result.status === 'accepted') {
      accepted.push({ waiting, sequence: result.sequence, receivedAt: result.receivedAt });
      await storage.remove(result.id);
    } else await storage.update({ ...waiting, state: 'refused', problem: result.message });
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
