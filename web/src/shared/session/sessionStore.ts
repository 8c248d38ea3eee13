import { nameHere } from '../mount/mount.ts';
import { defineStore } from 'pinia';
import { computed, ref } from 'vue';
import { ApiError, request } from '../api/client.ts';
import { forgetSeen } from '../api/early.ts';
import type { Company, Person } from '@brine/contract/routes';
import { forgetLeft, noteBack, noteLeaving } from '../kept/forgetting.ts';
import { useOutbox } from '../outbox/outboxStore.ts';
import { mayWorkOffline, remembered, rememberPerson, forgetPerson, type Remembered } from './remembered.ts';

/** Set while a sign-out without signal still has to be told to the server. */
const SIGN_OUT = nameHere('brine-sign-out');

/** What a lead changes of the company. */
export type CompanyChange = Partial<
  Pick<Company, 'name' | 'phone' | 'logo' | 'schools' | 'displayUnit' | 'offlineDays' | 'secondFactor'>
>;

/** Who is signed in, and the company. The last person is remembered for some days, so that a page works without signal. */
export const useSession = defineStore('session', () => {
  const person = ref<Person | null>(null);
  const company = ref<Company | null>(null);
  /** Why nobody is signed in though somebody was; null where there is nothing to say. */
  const ended = ref<string | null>(null);
  const outbox = useOutbox();

  const mayWrite = computed(() => person.value !== null && person.value.role !== 'viewer');
  const isLead = computed(() => person.value?.role === 'lead');

  /** Asks the server who is signed in. With the server away, the person of the last contact stays, for as long as the company lets people work offline. */
  async function restore(): Promise<void> {
    const last = remembered();
    try {
      if (localStorage.getItem(SIGN_OUT) !== null) return await finishSignOut();
      // Asked at the same time: on a slow line each question is a way there and back.
      const ofCompany = request('company').catch(() => null);
      const { person: found } = await request('me');
      const needsTicket =
        found.role !== 'viewer' && !found.needsSecond && !(await outbox.hasTicket(found.id));
      await become(found, null, (await ofCompany)?.company ?? null);
      // A device without one may read at once; what is typed meanwhile waits for it.
      if (needsTicket) void bringTicket(found);
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      if (error.status !== 401) workOffline(last);
      else await leave(last?.person.id ?? null, last && 'Your sign-in has ended. Sign in again to go on.');
    }
  }

  function workOffline(last: Remembered | null): void {
    if (last === null) return;
    company.value = last.company;
    if (mayWorkOffline(last, new Date())) {
      person.value = last.person;
      void outbox.hasTicket(last.person.id);
    } else
      ended.value = `${last.person.name} was last in contact with the server on ${last.contactAt.slice(0, 10)}; without signal it works for ${last.days} days. What is typed stays on this device.`;
  }

  /** `code`: of the second factor, once it was asked for. */
  async function signIn(login: string, password: string, code: string | null = null): Promise<void> {
    const device = await outbox.device();
    const result = await request('signIn', {
      body: { login, password, device, ...(code !== null && { code }) },
    });
    await become(result.person, result.ticket);
  }

  /** Takes a one-time link: sets a password and signs in. */
  async function takeLink(
    token: string,
    taken: { login: string | null; name: string | null; password: string; code?: string },
  ): Promise<void> {
    const device = await outbox.device();
    const result = await request('takeLink', {
      params: { token },
      body: { ...taken, device },
    });
    await become(result.person, result.ticket);
  }

  /** A new password for oneself; this device gets a new ticket, every other one has to sign in again. */
  async function changePassword(current: string, next: string): Promise<void> {
    const { ticket } = await request('changePassword', {
      body: { current, next, device: await outbox.device() },
    });
    if (person.value) await outbox.keepTicket(person.value, ticket);
  }

  /** The first code of an app: the second factor counts from now on; this device goes on with a new ticket. Answers with the recovery codes. */
  async function confirmSecond(code: string): Promise<readonly string[]> {
    const { recoveryCodes, ticket } = await request('confirmSecond', {
      body: { code, device: await outbox.device() },
    });
    if (person.value) {
      person.value = { ...person.value, needsSecond: false };
      rememberPerson(person.value, company.value, new Date());
      await outbox.keepTicket(person.value, ticket);
    }
    return recoveryCodes;
  }

  /** Signs out here at once; without signal the server is told at the next contact. What was kept goes once nothing of this person waits. */
  async function signOut(): Promise<void> {
    localStorage.setItem(SIGN_OUT, 'told later');
    await leave(person.value?.id ?? null, null);
    await finishSignOut().catch((error: unknown) => {
      if (!(error instanceof ApiError)) throw error;
    });
  }

  async function finishSignOut(): Promise<void> {
    await request('signOut').catch((error: unknown) => {
      // The server has ended it by itself meanwhile.
      if (!(error instanceof ApiError) || error.status !== 401) throw error;
    });
    localStorage.removeItem(SIGN_OUT);
  }

  async function leave(who: string | null, why: string | null): Promise<void> {
    forgetPerson();
    forgetSeen();
    person.value = null;
    company.value = null;
    ended.value = why;
    if (who !== null) noteLeaving(who);
    outbox.signedOut();
    await tidy();
  }

  /** Deletes what is kept for those who left, as soon as nothing of theirs waits. */
  const tidy = () => forgetLeft((who) => outbox.holdsOf(who));
  outbox.onSent(() => void tidy());
  /** What waits was exported: of those who left nothing need stay. */
  const exported = () => forgetLeft(async () => false);

  async function loadCompany(): Promise<void> {
    takeCompany((await request('company')).company);
  }

  function takeCompany(known: Company): void {
    company.value = known;
    if (person.value) rememberPerson(person.value, known, new Date());
  }

  let changing: Promise<unknown> = Promise.resolve();
  /** Changes the company. One change after the other: each is made on what the one before left. */
  function changeCompany(what: CompanyChange | ((now: Company) => CompanyChange)): Promise<void> {
    const mine = changing.then(async () => {
      try {
        const now = company.value!;
        const change = typeof what === 'function' ? what(now) : what;
        await request('changeCompany', { body: { ...change, version: now.version } });
      } finally {
        await loadCompany();
      }
    });
    changing = mine.catch(() => undefined);
    return mine;
  }

  async function bringTicket(whose: Person): Promise<void> {
    try {
      const { ticket } = await request('renewTicket', { body: { device: await outbox.device() } });
      if (person.value?.id === whose.id) await outbox.keepTicket(whose, ticket);
    } catch (error) {
      // Without signal, or signed out meanwhile: the next page asks again.
      if (!(error instanceof ApiError)) throw error;
    }
  }

  async function become(found: Person, ticket: string | null, known: Company | null = null): Promise<void> {
    localStorage.removeItem(SIGN_OUT);
    noteBack(found.id);
    person.value = found;
    ended.value = null;
    rememberPerson(found, company.value, new Date());
    await outbox.keepTicket(found, ticket);
    if (known === null) await loadCompany().catch(() => undefined);
    else takeCompany(known);
  }

  return {
    person,
    company,
    ended,
    mayWrite,
    isLead,
    restore,
    signIn,
    takeLink,
    changePassword,
    confirmSecond,
    signOut,
    loadCompany,
    changeCompany,
    exported,
  };
});
