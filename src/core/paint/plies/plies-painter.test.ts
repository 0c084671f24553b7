import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { picturesOf } from '../../../../tests/pictures-of.ts';
import { SOME_OF } from '../../../../tests/sample-design.ts';
import { hexOf, rgbOf } from '../../colour/hex.ts';
import { PLY_BLENDS } from '../../colour/ply-blend.ts';
import { seenAs } from '../../colour/proof.ts';
import { compile } from '../../design/compile-design.ts';
import type { Design } from '../../design/design-schema.ts';
import { designFromStart } from '../../design/starts.ts';
import { CoreError } from '../../error.ts';
import { ORIGIN, type Point } from '../../exact/plane.ts';
import { ONE, type Rational, rational, toNumber } from '../../exact/rational.ts';
import { type Surd, scaleSurd, surd, surdToNumber, ZERO_SURD } from '../../exact/surd.ts';
import { contentKind, partitionIn } from '../../repeat/contents.ts';
import { layPlies } from '../../repeat/plies/lay-plies.ts';
import { shiftUnit } from '../../repeat/plies/shift-unit.ts';
import { proofed } from '../../repeat/proofed.ts';
import { type Ply, type RepeatUnit, repeatSize, straightUnit } from '../../repeat/repeat-unit.ts';
import { printOver } from '../../thread/print.ts';
import { leaksOf } from '../leaks.ts';
import { packLight } from '../light-rows.ts';
import { paintRoll } from '../paint-roll.ts';
import { lightPainters, type PaintWindow, paintRows, paintTile, preparePainting } from '../painting.ts';
import { rowBlender } from './blend-rows.ts';

const SHADES = [
  { key: 'B', name: 'Blue', hex: '#20304a' },
  { key: 'O', name: 'Ochre', hex: '#c8a24a' },
  { key: 'W', name: 'White', hex: '#f4efe2' },
];

function ply(unit: RepeatUnit, change: Partial<Ply> = {}): Omit<Ply, 'times'> {
  return { unit, shift: ORIGIN, blend: 'normal', strength: ONE, clip: null, shown: true, ...change };
}

const millimetres = (x: Rational | number, y: Rational | number): Point => ({ x: surd(x), y: surd(y) });

/** Stripes of threads, up or across, one millimetre each. */
function stripes(threads: readonly number[], way: 'up' | 'across'): RepeatUnit {
  const { length } = threads;
  const isUp = way === 'up';
  return straightUnit(
    {
      kind: 'cells',
      width: isUp ? length : 1,
      height: isUp ? 1 : length,
      shades: SHADES,
      rows: isUp ? [Uint16Array.from(threads)] : SHADES.map((_, shade) => Uint16Array.of(shade)),
      // The first pick is the lowest, rows are counted from the top.
      rowAt: isUp ? Uint32Array.of(0) : Uint32Array.from(threads).reverse(),
    },
    { x: ONE, y: ONE },
  );
}

const SETT = [0, 0, 0, 0, 1, 1, 2, 2, 2, 2, 2, 2];

function rowsOf(unit: RepeatUnit, window: PaintWindow): Uint32Array {
  const out = new Uint32Array(window.width * window.tile.height);
  paintRows(preparePainting(unit, window), 0, window.tile.height, out);
  return out;
}

const flat = (width: number, height: number, offset = { x: 0, y: 0 }): PaintWindow => ({
  tile: { width, height },
  width,
  offset,
  look: 'flat',
});

describe('stripes over stripes', () => {
  it('at half strength are the printed plaid, byte for byte', () => {
    const threads = Uint16Array.from(SETT);
    const printed = printOver({
      inks: SHADES.map((shade) => ({ shade })),
      warp: threads,
      weft: threads,
      print: { blend: 'normal', strength: rational(1, 2), top: 'warp', ground: '#ffffff' },
    });
    const plies = layPlies([
      ply(stripes(SETT, 'across')),
      ply(stripes(SETT, 'up'), { strength: rational(1, 2) }),
    ]);
    const tile = { width: 24, height: 24 };
    expect(paintTile(plies, tile)).toEqual(paintTile(straightUnit(printed, { x: ONE, y: ONE }), tile));
  });
});

