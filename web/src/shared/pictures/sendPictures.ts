import { ApiError, request } from '../api/client.ts';
import { openPictures, type KeptPicture, type PictureStorage } from './pictureStorage.ts';

let storage: PictureStorage | null = null;
/** The pictures of this page's device. */
export const pictures = (): PictureStorage => (storage ??= openPictures());

/** What a round of sending came to. */
export interface PictureRound {
  /** Pictures that still wait on this device. */
  readonly waiting: number;
  /** Why the server refused one; null where it refused none. */
  readonly problem: string | null;
}

let running: Promise<PictureRound> | null = null;

/** Hands over every picture that waits, of whatever job, one after the other; one round at a time. What the server refuses stays, and is said. */
export function sendPictures(): Promise<PictureRound> {
  return (running ??= round().finally(() => (running = null)));
}

async function round(): Promise<PictureRound> {
  let problem: string | null = null;
  for (const picture of await pictures().waiting()) {
    try {
      await sendOne(picture);
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      if (error.isTransient) break;
      problem = error.message;
    }
  }
  return { waiting: (await pictures().waiting()).length, problem };
}

async function sendOne(picture: KeptPicture): Promise<void> {
  const body = { id: picture.id, jpeg: await base64(picture.jpeg) };
  await request('keepPicture', { params: { id: picture.job }, body });
  await pictures().keep({ ...picture, sent: true });
}

async function base64(blob: Blob): Promise<string> {
  const bytes = new Uint8Array(await blob.arrayBuffer());
  let text = '';
  for (let at = 0; at < bytes.length; at += 8192)
    text += String.fromCharCode(...bytes.subarray(at, at + 8192));
  return btoa(text);
}
