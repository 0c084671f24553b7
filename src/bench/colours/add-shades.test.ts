import { describe, expect, it } from 'vitest';
import { newShades } from './add-shades.ts';

const shade = (key: string, name: string, hex: string) => ({ key, name, hex });

describe('newShades', () => {
  it('leaves out what stands on the card, and finds letters that are free', () => {
    const card = [shade('A', 'Green', '#24402f'), shade('B', 'Cream', '#efe6cf')];
    const read = [
      shade('A', 'Slate', '#2e4c63'),
      shade('Q', 'Cream', '#efe6cf'),
      shade('Q', 'Ochre', '#c79a3b'),
    ];
    expect(newShades(card, read)).toEqual([shade('C', 'Slate', '#2e4c63'), shade('Q', 'Ochre', '#c79a3b')]);
  });
});
