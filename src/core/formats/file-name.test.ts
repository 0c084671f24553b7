import { describe, expect, it } from 'vitest';
import { cleanText } from './clean-text.ts';
import { fileNameOf } from './file-name.ts';

describe('names of files', () => {
  it.each([
    [{ name: 'Rug', file: 'tile.png' }, 'Rug.png'],
    [{ name: 'Rug', file: 'tile.png', size: '300 x 200 mm' }, 'Rug 300 x 200 mm.png'],
    [{ name: 'Rug', file: 'tile.jpg', number: '2041', size: '54"' }, 'Rug 2041 54 in.jpg'],
    [{ name: 'Rug', file: 'paper.png', colourway: 'Night' }, 'Rug Night point paper.png'],
    [{ name: 'Rug', file: 'texture.png' }, 'Rug texture.png'],
    [{ name: 'a/b:c\nd', file: 'counts.txt' }, 'a-b-c d.txt'],
    [{ name: '.rug', file: 'design.json' }, '-rug.json'],
    [{ name: 'Rug shades', file: 'card.tokens.json' }, 'Rug shades.tokens.json'],
    [{ name: 'lone \ud800 half', file: 'tile.svg' }, 'lone \ufffd half.svg'],
  ])('of %j is %s', (wish, name) => {
    expect(fileNameOf(wish)).toBe(name);
  });

  it('are different for every kind of file that a design has', () => {
    const files = [
      'tile.png',
      'paper.png',
      'texture.png',
      'tile.svg',
      'draft.svg',
      'paper.svg',
      'faces.csv',
      'counts.csv',
    ];
    expect(new Set(files.map((file) => fileNameOf({ name: 'x', file }))).size).toBe(files.length);
  });
});

describe('clean text', () => {
  it('keeps pairs, accents and whole characters, and nothing that breaks a line', () => {
    expect(cleanText('Bäume 🌲\u2028zwei\r\n\u0000drei')).toBe('Bäume 🌲 zwei drei');
    expect(cleanText('\udc00x')).toBe('\ufffdx');
  });
});
