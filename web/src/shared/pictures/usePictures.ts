import { onScopeDispose, ref } from 'vue';
import { addressOf, ApiError, request } from '../api/client.ts';
import { openPictures, type PictureStorage } from './pictureStorage.ts';
import { shrink } from './shrink.ts';

const RETRY_MS = 8000;
let storage: Promise<PictureStorage> | null = null;
const store = () => (storage ??= openPictures());

/** Pictures of a job: kept on the device first, then handed to the server; shown from the device while it is away. */
export function usePictures(job: string) {
  const waiting = ref(0);
  const problem = ref<string | null>(null);
  const urls = new Map<string, string>();
  let timer: ReturnType<typeof setTimeout> | undefined;

  /** Shrinks, keeps and sends a picture; its id and size are for the entry. */
  async function take(id: string, file: Blob): Promise<{ width: number; height: number }> {
    const { jpeg, width, height } = await shrink(file);
    await (await store()).keep({ id, job, jpeg, sent: false });
    void send();
    return { width, height };
  }

  /** Hands over what waits, one after the other; what the server refuses is said, and stays on the device. */
  async function send(): Promise<void> {
    clearTimeout(timer);
    const kept = await store();
    for (const picture of (await kept.waiting()).filter((p) => p.job === job)) {
      try {
        const body = { id: picture.id, jpeg: await base64(picture.jpeg) };
        await request('keepPicture', { params: { id: job }, body });
        await kept.keep({ ...picture, sent: true });
        problem.value = null;
      } catch (error) {
        if (!(error instanceof ApiError)) throw error;
        if (!error.isTransient) problem.value = error.message;
        timer = setTimeout(() => void send(), RETRY_MS);
        break;
      }
    }
    waiting.value = (await kept.waiting()).length;
  }

  /** Where a picture can be shown from: this device where it has it, else the server. */
  async function source(id: string): Promise<string> {
    const known = urls.get(id);
    if (known) return known;
    const kept = await (await store()).read(id);
    const url = kept ? URL.createObjectURL(kept.jpeg) : addressOf('picture', { id: job, picture: id });
    urls.set(id, url);
    return url;
  }

  void send();
  onScopeDispose(() => {
    clearTimeout(timer);
    for (const url of urls.values()) if (url.startsWith('blob:')) URL.revokeObjectURL(url);
  });
  return { waiting, problem, take, source };
}

async function base64(blob: Blob): Promise<string> {
  const bytes = new Uint8Array(await blob.arrayBuffer());
  let text = '';
  for (let at = 0; at < bytes.length; at += 8192)
    text += String.fromCharCode(...bytes.subarray(at, at + 8192));
  return btoa(text);
}
