import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { rational } from '../core/exact/rational.ts';
import { clockText, lengthText, perMetreText, plural, ppmText } from './measures.ts';
import { grouped, hasSentence, sentenceFor } from './sentences.ts';
import { directionSentence, lateSentence, perThreadText } from './verdict.ts';
import { loosenessText } from './weave-words.ts';

const SOURCE = join(import.meta.dirname, '..');

/** Every code that is thrown anywhere in the sources. */
function thrownCodes(): ReadonlySet<string> {
  const files = readdirSync(SOURCE, { recursive: true, encoding: 'utf8' }).filter(
    (path) => /\.tsx?$/.test(path) && !path.endsWith('.test.ts'),
  );
  const codes = files.flatMap((path) =>
    [...readFileSync(join(SOURCE, path), 'utf8').matchAll(/new CoreError\(\s*'([^']+)'/g)].map(
      ([, code]) => code!,
    ),
  );
  return new Set(codes);
}

describe('sentences', () => {
  it('stand ready for every error that can be thrown, but for our own faults', () => {
    const codes = [...thrownCodes()].filter((code) => code !== 'design/construction');
    expect(codes.length).toBeGreaterThan(50);
    expect(codes.filter((code) => !hasSentence(code))).toEqual([]);
  });

  it('carry the value and what to do', () => {
    expect(sentenceFor('notation/count', { word: 'B0', count: '0', most: 100_000 })).toBe(
      '“0” is not a thread count: it must be a whole number from 1 to 100\u00a0000.',
    );
    expect(sentenceFor('notation/count', { word: 'B', count: '', most: 100_000 })).toContain('such as B4');
    expect(sentenceFor('notation/shade', { shade: 'Q', known: ['A', 'B'] })).toContain('The card has A, B.');
    expect(sentenceFor('notation/pivot-inside', { word: 'B/6' })).toContain('only the first and the last');
    expect(sentenceFor('design/field', { path: 'shades.1.key', problem: 'shade/twice' })).toContain(
      'another shade has that letter',
    );
    expect(sentenceFor('no/such', {})).toContain('no/such');
    expect(sentenceFor('constructor', {})).toContain('constructor');
  });

  it.each([
    [{ path: 'name', problem: 'schema/too_small', origin: 'string', minimum: 1 }, 'It must not be empty.'],
    [{ path: 'count', problem: 'schema/invalid_type', expected: 'number' }, 'It must be a number.'],
    [
      { path: '', problem: 'schema/unrecognized_keys', keys: ['colour'] },
      'There is no such field here: colour.',
    ],
    [{ path: 'unit', problem: 'schema/invalid_value', values: ['mm', 'cm'] }, 'It must be one of: mm, cm.'],
  ])('say what a schema has against %j', (facts, sentence) => {
    expect(sentenceFor('request/field', facts)).toContain(sentence);
    expect(sentenceFor('design/field', facts)).toContain(sentence);
  });

  it('say “comes” of one thread and “come” of more', () => {
    const layer = (ends: number, picks: number) => ({
      ends: Array.from({ length: ends }, (_, at) => at),
      picks: Array.from({ length: picks }, (_, at) => at),
    });
    expect(loosenessText({ layers: [layer(0, 1), layer(4, 3)] })).toContain('1 pick comes away');
    expect(loosenessText({ layers: [layer(2, 1), layer(4, 3)] })).toContain('2 ends and 1 pick come away');
  });
});

describe('measures', () => {
  it('show lengths to a thousandth of a millimetre or finer', () => {
    const length = rational(127, 120);
    expect([lengthText(length, 'mm'), lengthText(length, 'cm'), lengthText(length, 'in')]).toEqual([
      '1.058',
      '0.1058',
      '0.04167',
    ]);
  });

  it('sign their errors', () => {
    expect(ppmText(rational(-61, 1_000_000))).toBe('−61 ppm');
    expect(ppmText(rational(27, 100_000_000))).toBe('+0.27 ppm');
    expect(ppmText(rational(0))).toBe('0 ppm');
    expect(perMetreText(rational(-61, 1_000_000))).toBe('−0.061 mm per metre');
  });

  it('tell the time, and the day where it is another', () => {
    const now = new Date(2026, 2, 3, 14, 0);
    expect(clockText(new Date(2026, 2, 3, 12, 4).toISOString(), now)).toBe('12:04');
    expect(clockText(new Date(2026, 2, 2, 12, 4).toISOString(), now)).toBe('2 March, 12:04');
    expect(clockText('', now)).toBe('some time ago');
  });

  it('count in words that agree', () => {
    expect([plural(1, 'thread'), plural(2, 'thread'), grouped(100_000), grouped(1296)]).toEqual([
      '1 thread',
      '2 threads',
      '100\u00a0000',
      '1296',
    ]);
  });

  it('say when sett and weave meet late', () => {
    const facts = { laidOut: 30, period: 30, weave: 8, repeat: 120 };
    expect(directionSentence(facts, 'end')).toBe(
      '30 ends laid out. With the weave’s 8 it comes round only after 120, 4 times as many.',
    );
    expect(lateSentence(facts, 'end')).toContain('only after 120 ends, 4 times as many');
    expect(lateSentence({ ...facts, weave: 4, repeat: 60 }, 'end')).toContain('after 60 ends, twice as many');
    expect(lateSentence({ ...facts, repeat: 30 }, 'end')).toBeUndefined();
    expect(directionSentence({ laidOut: 24, period: 12, weave: 4, repeat: 12 }, 'pick')).toBe(
      '24 picks laid out, the same again after 12. The weave’s 4 fit whole into 12.',
    );
    expect(perThreadText({ perStep: { x: rational(25, 2), y: rational(12) } })).toBe('12.5 × 12 px a thread');
  });
});
