import { keptFiles } from '../device/keptFiles.ts';

/** A picture on this device; `sent` once the server has it too. */
export interface KeptPicture {
  readonly id: string;
  readonly job: string;
  readonly jpeg: Blob;
  readonly sent: boolean;
}

/** The browser's own store of pictures, beside the outbox: a picture taken without signal is not lost. */
export function openPictures(name = 'brine-dial-pictures') {
  const files = keptFiles<KeptPicture>(name, 'pictures', (picture) => !picture.sent);
  return { ...files, waiting: async () => (await files.all()).filter((picture) => !picture.sent) };
}

export type PictureStorage = ReturnType<typeof openPictures>;
