import { randomBytes, scrypt, timingSafeEqual } from 'node:crypto';
import { CoreError } from '../../core/error.ts';

/** Shortest and longest passphrase, in characters. */
const SHORTEST = 10;
const LONGEST = 200;

/** Cost of one try: some 32 MB for some tenth of a second. Source: RFC 7914, §2; OWASP Password Storage. */
const COST = { N: 2 ** 15, r: 8, p: 1, maxmem: 64 * 1024 * 1024 } as const;
const KEY_BYTES = 32;

/**
 * A passphrase as it is stored: "scrypt$salt$key" in base64.
 * @throws CoreError "passphrase/length" {least, most}
 */
export async function storedPassphrase(passphrase: string): Promise<string> {
  const { length } = [...passphrase];
  if (length < SHORTEST || length > LONGEST) {
    throw new CoreError('passphrase/length', { least: SHORTEST, most: LONGEST });
  }
  const salt = randomBytes(16);
  const key = await keyOf(passphrase, salt);
  return `scrypt$${salt.toString('base64')}$${key.toString('base64')}`;
}

/** Whether a passphrase is the one that was stored, told in the same time whatever is wrong with it. */
export async function isPassphrase(passphrase: string, stored: string): Promise<boolean> {
  const [kind, salt, key] = stored.split('$');
  if (kind !== 'scrypt' || salt === undefined || key === undefined) return false;
  const known = Buffer.from(key, 'base64');
  const given = await keyOf(passphrase.slice(0, 4 * LONGEST), Buffer.from(salt, 'base64'));
  return known.length === given.length && timingSafeEqual(known, given);
}

function keyOf(passphrase: string, salt: Buffer): Promise<Buffer> {
  return new Promise((resolve, reject) => {
    scrypt(passphrase.normalize('NFC'), salt, KEY_BYTES, COST, (error, key) =>
      error === null ? resolve(key) : reject(error),
    );
  });
}
