import { webcrypto } from 'node:crypto';
import { readFileSync, renameSync, writeFileSync } from 'node:fs';
import { x509 } from './x509.mjs';

/** Every phone of the last ten years knows it. */
export const ALGORITHM = { name: 'ECDSA', namedCurve: 'P-256', hash: 'SHA-256' };
export const DAY_MS = 24 * 3600 * 1000;
/** Clocks of phones are off by minutes, now and then by a time zone: what is made today is good since yesterday. */
const SINCE_MS = DAY_MS;

/** From when until when something made now is good. */
export const goodFor = (now, days) => ({
  notBefore: new Date(now.getTime() - SINCE_MS),
  notAfter: new Date(now.getTime() + days * DAY_MS),
});

export const newKeys = () => webcrypto.subtle.generateKey(ALGORITHM, true, ['sign', 'verify']);

export async function keepKey(path, privateKey) {
  const bytes = await webcrypto.subtle.exportKey('pkcs8', privateKey);
  writeWhole(path, x509.PemConverter.encode(bytes, 'PRIVATE KEY'), 0o600);
}

export const readKey = (path) =>
  webcrypto.subtle.importKey(
    'pkcs8',
    x509.PemConverter.decode(readFileSync(path, 'utf8'))[0],
    ALGORITHM,
    false,
    ['sign'],
  );

/** Whole or not at all: half a file would stop every start after it. */
export function writeWhole(path, text, mode) {
  writeFileSync(`${path}.new`, `${text}\n`, { mode });
  renameSync(`${path}.new`, path);
}

/** A serial number by chance, 126 bits, positive and of full length. */
export function serialNumber() {
  const bytes = webcrypto.getRandomValues(new Uint8Array(16));
  bytes[0] = (bytes[0] & 0x7f) | 0x40;
  return Buffer.from(bytes).toString('hex');
}
