import { describe, expect, it } from 'vitest';
import { makeTurnstile } from './turnstile.ts';

describe('a turnstile', () => {
  it('lets so many in, so many wait in their order, and refuses one more', async () => {
    const turnstile = makeTurnstile({ inside: 1, waiting: 2 });
    const seen: string[] = [];
    const go = (name: string) => turnstile.enter().then(() => seen.push(name));
    await go('first');
    const [second, third] = [go('second'), go('third')];
    await expect(turnstile.enter()).rejects.toThrow('server/busy');
    turnstile.leave();
    await second;
    turnstile.leave();
    await third;
    expect(seen).toEqual(['first', 'second', 'third']);
    turnstile.leave();
    await turnstile.enter();
  });

  it('forgets who waited and went away', async () => {
    const turnstile = makeTurnstile({ inside: 1, waiting: 1 });
    await turnstile.enter();
    const stop = new AbortController();
    const gone = turnstile.enter(stop.signal);
    stop.abort(new Error('gone'));
    await expect(gone).rejects.toThrow('gone');
    const next = turnstile.enter();
    turnstile.leave();
    await next;
  });
});
