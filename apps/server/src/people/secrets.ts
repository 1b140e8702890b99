import { hash, verify } from '@node-rs/argon2';
import { createHash, randomBytes } from 'crypto';

/** argon2id: 19 MiB, two passes, one lane (OWASP's least; RFC 9106 describes the function). The library's enum cannot be imported. */
const ARGON2ID = { algorithm: 2, memoryCost: 19_456, timeCost: 2, parallelism: 1 };

/** The hash of a password with its salt, as it is kept; takes about 30 ms, off the event loop. */
export const hashPassword = (password: string): Promise<string> => hash(password.normalize('NFKC'), ARGON2ID);

let decoy: Promise<string> | undefined;

/** True where a password is the one of a hash; without one it takes as long and is false, so that nobody learns who exists. */
export async function isPassword(kept: string | undefined, password: string): Promise<boolean> {
  const against = kept ?? (await (decoy ??= hashPassword(newToken())));
  const same = await verify(against, password.normalize('NFKC'));
  return same && kept !== undefined;
}

/** 256 bits that nobody guesses, base64url. */
export const newToken = (): string => randomBytes(32).toString('base64url');

/** What is kept of a token: SHA-256, hex. */
export const tokenHash = (token: string): string => createHash('sha256').update(token).digest('hex');
