import { describe, expect, it } from 'vitest';
import { MAX_PALETTE, parsePalette } from './palette.ts';

describe('parsePalette', () => {
  it.each([
    ['hex values', '#2e4c63 efe6cf\n#ABC', ['#2e4c63', '#efe6cf', '#aabbcc']],
    ['a list as programs write it', '["#2e4c63", "#efe6cf"]', ['#2e4c63', '#efe6cf']],
    ['names of colours', 'teal; Ivory, white', ['#008080', '#fffff0', '#ffffff']],
  ])('reads %s', (_, text, hexes) => {
    expect(parsePalette(text)).toEqual(hexes.map((hex) => ({ name: '', hex })));
  });

  it('reads custom properties with their names', () => {
    expect(parsePalette(':root { --slate-water: #2e4c63; --cream: ivory }')).toEqual([
      { name: 'Slate water', hex: '#2e4c63' },
      { name: 'Cream', hex: '#fffff0' },
    ]);
  });

  it('reads a palette of red, green, blue and name', () => {
    const text =
      'Colours of the lake\nName: Lake\nColumns: 2\n# made by hand\n 46  76  99\tSlate water\n239 230 207\tUntitled\n';
    expect(parsePalette(text)).toEqual([
      { name: 'Slate water', hex: '#2e4c63' },
      { name: '', hex: '#efe6cf' },
    ]);
  });

  it.each([
    ['', 'card/empty'],
    ['Colours\n# nothing', 'shades/colour'],
    ['300 0 0 Too much', 'shades/colour'],
    ['#2e4c63 nothing', 'shades/colour'],
    ['#fff '.repeat(201), 'shades/too-many'],
    [' '.repeat(MAX_PALETTE + 1), 'card/too-long'],
  ])('refuses %j with %s', (text, code) => {
    expect(() => parsePalette(text)).toThrow(expect.objectContaining({ code }));
  });
});
