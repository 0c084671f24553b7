import { createHmac, randomBytes, timingSafeEqual } from 'node:crypto';
import { cookieIn } from './cookies.ts';

/** Name of the cookie that tells a browser which was let in before. */
const COOKIE = 'vetro-device';

/** Seconds that it lasts: a year. */
const LASTS = 365 * 24 * 60 * 60;

/**
 * Browsers that have known the passphrase before, told by a mark that only this passphrase makes. It lets nobody in; it only
 * keeps wrong tries of others from being counted against those who belong here.
 *
 * @param stored  the stored passphrase, with whose change all marks end
 */
export function makeDevices(stored: string) {
  const markOf = (name: string) => createHmac('sha256', stored).update(name).digest('base64url');
  return {
    /** @returns the value of `Set-Cookie` */
    begin: (): string => {
      const name = randomBytes(12).toString('base64url');
      return `${COOKIE}=${name}.${markOf(name)}; Path=/enter; Max-Age=${LASTS}; HttpOnly; SameSite=Strict`;
    },
    /** The name of a browser that was let in before; undefined for any other. */
    known: (cookies: string | undefined): string | undefined => {
      const [name = '', mark = ''] = (cookieIn(cookies, COOKIE) ?? '').split('.');
      const [given, right] = [Buffer.from(mark), Buffer.from(markOf(name))];
      return given.length === right.length && timingSafeEqual(given, right) ? name : undefined;
    },
  };
}
