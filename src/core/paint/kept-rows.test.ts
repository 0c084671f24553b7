import { describe, expect, it } from 'vitest';
import { keptRows } from './kept-rows.ts';

describe('rows that are kept', () => {
  it('stay within their bytes; what was asked for last stays longest', () => {
    const kept = keptRows<string, Uint8Array>(100);
    for (const name of ['a', 'b']) kept.keep(name, new Uint8Array(40));
    expect(kept.get('a')).toHaveLength(40);
    kept.keep('c', new Uint8Array(40));
    expect(kept.get('b')).toBeUndefined();
    expect(kept.get('a')).toBeDefined();
    expect(kept.get('c')).toBeDefined();
  });

  it('hold one row that is larger than all of it, and no other beside', () => {
    const kept = keptRows<number, Uint8Array>(10);
    kept.keep(1, new Uint8Array(5));
    kept.keep(2, new Uint8Array(50));
    expect(kept.get(1)).toBeUndefined();
    expect(kept.get(2)).toHaveLength(50);
  });
});
