import { beforeEach, describe, expect, it } from 'vitest';
import { makeMadeOnce } from './made-once.ts';

let made: string[];
beforeEach(() => {
  made = [];
});

function making(text: string): () => Promise<Response> {
  return () => {
    made.push(text);
    return Promise.resolve(new Response(text, { headers: { 'content-type': 'text/x-made' } }));
  };
}

describe('answers that are made once', () => {
  it('are the same for all who ask, at once or later', async () => {
    const once = makeMadeOnce(2);
    const asked = await Promise.all(Array.from({ length: 10 }, () => once.answer('a', making('a'))));
    expect(await Promise.all(asked.map((answer) => answer.text()))).toEqual(Array(10).fill('a'));
    const later = await once.answer('a', making('a'));
    expect(later.headers.get('content-type')).toBe('text/x-made');
    expect(made).toEqual(['a']);
  });

  it('are forgotten when others are asked for more lately', async () => {
    const once = makeMadeOnce(2);
    for (const key of ['a', 'b', 'a', 'c', 'a', 'b']) await once.answer(key, making(key));
    expect(made).toEqual(['a', 'b', 'c', 'b']);
  });

  it('are tried again when they could not be made', async () => {
    const once = makeMadeOnce(2);
    const broken = () => Promise.reject(new Error('busy'));
    await expect(once.answer('a', broken)).rejects.toThrow('busy');
    expect(await (await once.answer('a', making('now'))).text()).toBe('now');
  });
});
