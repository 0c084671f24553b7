import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { picturesOf } from '../../../../tests/pictures-of.ts';
import { somePlainMotif, someStripe, someTiling } from '../../../../tests/sample-design.ts';
import { netOf, someNet, unitOf } from '../../../../tests/some-net.ts';
import { compile } from '../../design/compile-design.ts';
import { CoreError } from '../../error.ts';
import type { Partition } from '../../faces/partition.ts';
import { contentKind } from '../../repeat/contents.ts';
import type { RepeatUnit } from '../../repeat/repeat-unit.ts';
import { packLight } from '../light-rows.ts';
import { lightPainters, type PaintWindow, preparePainting } from '../painting.ts';
import { paintBySums } from '../partition-painter.ts';

/** Scenes of each kind; more of them by VETRO_SCENES. */
const SCENES = Number(process.env['VETRO_SCENES'] ?? 100);

const SHIFT = fc.oneof(fc.constant(0), fc.integer({ min: -500, max: 500 }));

/** Tiles of a few pixels and of some hundred, seen in narrower and wider windows, mixed as light and as bytes. */
const someWindow: fc.Arbitrary<PaintWindow> = fc
  .record({
    tile: fc.oneof(
      fc.record({ width: fc.integer({ min: 1, max: 12 }), height: fc.integer({ min: 1, max: 12 }) }),
      fc.integer({ min: 16, max: 90 }).map((side) => ({ width: side, height: side })),
      fc.record({ width: fc.integer({ min: 8, max: 160 }), height: fc.integer({ min: 8, max: 90 }) }),
    ),
    share: fc.constantFrom(1, 1, 0.3, 0.8, 1.7, 3),
    x: SHIFT,
    y: SHIFT,
    mixing: fc.constantFrom('light' as const, 'light' as const, 'bytes' as const),
  })
  .map(({ tile, share, x, y, mixing }) => ({
    tile,
    width: Math.max(1, Math.round(tile.width * share)),
    offset: { x, y },
    look: 'flat',
    mixing,
  }));

/** Rows one after another down and round, upward, and with leaps among them. */
const someOrder = fc.record({
  way: fc.constantFrom('down', 'down', 'up'),
  leaps: fc.array(fc.record({ after: fc.nat(200), to: fc.integer({ min: -1000, max: 1000 }) }), {
    maxLength: 4,
  }),
});

type Order = typeof someOrder extends fc.Arbitrary<infer Value> ? Value : never;

function rowsOf({ way, leaps }: Order, { tile }: PaintWindow): readonly number[] {
  const rows = Array.from({ length: tile.height + 9 }, (_, at) => at - 4);
  if (way === 'up') rows.reverse();
  for (const { after, to } of leaps) rows.splice(after % rows.length, 0, to, to + 1, to + 2);
  return rows;
}

type PaintRow = ReturnType<typeof paintBySums>;

/** @returns  where a pixel first differs from what the judge paints; it may not write beside the row either */
function firstDifference(
  tested: PaintRow,
  judge: PaintRow,
  window: PaintWindow,
  order: Order,
): string | undefined {
  const expected = new Uint32Array(window.width);
  const got = new Uint32Array(window.width + 2);
  for (const row of rowsOf(order, window)) {
    judge(row, expected, 0);
    got.fill(7);
    tested(row, got, 1);
    if (got[0] !== 7 || got[window.width + 1] !== 7) return `row ${row}: wrote beside it`;
    const x = expected.findIndex((pixel, at) => pixel !== got[at + 1]);
    if (x >= 0) return `row ${row}, ${x}: ${expected[x]!.toString(16)}, got ${got[x + 1]!.toString(16)}`;
  }
  return undefined;
}

function paintRow(unit: RepeatUnit, window: PaintWindow): PaintRow {
  return preparePainting(unit, window).paintRow;
}

/** By the exact light of every pixel. */
function byLight(unit: RepeatUnit, window: PaintWindow): PaintRow {
  return packLight(lightPainters(unit, window), window, contentKind(unit.content).isClear(unit.content));
}

function compiled(design: Parameters<typeof compile>[0]): RepeatUnit | undefined {
  try {
    return compile(design, picturesOf(design));
  } catch (error) {
    if (error instanceof CoreError) return undefined;
    throw error;
  }
}

const TIME = 60_000 + SCENES * 200;

describe('the sweep', () => {
  it('makes the bytes of the exact sums, of nets', () => {
    fc.assert(
      fc.property(someNet, someWindow, someOrder, (net, window, order) => {
        const difference = firstDifference(
          paintRow(unitOf(net), window),
          paintBySums(net, window),
          window,
          order,
        );
        expect(difference).toBeUndefined();
      }),
      { numRuns: SCENES },
    );
  }, 1e6);

  it.each([
    ['stripes', someStripe],
    ['tilings with lines, gaps, letters and pictures', someTiling],
    ['motifs in plain shades', somePlainMotif],
  ] as const)(
    'makes those of the exact light, of %s',
    (_, designs) => {
      let compared = 0;
      fc.assert(
        fc.property(designs, someWindow, someOrder, (design, window, order) => {
          const unit = compiled(design);
          if (unit === undefined) return;
          compared += 1;
          const difference = firstDifference(paintRow(unit, window), byLight(unit, window), window, order);
          expect(difference).toBeUndefined();
        }),
        { numRuns: SCENES },
      );
      expect(compared).toBeGreaterThan(SCENES / 2);
    },
    TIME,
  );

  it('shows the ground where a face is missing, and nothing of it where none is', () => {
    const net = netOf(
      3,
      3,
      Array.from({ length: 16 }, (_, at) => [(at * 53) % 300, (at * 91) % 300] as const),
    );
    const torn: Partition = { ...net, faces: net.faces.slice(1) };
    const ground = { key: 'G', name: 'Ground', hex: '#ffffff' };
    const window: PaintWindow = {
      tile: { width: 60, height: 60 },
      width: 60,
      offset: { x: 5, y: 9 },
      look: 'flat',
    };
    const row = new Uint32Array(60);
    const white = (of: Partition) => {
      let count = 0;
      const paint = paintRow(unitOf(of), { ...window, ground });
      for (let y = 0; y < 60; y += 1) {
        paint(y, row, 0);
        count += row.filter((pixel) => pixel === 0xffffffff).length;
      }
      return count;
    };
    expect(white(net)).toBe(0);
    expect(white(torn)).toBeGreaterThan(250);
  });
});
