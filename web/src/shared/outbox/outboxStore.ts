import { nameHere } from '../mount/mount.ts';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import type { AcceptedEntry, EntryBody } from '@brine/core/record/entries';
import type { Person } from '@brine/contract/routes';
import { request } from '../api/client.ts';
import { serverAway } from '../api/contact.ts';
import { newId } from './identity.ts';
import { notesIn, type Noted } from './noted.ts';
import { sendAll } from './sender.ts';
import { wholeText } from './wholeText.ts';
import { openStorage, type OutboxStorage, type WaitingEntry } from './storage.ts';

const FIRST_RETRY_MS = 1500;
const LONGEST_RETRY_MS = 20_000;

/** Entries on their way to the server: kept in the browser's database until they are accepted, whoever is signed in. */
export const useOutbox = defineStore('outbox', () => {
  const entries = shallowRef<readonly WaitingEntry[]>([]);
  /** What an earlier visit left is known: until then nobody can say that all is saved. */
  const isRead = ref(false);
  /** Being written to the browser's database right now: not safe yet, so not “all saved”. */
  const adding = ref(0);
  const mustSignIn = ref<readonly string[]>([]);
  const sentListeners = new Set<() => void>();
  const acceptedListeners = new Set<(accepted: readonly AcceptedEntry[]) => void>();
  const tabs =
    typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel(nameHere('brine-outbox'));
  let storage: OutboxStorage | null = null;
  let sending: Promise<void> | null = null;
  let again = false;
  let retry = FIRST_RETRY_MS;
  let timer: ReturnType<typeof setTimeout> | undefined;

  const waiting = computed(() => entries.value.filter((w) => w.state === 'waiting'));
  const refused = computed(() => entries.value.filter((w) => w.state === 'refused'));

  async function open(): Promise<OutboxStorage> {
    if (storage) return storage;
    storage = await openStorage();
    storage.onRestored(() => void refresh());
    tabs?.addEventListener('message', () => void refresh());
    addEventListener('online', () => void send());
    watch(serverAway, (away) => !away && void send());
    document.addEventListener(
      'visibilitychange',
      () => document.visibilityState === 'visible' && void send(),
    );
    return storage;
  }

  async function refresh(): Promise<void> {
    entries.value = await (await open()).entries();
    isRead.value = true;
  }

  const notes = notesIn(sessionStorage, nameHere('brine-noted'));
  /** What the page before did not bring into the database any more comes before what is typed on this one. */
  let recovered: Promise<void> | null = null;
  const recover = (): Promise<void> => (recovered ??= keepLeft());

  async function keepLeft(): Promise<void> {
    // One that no entry can be made of gets in nobody's way.
    for (const one of notes.all()) await keep([one]).catch(() => notes.forget(one.id));
  }

  async function keep(some: readonly Noted[]): Promise<void> {
    for (const { id, author, job, seen, body, at } of some) {
      await (await open()).add(author, job, seen, body, new Date(at), id);
      notes.forget(id);
    }
  }

  /** Looks what an earlier visit left and sends it. */
  async function start(): Promise<void> {
    await recover();
    await refresh();
    void send();
  }

  /** Keeps an entry and sends it as soon as the server answers. Returns once it is safe in the browser's database. */
  async function add(
    author: Pick<Person, 'id' | 'name'>,
    job: string,
    seen: number,
    bodies: readonly EntryBody[],
  ): Promise<void> {
    const before = recover();
    const at = new Date().toISOString();
    const some = bodies.map((body): Noted => ({
      id: newId(),
      author: { id: author.id, name: author.name },
      job,
      seen,
      body: wholeText(body),
      at,
    }));
    notes.note(some);
    adding.value += some.length;
    try {
      await before;
      await keep(some);
      await refresh();
    } finally {
      adding.value -= some.length;
    }
    tabs?.postMessage('changed');
    void send();
  }

  /** Sends now; calls that come meanwhile lead to one more round. */
  function send(): Promise<void> {
    if (sending) {
      again = true;
      return sending;
    }
    clearTimeout(timer);
    sending = round().finally(() => {
      sending = null;
      if (again) {
        again = false;
        void send();
      }
    });
    return sending;
  }

  async function round(): Promise<void> {
    const store = await open();
    const result = await sendAll(store);
    mustSignIn.value = result.mustSignIn;
    const accepted = result.accepted.map(({ waiting: w, sequence, receivedAt }): AcceptedEntry => ({
      ...w.entry,
      sequence,
      receivedAt,
    }));
    // Told before the waiting ones go, so that a value never disappears in between.
    for (const listener of acceptedListeners) listener(accepted);
    await refresh();
    await dropIdleTickets(store);
    for (const listener of sentListeners) listener();
    if (accepted.length > 0) tabs?.postMessage('changed');
    if (result.serverAway) {
      timer = setTimeout(() => void send(), retry);
      retry = Math.min(retry * 2, LONGEST_RETRY_MS);
    } else retry = FIRST_RETRY_MS;
  }

  /** Who is signed in here; undefined until that is known: a page that starts sends before it has heard. */
  const signedIn = ref<string | null | undefined>(undefined);
  /** Tickets of people who signed out here are ended once nothing of theirs waits, nor is on its way into the database. */
  async function dropIdleTickets(store: OutboxStorage): Promise<void> {
    if (signedIn.value === undefined || adding.value > 0) return;
    for (const ticket of await store.tickets()) {
      if (ticket.author === signedIn.value || entries.value.some((w) => w.entry.author === ticket.author))
        continue;
      await store.dropTicket(ticket.author);
      await request('endTicket', { ticket: ticket.ticket }).catch(() => undefined);
    }
  }

  async function device(): Promise<string> {
    return (await open()).device();
  }

  async function keepTicket(person: Person, ticket: string | null): Promise<void> {
    signedIn.value = person.id;
    if (ticket !== null)
      await (await open()).keepTicket({ author: person.id, authorName: person.name, ticket });
    void send();
  }

  /** True where this device holds a ticket for the person. */
  async function hasTicket(personId: string): Promise<boolean> {
    signedIn.value = personId;
    return (await (await open()).tickets()).some((t) => t.author === personId);
  }

  function signedOut(): void {
    signedIn.value = null;
    void send();
  }

  /** Whether anything of a person is on this device alone. */
  async function holdsOf(person: string): Promise<boolean> {
    return (await (await open()).entries()).some((w) => w.entry.author === person);
  }

  /** Takes a refused entry out of the outbox, on its author's wish. */
  async function discard(id: string): Promise<void> {
    await (await open()).remove(id);
    await refresh();
    tabs?.postMessage('changed');
  }

  /** Sends a refused entry once more. */
  async function tryAgain(id: string): Promise<void> {
    const found = entries.value.find((w) => w.entry.id === id);
    if (!found) return;
    await (await open()).update({ ...found, state: 'waiting', problem: null, tries: 0 });
    await refresh();
    void send();
  }

  /** Sends a refused entry with another body; the server has not taken it, so it keeps its place. */
  async function edit(id: string, body: EntryBody): Promise<void> {
    const found = entries.value.find((w) => w.entry.id === id);
    if (!found) return;
    const entry = { ...found.entry, body: wholeText(body) };
    await (await open()).update({ ...found, entry, state: 'waiting', problem: null, tries: 0 });
    await refresh();
    void send();
  }

  function onAccepted(listener: (accepted: readonly AcceptedEntry[]) => void): () => void {
    acceptedListeners.add(listener);
    return () => acceptedListeners.delete(listener);
  }

  /** Called after each round of sending, whatever came of it. */
  function onSent(listener: () => void): void {
    sentListeners.add(listener);
  }

  return {
    entries,
    isRead,
    adding,
    waiting,
    refused,
    mustSignIn,
    start,
    add,
    send,
    device,
    keepTicket,
    hasTicket,
    signedOut,
    holdsOf,
    discard,
    tryAgain,
    edit,
    onAccepted,
    onSent,
  };
});
