import { shallowRef, watch } from 'vue';
import { changesUnderWay } from '../api/underWay.ts';
import { useOutbox } from '../outbox/outboxStore.ts';
import { isTyping } from './typing.ts';

/** Takes over the new program that waits; null while none does. */
export const newProgram = shallowRef<(() => void) | null>(null);
/** Whether the program itself lies on this device, so that the page starts without signal. */
export const startsOffline = shallowRef(false);

/** How often a page that stays open asks for a new program. */
const LOOK_MS = 30 * 60_000;

/**
 * Puts the program on this device: the page then starts, loads again and opens at any of its addresses without a server. A new version waits until
 * somebody takes it; all tabs of the browser then go over, each as soon as nothing is typed in it.
 */
export async function startOffline(): Promise<void> {
  const { Workbox } = await import('workbox-window');
  const worker = new Workbox('/serviceWorker.js');
  worker.addEventListener('waiting', () => {
    newProgram.value = () => worker.messageSkipWaiting();
  });
  let hadOne = navigator.serviceWorker.controller !== null;
  navigator.serviceWorker.addEventListener('controllerchange', () => {
    startsOffline.value = true;
    newProgram.value = null;
    if (hadOne) loadAgainWhenIdle();
    hadOne = true;
  });
  const registration = await worker.register().catch(() => undefined);
  if (!registration) return;
  void navigator.serviceWorker.ready.then(() => (startsOffline.value = true));
  setInterval(() => void registration.update().catch(() => undefined), LOOK_MS);
}

/** Now, or when what is typed was handed on, and is safe: on this device, or with the server. */
function loadAgainWhenIdle(): void {
  const outbox = useOutbox();
  const unwatch = watch(
    () => isTyping.value || outbox.adding > 0 || changesUnderWay.value > 0,
    (busy) => {
      if (busy) return;
      // The watch runs once at once, before it has a name.
      queueMicrotask(() => unwatch());
      location.reload();
    },
    { immediate: true },
  );
}
