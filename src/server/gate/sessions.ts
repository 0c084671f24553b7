import { createHash, randomBytes } from 'node:crypto';
import { cookieIn } from './cookies.ts';

/** Name of the cookie that lets a browser in. */
const COOKIE = 'vetro-session';

/** Milliseconds that a session lasts, and how many there are at most; the oldest one ends for a new one. */
const LASTS = 12 * 60 * 60 * 1000;
const MOST = 200;

/** Who has been let in, kept in memory: a restart ends all sessions. */
export interface Sessions {
  /** Begins a session. @returns the value of `Set-Cookie` */
  readonly begin: (now: number) => string;
  readonly has: (cookies: string | undefined, now: number) => boolean;
}

export function makeSessions(): Sessions {
  const ends = new Map<string, number>();
  return {
    begin: (now) => {
      const token = randomBytes(32).toString('base64url');
      for (const [name, end] of ends) if (end <= now || ends.size >= MOST) ends.delete(name);
      ends.set(nameOf(token), now + LASTS);
      return `${COOKIE}=${token}; Path=/; Max-Age=${LASTS / 1000}; HttpOnly; SameSite=Strict`;
    },
    has: (cookies, now) => {
      const token = cookieIn(cookies, COOKIE);
      const end = token === undefined ? undefined : ends.get(nameOf(token));
      return end !== undefined && end > now;
    },
  };
}

/** Tokens are looked up by a digest, so that the time it takes tells nothing of one. */
function nameOf(token: string): string {
  return createHash('sha256').update(token).digest('base64');
}
