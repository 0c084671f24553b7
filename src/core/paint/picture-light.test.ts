import { describe, expect, it } from 'vitest';
import { motifOf, type SomePiece } from '../../../tests/motif-of.ts';
import { LINEAR_OF_BYTE, LINEAR_ONE } from '../colour/linear.ts';
import { compileUnit } from '../design/compile-design.ts';
import type { PaintPicture } from '../design/picture-schema.ts';
import type { Picture } from '../shape/picture.ts';
import { paintTile } from './painting.ts';
import { shrinkPicture } from './shrink-picture.ts';

const RED = [200, 30, 20, 255];
const BLUE = [20, 40, 180, 255];
const CLEAR = [0, 0, 0, 0];
const CREAM = '#efe6cf';

function pictureOf(rows: readonly (readonly (readonly number[])[])[]): Picture {
  return { width: rows[0]!.length, height: rows.length, rgba: Uint8Array.from(rows.flat(2)) };
}

const named = (picture: Picture, fit: PaintPicture['fit'] = 'filling'): PaintPicture => ({
  hash: 'a'.repeat(64),
  name: 'Two halves',
  width: picture.width,
  height: picture.height,
  fit,
});

/** A piece that shows a picture, painted over cream in a box of 8 × 8 pixels; rows of colours, the upper first. */
function painted(picture: Picture, piece: SomePiece, fit?: PaintPicture['fit']): readonly string[][] {
  const design = motifOf([{ shade: null, picture: named(picture, fit), ...piece }]);
  const bytes = paintTile(compileUnit(design, new Map([['a'.repeat(64), picture]])), { width: 8, height: 8 });
  const hex = (at: number) =>
    `#${[...bytes.subarray(at * 4, at * 4 + 3)].map((byte) => byte.toString(16).padStart(2, '0')).join('')}`;
  return Array.from({ length: 8 }, (_, row) => Array.from({ length: 8 }, (__, x) => hex(row * 8 + x)));
}

const rectangle = (width: string, height: string): SomePiece['shape'] => ({
  kind: 'rectangle',
  width,
  height,
  radii: '0',
});

const hexOf = (pixel: readonly number[]) =>
  `#${pixel
    .slice(0, 3)
    .map((byte) => byte.toString(16).padStart(2, '0'))
    .join('')}`;

describe('a picture', () => {
  const four = pictureOf([
    [RED, BLUE, RED, RED],
    [BLUE, BLUE, CLEAR, RED],
  ]);

  it('is painted pixel for pixel where one of its own is one of the cloth', () => {
    const rows = painted(four, { shape: rectangle('4', '2') });
    expect(rows[3]!.slice(2, 6)).toEqual([RED, BLUE, RED, RED].map(hexOf));
    // What is clear in it shows what lies beneath.
    expect(rows[4]!.slice(2, 6)).toEqual([hexOf(BLUE), hexOf(BLUE), rows[0]![0], hexOf(RED)]);
    expect(rows[0]![0]).toBe(CREAM);
  });

  it('lies over the shade of its piece', () => {
    const rows = painted(four, { shape: rectangle('4', '2'), shade: 'R' });
    expect(rows[4]![4]).not.toBe(CREAM);
    expect(rows[4]![2]).toBe(hexOf(BLUE));
  });

  it.each([
    ['turned by a quarter', { turn: '90' }, { first: [3, 5], last: [3, 2] }],
    ['turned by a half', { turn: '180' }, { first: [5, 4], last: [2, 4] }],
    ['mirrored', { mirrored: true }, { first: [5, 3], last: [2, 3] }],
  ] as const)('is %s with its piece', (_, more, { first, last }) => {
    const halves = pictureOf([
      [RED, RED, BLUE, BLUE],
      [RED, RED, BLUE, BLUE],
    ]);
    const rows = painted(halves, { shape: rectangle('4', '2'), ...more });
    const corners = [first, last].map(([column, row]) => rows[row]![column]);
    expect(corners).toEqual([hexOf(RED), hexOf(BLUE)]);
  });

  it('fits in with all of it, or fills with what is left over cut off', () => {
    const halves = pictureOf([[RED, BLUE]]);
    const fitted = painted(halves, { shape: rectangle('4', '4') }, 'fitted');
    expect([fitted[2]![2], fitted[3]![2], fitted[4]![2], fitted[5]![2]]).toEqual([
      CREAM,
      hexOf(RED),
      hexOf(RED),
      CREAM,
    ]);
    const filled = painted(halves, { shape: rectangle('4', '4') }, 'filling');
    expect(filled[2]![2]).not.toBe(CREAM);
    expect(filled[5]![5]).not.toBe(CREAM);
  });

  it('comes in again at the other edge of the box', () => {
    const rows = painted(four, { shape: rectangle('4', '2'), x: '8' });
    expect([rows[3]![6], rows[3]![7], rows[3]![0], rows[3]![1]]).toEqual([RED, BLUE, RED, RED].map(hexOf));
  });

  it('that is not there cannot be painted, and all else is known', () => {
    const unit = compileUnit(motifOf([{ shape: rectangle('4', '2'), picture: named(four) }]));
    expect(unit.content.marks).toHaveLength(1);
    expect(() => paintTile(unit, { width: 8, height: 8 })).toThrow('picture/missing');
  });

  it('has no place on a line that goes on', () => {
    const wave: SomePiece['shape'] = {
      kind: 'line',
      points: ['0', '4', '8'].map((x) => ({ x, y: '0', bend: 'curve', radius: '0' })),
      run: 'onward',
      width: '1',
      ends: 'round',
      dashes: null,
      strap: null,
    };
    expect(() => compileUnit(motifOf([{ shape: wave, picture: named(four) }]))).toThrow('motif/picture');
  });
});

describe('shrinking', () => {
  it('takes means of light, weighted by what is covered', () => {
    const black = [0, 0, 0, 255];
    const white = [255, 255, 255, 255];
    const three = pictureOf([[black, white, white]]);
    const levels = [...shrinkPicture(three, { width: 2, height: 1 }, LINEAR_OF_BYTE)];
    // The first pixel covers the black one and half of a white one.
    expect(levels[0]).toBe(Math.round(LINEAR_ONE / 3));
    expect(levels[4]).toBe(LINEAR_ONE);
    expect([levels[3], levels[7]]).toEqual([LINEAR_ONE, LINEAR_ONE]);
  });

  it('gives what is clear no colour', () => {
    const levels = shrinkPicture(
      pictureOf([[[255, 0, 0, 0], BLUE]]),
      { width: 1, height: 1 },
      LINEAR_OF_BYTE,
    );
    expect(levels[0]).toBe(Math.round(LINEAR_OF_BYTE[BLUE[0]!]! / 2));
    expect(levels[3]).toBe(Math.round(LINEAR_ONE / 2));
  });
});
