import { shallowRef, triggerRef, type ShallowRef } from 'vue';
import type { ControllerDefinition } from '@brine/core/controllers/definitions';
import { addressOf, request, type Answered } from '../api/client.ts';
import { kept } from '../kept/keptStorage.ts';
import { useSession } from '../session/sessionStore.ts';

const known: ShallowRef<Map<string, ControllerDefinition>> = shallowRef(new Map());
const asked = new Set<string>();

/** A definition by hash, loaded once; null until it is there. Versions never change, so they are kept for the whole visit. */
export function definitionByHash(hash: string | undefined): ControllerDefinition | null {
  if (hash === undefined) return null;
  const found = known.value.get(hash);
  if (found) return found;
  if (!asked.has(hash)) void load(hash);
  return null;
}

/** As it lies on this device: under its hash it never changes. */
async function keptHere(hash: string): Promise<Answered<'controller'> | undefined> {
  const person = useSession().person?.id;
  const here = person && (await kept().answer(person, addressOf('controller', { hash })));
  return here ? (here.json as Answered<'controller'>) : undefined;
}

async function load(hash: string): Promise<void> {
  asked.add(hash);
  try {
    const { definition } = (await keptHere(hash)) ?? (await request('controller', { params: { hash } }));
    known.value.set(hash, definition);
    triggerRef(known);
  } catch {
    asked.delete(hash); // Asked for again when a page next needs it.
    setTimeout(() => triggerRef(known), 3000);
  }
}
