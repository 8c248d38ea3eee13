import { openDB, type DBSchema } from 'idb';

/** A picture on this device; `sent` once the server has it too. */
export interface KeptPicture {
  readonly id: string;
  readonly job: string;
  readonly jpeg: Blob;
  readonly sent: boolean;
}

interface PictureSchema extends DBSchema {
  pictures: { key: string; value: KeptPicture };
}

/** The browser's own store of pictures, beside the outbox: a picture taken without signal is not lost. */
export async function openPictures(name = 'brine-dial-pictures') {
  const db = await openDB<PictureSchema>(name, 1, {
    upgrade: (database) => void database.createObjectStore('pictures', { keyPath: 'id' }),
  });
  return {
    keep: async (picture: KeptPicture) => void (await db.put('pictures', picture)),
    read: (id: string) => db.get('pictures', id),
    waiting: async () => (await db.getAll('pictures')).filter((p) => !p.sent),
    remove: (id: string) => db.delete('pictures', id),
  };
}

export type PictureStorage = Awaited<ReturnType<typeof openPictures>>;
