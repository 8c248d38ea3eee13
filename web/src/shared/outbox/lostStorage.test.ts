import 'fake-indexeddb/auto';
import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { forceCloseDatabase } from 'fake-indexeddb';
import { openDB, deleteDB, type IDBPDatabase, unwrap } from 'idb';
import { deviceTrouble, noteTrouble } from '../device/trouble.ts';
import { openStorage, type OutboxStorage } from './storage.ts';

globalThis.structuredClone ??= (value: unknown) => JSON.parse(JSON.stringify(value));

const tess = { id: 'person-tess', name: 'Tess' };
let name = '';
let count = 0;
const type = (storage: OutboxStorage, value: string) =>
  storage.add(tess, 'job-1', 0, { kind: 'found', code: 'Sn', value }, new Date(0));
const typed = async (storage: OutboxStorage) =>
  (await storage.entries()).map((w) => (w.entry.body as unknown as { value: string }).value);

beforeEach(() => {
  name = `lost-${(count += 1)}`;
});

afterEach(() => noteTrouble(name, null));

/** Every connection that the code under test opens, to be cut off as a browser does. */
const connections: IDBDatabase[] = [];
const open = indexedDB.open.bind(indexedDB);
indexedDB.open = (...asked) => {
  const request = open(...asked);
  request.addEventListener('success', () => connections.push(request.result));
  return request;
};

test('a connection that the browser closed is opened anew', async () => {
  const storage = await openStorage(name);
  await type(storage, '1');
  connections.at(-1)!.close();
  await type(storage, '2');
  expect(await typed(storage)).toEqual(['1', '2']);
  expect(deviceTrouble.value).toBeNull();
});

test('a browser that is still clearing cuts off the connections after it as well: what is typed meanwhile is kept once it is through', async () => {
  const storage = await openStorage(name);
  await type(storage, '1');
  let cuts = 2;
  const opening = indexedDB.open;
  indexedDB.open = (...asked) => {
    const request = opening(...asked);
    request.addEventListener('success', () => {
      if (cuts > 0) request.result.close();
      cuts -= 1;
    });
    return request;
  };
  connections.at(-1)!.close();
  await type(storage, '2');
  expect(cuts).toBeLessThan(0);
  expect(await typed(storage)).toEqual(['1', '2']);
  expect(deviceTrouble.value).toBeNull();
  indexedDB.open = opening;
});

test('one that cuts off each of them keeps nothing: it is said, and what is typed is held', async () => {
  const storage = await openStorage(name);
  await type(storage, '1');
  const opening = indexedDB.open;
  indexedDB.open = () => {
    throw new DOMException('The connection was closed.', 'AbortError');
  };
  connections.at(-1)!.close();
  await type(storage, '2');
  expect(deviceTrouble.value).toBe('refused');
  expect(await typed(storage)).toEqual(['1', '2']);
  indexedDB.open = opening;
  expect(await typed(storage)).toEqual(['1', '2']);
  expect(deviceTrouble.value).toBeNull();
});

test('storage cleared under the page: what waits is put back, under the same device and with the next number', async () => {
  const storage = await openStorage(name);
  const device = await storage.device();
  await storage.keepTicket({ author: tess.id, authorName: tess.name, ticket: 'ticket' });
  await type(storage, '1');
  await type(storage, '2');
  forceCloseDatabase(connections.at(-1) as never);
  connections.at(-1)!.close();
  await deleteDB(name);
  const third = await type(storage, '3');
  expect([third.entry.device, third.entry.deviceSequence]).toEqual([device, 3]);
  expect(await typed(storage)).toEqual(['1', '2', '3']);
  // Another page finds the same: it lies in the database, not in this page alone.
  const other = await openStorage(name);
  expect(await typed(other)).toEqual(['1', '2', '3']);
  expect(await other.device()).toBe(device);
  expect(await other.tickets()).toMatchObject([{ ticket: 'ticket' }]);
});

test('a page older than its storage says so, holds what is typed, and asks for no sign-in', async () => {
  const storage = await openStorage(name);
  await type(storage, '1');
  // A newer program: the page lets go of the storage at once.
  const newer = await openDB(name, 2);
  await type(storage, '2');
  expect(deviceTrouble.value).toBe('older');
  expect(await typed(storage)).toEqual(['1', '2']);
  newer.close();
});

test('a browser that keeps nothing: it is said, and what is typed is held until it can be kept', async () => {
  const refusing = indexedDB.open;
  let refuses = true;
  indexedDB.open = (...asked) => {
    if (refuses) throw new DOMException('private', 'SecurityError');
    return refusing.apply(indexedDB, asked);
  };
  const storage = await openStorage(name);
  const first = await type(storage, '1');
  expect(deviceTrouble.value).toBe('refused');
  expect(await typed(storage)).toEqual(['1']);
  expect(await storage.device()).toBe(first.entry.device);
  refuses = false;
  expect(await typed(storage)).toEqual(['1']);
  expect(deviceTrouble.value).toBeNull();
  expect(await typed(await openStorage(name))).toEqual(['1']);
  indexedDB.open = refusing;
});

test('an older tab that does not let go holds up nothing for ever', async () => {
  const old = (await openDB(name, 1)) as IDBPDatabase;
  unwrap(old).onversionchange = null;
  const { deviceDatabase } = await import('../device/database.ts');
  const database = deviceDatabase({ name, version: 2, upgrade: () => undefined });
  await expect(database.use(async () => 1)).rejects.toMatchObject({ trouble: 'held' });
  expect(deviceTrouble.value).toBe('held');
  old.close();
  await expect(database.use(async () => 1)).resolves.toBe(1);
  expect(deviceTrouble.value).toBeNull();
});
