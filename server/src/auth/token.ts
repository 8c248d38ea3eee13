import { createHash, randomBytes } from 'node:crypto';

/** A secret of 256 bits for a cookie, a ticket or a link. */
export function newToken(): string {
  return randomBytes(32).toString('base64url');
}

/** What is kept of a secret. It has 256 bits, so a plain hash is enough: there is nothing to guess. */
export function hashOf(token: string): string {
  return createHash('sha256').update(token).digest('hex');
}
