import { defineStore } from 'pinia';
import { computed, ref } from 'vue';
import { ApiError, request } from '../api/client.ts';
import type { Company, Person } from '@brine/contract/routes';
import { useOutbox } from '../outbox/outboxStore.ts';

const KNOWN = 'brine-person';

/** Who is signed in, and the company. The last person is remembered, so that a page keeps working while the server is away. */
export const useSession = defineStore('session', () => {
  const person = ref<Person | null>(null);
  const company = ref<Company | null>(null);
  const outbox = useOutbox();

  const mayWrite = computed(() => person.value !== null && person.value.role !== 'viewer');
  const isLead = computed(() => person.value?.role === 'lead');

  /** Asks the server who is signed in. With the server away, the last known person stays. */
  async function restore(): Promise<void> {
    try {
      const { person: found } = await request('me');
      await become(
        found,
        (await outbox.hasTicket(found.id)) || found.role === 'viewer' ? null : await newTicket(),
      );
    } catch (error) {
      if (error instanceof ApiError && error.isTransient) person.value = remembered();
      else person.value = null;
    }
  }

  async function signIn(login: string, password: string): Promise<void> {
    const device = await outbox.device();
    const result = await request('signIn', {
      body: { login, password, device },
    });
    await become(result.person, result.ticket);
  }

  /** Takes a one-time link: sets a password and signs in. */
  async function takeLink(
    token: string,
    taken: { login: string | null; name: string | null; password: string },
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

  async function signOut(): Promise<void> {
    await request('signOut');
    localStorage.removeItem(KNOWN);
    person.value = null;
    company.value = null;
    outbox.signedOut();
  }

  async function loadCompany(): Promise<void> {
    company.value = (await request('company')).company;
  }

  async function newTicket(): Promise<string | null> {
    return (await request('renewTicket', { body: { device: await outbox.device() } })).ticket;
  }

  async function become(found: Person, ticket: string | null): Promise<void> {
    person.value = found;
    localStorage.setItem(KNOWN, JSON.stringify(found));
    await outbox.keepTicket(found, ticket);
    await loadCompany().catch(() => undefined);
  }

  function remembered(): Person | null {
    try {
      return JSON.parse(localStorage.getItem(KNOWN) ?? 'null') as Person | null;
    } catch {
      return null;
    }
  }

  return {
    person,
    company,
    mayWrite,
    isLead,
    restore,
    signIn,
    takeLink,
    changePassword,
    signOut,
    loadCompany,
  };
});
