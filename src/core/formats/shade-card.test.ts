import { describe, expect, it } from 'vitest';
import { nearPairs, sortShades } from '../colour/compare.ts';
import type { Shade } from '../colour/shade.ts';
import { formatCardCsv, formatCardTokens, parseCardCsv, parseCardTokens } from './shade-card.ts';

const CARD: readonly Shade[] = [
  { key: 'G', name: 'Boiler green', hex: '#24402f' },
  { key: 'R', name: 'Brake red, dark', hex: '#8c2f25' },
  { key: 'CR', name: 'Ticket cream', hex: '#efe6cf' },
];

describe('shade cards', () => {
  it('come back from both kinds of file as they went', () => {
    expect(parseCardCsv(formatCardCsv(CARD))).toEqual(CARD);
    expect(parseCardTokens(formatCardTokens(CARD))).toEqual(CARD);
  });

  it('are read from tables of others, with BOM, semicolons and other words', () => {
    expect(parseCardCsv('\uFEFFHex;Shade\r\n#fff;White\r\n\r\nivory;\r\n')).toEqual([
      { key: 'A', name: 'White', hex: '#ffffff' },
      { key: 'B', name: 'Ivory', hex: '#fffff0' },
    ]);
  });

  it('are read from tokens in groups, of either form of value, others passed over', () => {
    const text = JSON.stringify({
      brand: {
        $type: 'color',
        dark: { $value: '#20304A' },
        deeper: { light: { $value: { colorSpace: 'srgb', components: [1, 0.5, 0] } } },
      },
      size: { small: { $type: 'dimension', $value: { value: 4, unit: 'px' } } },
    });
    expect(parseCardTokens(text).map(({ name, hex }) => `${name} ${hex}`)).toEqual([
      'dark #20304a',
      'light #ff8000',
    ]);
  });

  it.each([
    [() => parseCardCsv(''), 'card/columns'],
    [() => parseCardCsv('name,letter\nx,A'), 'card/columns'],
    [() => parseCardCsv('colour\n'), 'card/empty'],
    [() => parseCardCsv('colour\nboiler'), 'card/colour'],
    [() => parseCardCsv('name,colour\nRed,#f00\nRed,#e00'), 'card/twice'],
    [() => parseCardCsv(`colour\n${'#fff\n'.repeat(201)}`), 'shades/too-many'],
    [() => parseCardCsv('x'.repeat(500_001)), 'card/too-long'],
    [() => parseCardTokens('{'), 'card/json'],
    [() => parseCardTokens('[]'), 'card/empty'],
    [() => parseCardTokens('{"a":{"$type":"color","$value":"green"}}'), 'card/token'],
    [
      () => parseCardTokens('{"a":{"$type":"color","$value":{"colorSpace":"lab","components":[1,1,1]}}}'),
      'card/token',
    ],
  ])('are refused when they are broken: case %#', (read, code) => {
    expect(read).toThrow(expect.objectContaining({ code }));
  });
});

describe('comparing shades', () => {
  it('sorts round the hues, by lightness and by use', () => {
    const keys = (order: 'hue' | 'lightness' | 'use') =>
      sortShades(
        [...CARD, { key: 'K', name: 'Grey', hex: '#777777' }],
        order,
        (key) => ({ G: 1, R: 5, CR: 3, K: 0 })[key]!,
      ).map((shade) => shade.key);
    expect(keys('hue')).toEqual(['R', 'CR', 'G', 'K']);
    expect(keys('lightness')).toEqual(['CR', 'K', 'R', 'G']);
    expect(keys('use')).toEqual(['R', 'CR', 'G', 'K']);
  });

  it('finds the shades that can hardly be told apart, nearest first', () => {
    const card = [
      ...CARD,
      { key: 'H', name: 'Other green', hex: '#25412f' },
      { key: 'I', name: 'Third', hex: '#2a4535' },
    ];
    const pairs = nearPairs(card, 3);
    expect(pairs.map(({ one, other }) => `${one.key}${other.key}`)).toEqual(['GH', 'HI', 'GI']);
    expect(nearPairs(card, 0.01)).toEqual([]);
  });
});
