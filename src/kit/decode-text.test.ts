import { describe, expect, it } from 'vitest';
import { decodeText } from './decode-text.ts';

describe('decodeText', () => {
  it('reads UTF-8, with or without a byte order mark', () => {
    expect(decodeText(new TextEncoder().encode('Kéziszőttes ½'))).toBe('Kéziszőttes ½');
    expect(decodeText(Uint8Array.of(0xef, 0xbb, 0xbf, 0x41))).toBe('A');
  });

  it('reads what is not UTF-8 as Windows-1252', () => {
    // "Café – 5 €" in Windows-1252.
    const bytes = Uint8Array.of(0x43, 0x61, 0x66, 0xe9, 0x20, 0x96, 0x20, 0x35, 0x20, 0x80);
    expect(decodeText(bytes)).toBe('Café – 5 €');
    expect(decodeText(bytes.buffer)).toBe('Café – 5 €');
  });
});
