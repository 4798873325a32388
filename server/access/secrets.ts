import { createHash, randomBytes, timingSafeEqual } from 'node:crypto';
import { hash, verify } from '@node-rs/argon2';

/**
 * Argon2id with 19 MiB, two passes and one lane: the smaller of the two settings that the OWASP Password Storage Cheat
 * Sheet (2023) gives for it. About 40 ms on a workshop's machine, off the event loop.
 */
export const ARGON = { memoryCost: 19_456, timeCost: 2, parallelism: 1 } as const;

/** What is kept of a password or a PIN. */
export const hashSecret = (secret: string): Promise<string> => hash(secret.normalize('NFKC'), ARGON);

/** Something nobody can type, hashed: checking against it takes as long as against a real one. */
let nobody: Promise<string> | null = null;

/**
 * Whether a secret is the one that a hash was made of. Where there is no hash it takes just as long and is false, so that
 * nobody learns by the clock who has an account.
 */
export async function isSecret(kept: string | null, secret: string): Promise<boolean> {
  nobody ??= hashSecret(randomBytes(24).toString('base64url'));
  const matches = await verify(kept ?? (await nobody), secret.normalize('NFKC'));
  return kept !== null && matches;
}

/** A token that nobody can guess: 256 bits, to be put into an address. */
export const freshToken = (): string => randomBytes(32).toString('base64url');

/** What is kept of a token: it has all the chance it needs, so a plain hash will do. */
export const tokenHash = (token: string): string => createHash('sha256').update(token).digest('hex');

/** Whether two texts are the same, in a time that does not tell how far they are. */
export function sameText(a: string, b: string): boolean {
  const [one, other] = [createHash('sha256').update(a).digest(), createHash('sha256').update(b).digest()];
  return timingSafeEqual(one, other);
}
