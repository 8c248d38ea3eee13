import { onScopeDispose, ref } from 'vue';
import { addressOf } from '../api/client.ts';
import { takenFile } from '../kept/files.ts';
import { useSession } from '../session/sessionStore.ts';
import { pictures, sendPictures } from './sendPictures.ts';
import { shrink } from './shrink.ts';

const RETRY_MS = 8000;

/** Pictures of a job: kept on the device first, then handed to the server; shown from the device while it is away. */
export function usePictures(job: string) {
  const session = useSession();
  const waiting = ref(0);
  const problem = ref<string | null>(null);
  const urls = new Map<string, string>();
  let timer: ReturnType<typeof setTimeout> | undefined;
  let gone = false;

  /** Shrinks, keeps and sends a picture; its id and size are for the entry. */
  async function take(id: string, file: Blob): Promise<{ width: number; height: number }> {
    const { jpeg, width, height } = await shrink(file);
    await pictures().keep({ id, job, jpeg, sent: false });
    void send();
    return { width, height };
  }

  async function send(): Promise<void> {
    clearTimeout(timer);
    const round = await sendPictures();
    waiting.value = round.waiting;
    problem.value = round.problem;
    if (round.waiting > 0 && !gone) timer = setTimeout(() => void send(), RETRY_MS);
  }

  /** Where a picture can be shown from: this device where it has it, else the server. */
  async function source(id: string): Promise<string> {
    const known = urls.get(id);
    if (known) return known;
    const here = (await pictures().read(id))?.jpeg ?? (await takenFile(session.person?.id, id));
    const url = here ? URL.createObjectURL(here) : addressOf('picture', { id: job, picture: id });
    urls.set(id, url);
    return url;
  }

  void send();
  onScopeDispose(() => {
    gone = true;
    clearTimeout(timer);
    for (const url of urls.values()) if (url.startsWith('blob:')) URL.revokeObjectURL(url);
  });
  return { waiting, problem, take, source };
}