/** Any design that makes a repeat, laid; its repeat is made 1 to 4 steps of 10 mm wide and high, so that any two close. */
const someUnit: fc.Arbitrary<RepeatUnit | undefined> = fc
  .tuple(
    fc.oneof(...Object.values(SOME_OF)) as fc.Arbitrary<Design>,
    fc.integer({ min: 1, max: 3 }),
    fc.integer({ min: 1, max: 3 }),
  )
  .map(([design, across, up]) => {
    try {
      const unit = compile(design, picturesOf(design));
      const size = repeatSize(unit);
      // Content that is measured in millimetres keeps its size.
      if (size === null || unit.content.kind === 'marks') return undefined;
      const pitch = (steps: number, count: Rational): Surd =>
        scaleSurd(surd(rational(10 * steps)), rational(count.d, count.n));
      return {
        ...unit,
        pitch: { x: pitch(across, unit.repeat!.width), y: pitch(up, unit.repeat!.height) },
      };
    } catch (error) {
      if (error instanceof CoreError) return undefined;
      throw error;
    }
  });

const somePly = fc.record({
  unit: someUnit,
  blend: fc.constantFrom(...PLY_BLENDS),
  strength: fc.integer({ min: 0, max: 4 }).map((part) => rational(part, 4)),
  shift: fc.constantFrom(ORIGIN, millimetres(5, 0), millimetres(rational(10, 3), rational(-10, 3))),
  clipped: fc.boolean(),
  shown: fc.boolean(),
});

const somePlies = fc.array(somePly, { minLength: 1, maxLength: 3 }).map((drawn) => {
  const made = drawn.filter(({ unit }) => unit !== undefined);
  return made.map(
    ({ clipped, unit, ...rest }, at): Omit<Ply, 'times'> => ({
      ...rest,
      unit: unit!,
      clip: clipped && at > 0 ? at - 1 : null,
    }),
  );
});

describe('any plies', () => {
  it('are their own pictures, blended pixel by pixel in their order', () => {
    let compared = 0;
    fc.assert(
      fc.property(somePlies, (told) => {
        fc.pre(told.length > 0);
        const unit = layPlies(told);
        const { plies } = unit.content;
        // So many pixels that each ply has whole ones, and each shift that is drawn.
        const tile = {
          width: 36 * plies[0]!.times.across,
          height: 36 * plies[0]!.times.down,
        };
        fc.pre(plies.every(({ times }) => tile.width % times.across === 0 && tile.height % times.down === 0));
        const expected = new Uint32Array(tile.width * tile.height);
        const pictures = plies.map((each) => {
          const small = { width: tile.width / each.times.across, height: tile.height / each.times.down };
          const pixels = (shift: Surd, side: Surd, count: number) =>
            Math.round((surdToNumber(shift) * count) / surdToNumber(side));
          const { width, height } = repeatSize(each.unit)!;
          const right = pixels(each.shift.x, width, small.width);
          const up = pixels(each.shift.y, height, small.height);
          const moved = rowsOf(each.unit, {
            ...flat(small.width, small.height, { x: -right, y: up }),
            width: tile.width,
          });
          return Uint32Array.from(expected, (_, at) => {
            const y = Math.floor(at / tile.width) % small.height;
            return moved[y * tile.width + (at % tile.width)]!;
          });
        });
        for (const [at, { shown, blend, strength, clip }] of plies.entries()) {
          if (!shown) continue;
          rowBlender(blend, toNumber(strength))(
            expected,
            pictures[at]!,
            clip === null ? undefined : pictures[clip],
          );
        }
        expect(rowsOf(unit, flat(tile.width, tile.height))).toEqual(expected);
        compared += 1;
      }),
      { numRuns: 60 },
    );
    expect(compared).toBeGreaterThan(20);
  });

  it('come round without a seam, and are the same by the general way', () => {
    fc.assert(
      fc.property(
        somePlies,
        fc.integer({ min: 1, max: 40 }),
        fc.integer({ min: 1, max: 40 }),
        (told, width, height) => {
          fc.pre(told.length > 0);
          const unit = layPlies(told);
          const tile = { width, height };
          expect(paintRoll(unit, tile)).toMatchObject({ differingBytes: 0 });
          const window = { ...flat(width, height, { x: 7, y: -3 }), width: width + 3 };
          const { isClear } = contentKind(unit.content);
          const general = packLight(lightPainters(unit, window), window, isClear(unit.content));
          const out = new Uint32Array(window.width * height);
          paintRows({ width: window.width, paintRow: general }, 0, height, out);
          expect(out).toEqual(rowsOf(unit, window));
        },
      ),
      { numRuns: 40 },
    );
  });
});

