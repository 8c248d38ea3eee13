import { createHash, randomBytes } from 'node:crypto';

/** A secret of 256 bits for a cookie, a ticket or a one-time link. */
export const newToken = (): string => randomBytes(32).toString('base64url');

/** A secret of 128 bits for a link that is printed as a code, or typed into another program: short, and not to be guessed. */
export const newLinkToken = (): string => randomBytes(16).toString('base64url');

/** What is kept of a secret. It has 128 bits or more, so a plain hash is enough: there is nothing to guess. */
export const hashOf = (token: string): string => createHash('sha256').update(token).digest('hex');
