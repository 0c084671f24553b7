import { describe, expect, it } from 'vitest';
import { EdgeTable } from './edge-table.ts';
import { rollOf } from './sweep/roll.ts';

const SIZE = { width: 2560, height: 2560 };

/** A square face of a shade, walked as faces are, its upper left corner at (x, y). */
function addSquare(table: EdgeTable, x: number, y: number, side: number, shade: number): void {
  table.add(x, y, x, y + side, shade);
  table.add(x, y + side, x + side, y + side, shade);
  table.add(x + side, y + side, x + side, y, shade);
  table.add(x + side, y, x, y, shade);
}

describe('the table of edges', () => {
  it('joins the two sides of each, round the repeat too', () => {
    const table = new EdgeTable(SIZE, 8, 3);
    // Two halves, one beside the other, of which the second goes round the repeat.
    for (const [x, shade] of [
      [512, 0],
      [1792, 1],
    ] as const) {
      table.add(x, 0, x, 2560, shade);
      table.add(x, 2560, x + 1280, 2560, shade);
      table.add(x + 1280, 2560, x + 1280, 0, shade);
      table.add(x + 1280, 0, x, 0, shade);
    }
    const { edges, held } = table.closed();
    expect(edges.count).toBe(4);
    const upright = [...edges.x.keys()].filter((edge) => edges.dx[edge] === 0);
    expect(upright.map((edge) => [edges.x[edge], edges.ahead[edge], edges.back[edge]])).toEqual([
      [512, 0, 1],
      [1792, 1, 0],
    ]);
    expect([...held]).toEqual([0, 1, 0]);
  });

  it('refuses faces that do not meet, and lays what is beyond beside them where they need not', () => {
    const table = new EdgeTable(SIZE, 4, 2);
    addSquare(table, 300, 300, 512, 0);
    expect(() => table.closed()).toThrow('expected two faces at every edge, got 4 edges with one');
    const { edges, held } = table.open(1);
    expect(edges.count).toBe(4);
    for (let edge = 0; edge < 4; edge += 1) {
      expect([edges.ahead[edge], edges.back[edge]].toSorted()).toEqual([0, 1]);
    }
    expect([...held]).toEqual([0, 1]);
  });

  it('refuses a repeat that is covered twice', () => {
    const table = new EdgeTable(SIZE, 8, 2);
    addSquare(table, 0, 0, 2560, 0);
    addSquare(table, 0, 0, 2560, 1);
    expect(() => table.closed()).toThrow("expected one face at the window's corner, got 2");
  });
});

/** Two lines round a repeat of so many pixels, the second half a width further, with two shades between them. */
function linesRound(across: number, down: number, columns: number, rows: number) {
  const table = new EdgeTable({ width: across * 256, height: down * 256 }, 4, 2);
  const way = { x: columns * across * 256, y: rows * down * 256 };
  for (const [start, ahead] of [
    [0, 0],
    [across * 128, 1],
  ] as const) {
    table.add(start, 0, start + way.x, way.y, ahead);
    table.add(start + way.x, way.y, start, 0, 1 - ahead);
  }
  return table.open(1).edges;
}

describe('rows that come again further right', () => {
  const twoShades = Int32Array.of(0, 1);

  it.each([
    // A square: each row is the one before, moved by what the line moves in it.
    [80, 80, 1, 1, { rows: 1, pixels: 1 }],
    [80, 80, -1, 1, { rows: 1, pixels: 79 }],
    [2000, 2000, 7, 10, { rows: 10, pixels: 7 }],
    // 78/74 is 39/37: no multiple of it is exact in doubles.
    [78, 74, -1, 1, { rows: 37, pixels: 39 }],
    // Never before the repeat ends, or too late to be kept.
    [81, 80, 1, 1, undefined],
    [2048, 2047, 1, 1, undefined],
  ] as const)('%i × %i px along %i, %i', (across, down, columns, rows, expected) => {
    expect(rollOf(linesRound(across, down, columns, rows), twoShades, down)).toEqual(expected);
  });

  it('are all alike where there is but one light', () => {
    expect(rollOf(linesRound(80, 80, 1, 1), Int32Array.of(0, 0), 80)).toEqual({ rows: 1, pixels: 0 });
  });
});