describe('a pattern that is shifted', () => {
  it('by whole pixels is rolled', () => {
    fc.assert(
      fc.property(
        someUnit,
        fc.integer({ min: -9, max: 9 }),
        fc.integer({ min: -9, max: 9 }),
        (unit, right, up) => {
          // Threads that become faces may be averaged to another level; blocks of a picture lie at doubles.
          fc.pre(unit !== undefined && unit.content.kind === 'partition');
          fc.pre(partitionIn(unit!)!.faces.every(({ fill }) => fill.kind !== 'picture'));
          const size = repeatSize(unit!)!;
          const part = (side: Surd, steps: number) => scaleSurd(side, rational(steps, 9));
          const by = { x: part(size.width, right), y: part(size.height, up) };
          const shifted = rowsOf(shiftUnit(unit!, by), flat(18, 18));
          expect(shifted).toEqual(rowsOf(unit!, flat(18, 18, { x: -2 * right, y: 2 * up })));
        },
      ),
      { numRuns: 60 },
    );
  });

  it('of threads stays threads where they are whole, else becomes faces', () => {
    const unit = stripes(SETT, 'up');
    expect(shiftUnit(unit, millimetres(5, 3)).content.kind).toBe('cells');
    expect(shiftUnit(unit, millimetres(rational(1, 2), 0)).content.kind).toBe('partition');
    expect(shiftUnit(unit, { x: ZERO_SURD, y: ZERO_SURD })).toBe(unit);
  });
});

describe('plies in a proof', () => {
  it('are seen in it after they are blended', () => {
    const unit = layPlies([
      ply(stripes(SETT, 'across')),
      ply(stripes(SETT, 'up'), { blend: 'difference', strength: rational(3, 4) }),
    ]);
    const tile = { width: 12, height: 12 };
    const plain = paintTile(unit, tile);
    const grey = paintTile(proofed(unit, 'grey'), tile);
    for (let at = 0; at < plain.length; at += 4) {
      const [red, green, blue] = plain.subarray(at, at + 3);
      const seen = rgbOf(seenAs(hexOf([red!, green!, blue!]), 'grey'));
      expect([...grey.subarray(at, at + 4)]).toEqual([...seen, 255]);
    }
  });
});

describe('edges of plies', () => {
  it('let nothing through, each by itself; threads have none', () => {
    const unit = compile(designFromStart('tiling', '4.8.8'));
    const plies = layPlies([ply(unit), ply(unit, { blend: 'screen', shift: millimetres(1, 0) })]);
    const leaks = leaksOf(plies, { width: 40, height: 40 })!;
    for (let row = 0; row < 40; row += 1) expect(leaks(row)).toBe(0);
    expect(leaksOf(layPlies([ply(stripes(SETT, 'up'))]), { width: 12, height: 12 })).toBeUndefined();
  });
});

describe('what lies beneath a ply that covers everything', () => {
  it('is not painted', () => {
    const below = stripes(SETT, 'across');
    const broken = {
      ...below,
      pitch: { x: surd(1), y: surd(1) },
      content: { ...below.content, rowAt: new Uint32Array(0) },
    } as RepeatUnit;
    const plies = layPlies([ply(broken), ply(stripes(SETT, 'up'))]);
    const above = layPlies([ply(stripes(SETT, 'up'))]);
    const tile = { width: 12, height: 12 };
    expect(paintTile(plies, tile)).toEqual(paintTile({ ...above, pitch: plies.pitch }, tile));
  });
});
