import { describe, expect, it } from 'vitest';
import { cleanText } from './clean-text.ts';
import { distinctNames, fileNameOf } from './file-name.ts';

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
    [{ name: 'Rug \u202egnp.exe', file: 'tile.png' }, 'Rug gnp.exe.png'],
    [{ name: 'CON', file: 'tile.png' }, 'CON-.png'],
    [{ name: 'nul', file: 'card.tokens.json' }, 'nul-.tokens.json'],
    [{ name: 'lpt1.old', file: 'tile.svg' }, 'lpt1-.old.svg'],
    [{ name: 'Console', file: 'tile.svg' }, 'Console.svg'],
    [{ name: '織'.repeat(120), file: 'tile.png' }, `${'織'.repeat(66)}.png`],
    [{ name: `${'a'.repeat(199)}🌲🌲`, file: 'tile.png' }, `${'a'.repeat(199)}.png`],
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

describe('names in one folder', () => {
  it('are never two alike, to no file system', () => {
    const names = [
      'Rug Day.png',
      'Rug day.png',
      'Rug DAY.png',
      'Rug Day 2.png',
      'Café.png',
      'Cafe\u0301.png',
      'x',
    ];
    const distinct = distinctNames(names);
    expect(distinct.slice(0, 3)).toEqual(['Rug Day.png', 'Rug day 2.png', 'Rug DAY 3.png']);
    expect(new Set(distinct.map((name) => name.normalize('NFC').toLowerCase())).size).toBe(names.length);
    expect(distinctNames(['a.tokens.json', 'a.tokens.json'])).toEqual(['a.tokens.json', 'a 2.tokens.json']);
  });
});

describe('clean text', () => {
  it('keeps pairs, accents and whole characters, and nothing that breaks a line', () => {
    expect(cleanText('Bäume 🌲\u2028zwei\r\n\u0000drei')).toBe('Bäume 🌲 zwei drei');
    expect(cleanText('\udc00x')).toBe('\ufffdx');
  });
});
