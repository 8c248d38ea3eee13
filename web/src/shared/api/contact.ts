import { computed, readonly, shallowRef } from 'vue';

const since = shallowRef<Date | null>(null);

/** Since when the server has not answered; null while it does. */
export const awaySince = readonly(since);
export const serverAway = computed(() => since.value !== null);

/** Notes whether a request was answered. */
export function noteContact(answered: boolean): void {
  if (answered) since.value = null;
  else since.value ??= new Date();
}

/** How often it is looked for while it is away. */
const LOOK_MS = 5000;

/** Notices at once when the browser loses its network, and looks for the server while it is away. */
export function watchContact(): void {
  addEventListener('offline', () => noteContact(false));
  addEventListener('online', () => void look());
  setInterval(() => {
    if (serverAway.value && document.visibilityState === 'visible') void look();
  }, LOOK_MS);
}

async function look(): Promise<void> {
  const answer = await fetch('/health/live', { cache: 'no-store' }).catch(() => null);
  noteContact(answer?.ok === true);
}
