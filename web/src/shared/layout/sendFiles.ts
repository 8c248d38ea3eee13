import { shallowRef, watch } from 'vue';
import { serverAway } from '../api/contact.ts';
import { sendPictures } from '../pictures/sendPictures.ts';
import { sendLogs } from '../waitingLogs/sendLogs.ts';

/** Pictures and loggers' files that wait on this device, as far as is known. */
export const filesWaiting = shallowRef({ pictures: 0, logs: 0 });

/** How often it is looked while something waits. */
const LOOK_MS = 10_000;
let timer: ReturnType<typeof setTimeout> | undefined;

async function send(): Promise<void> {
  clearTimeout(timer);
  const [pictures, logs] = [(await sendPictures()).waiting, await sendLogs()];
  filesWaiting.value = { pictures, logs };
  if (pictures + logs > 0) timer = setTimeout(() => void send(), LOOK_MS);
}

/** Sends what waits beside the entries, whichever page is open: at the start, and whenever the server answers again. */
export function watchFiles(): void {
  void send();
  watch(serverAway, (away) => !away && void send());
}
