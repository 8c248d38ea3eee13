import { hash, verify } from '@node-rs/argon2';

/** The library's number for argon2id; its enum is ambient and cannot be imported. */
const ARGON2ID = 2;
/** OWASP's advice for argon2id: 19 MiB, two passes, one lane (from memory). */
const options = { algorithm: ARGON2ID, memoryCost: 19_456, timeCost: 2, parallelism: 1 };

/** Hashes a password with argon2id. */
export function hashPassword(password: string): Promise<string> {
  return hash(password, options);
}

/** A hash nobody's password has, so that an unknown login costs as long as a wrong password. */
const nobody = hash('nobody signs in with this', options);

/** Compares a password with a hash; with none, spends the same time and says no. */
export async function matchesPassword(password: string, passwordHash: string | null): Promise<boolean> {
  const known = await verify(passwordHash ?? (await nobody), password);
  return passwordHash !== null && known;
}
