import { CoreError } from '../../../error.ts';

/** A crossing that is broken: strands turn back at a wall that stands upright or lies level there. */
interface KnotBreak {
  /** From the lower left, in half cells: one of them is odd, the other even. */
  readonly x: number;
  readonly y: number;
  readonly wall: 'upright' | 'level';
}

/** A grid of cells through the middles of whose sides strands run. */
export interface KnotPanel {
  readonly columns: number;
  readonly rows: number;
  readonly breaks: readonly KnotBreak[];
}

/** Most cells along a side. */
export const MAX_KNOT_CELLS = 40;

/** The corners of a strand that comes back to its start, in half cells from the lower left of the grid. */
export type Strand = readonly (readonly [x: number, y: number])[];

interface Going {
  /** The middle of a side, and the way that a strand leaves it. */
  readonly x: number;
  readonly y: number;
  readonly dx: 1 | -1;
  readonly dy: 1 | -1;
}

/**
 * The strands of a knot panel: they cross in the middles of sides, in diagonals, and turn back at the panel's border and
 * at walls. Without walls there are as many as columns and rows have as their greatest common divisor.
 * The usual construction of knotwork on a grid; common practice.
 *
 * @throws CoreError "knot/size" {columns, rows, most}; "knot/break" {x, y}; "knot/closed" {column, row} for a cell with walls all round
 */
export function knotStrands({ columns, rows, breaks }: KnotPanel): readonly Strand[] {
  const isSize = (count: number) => Number.isInteger(count) && count >= 1 && count <= MAX_KNOT_CELLS;
  if (!isSize(columns) || !isSize(rows) || columns * rows < 2) {
    throw new CoreError('knot/size', { columns, rows, most: MAX_KNOT_CELLS });
  }
  const walls = new Map<string, KnotBreak['wall']>();
  for (const { x, y, wall } of breaks) {
    const isSide = (x + y) % 2 === 1 && x > 0 && y > 0 && x < 2 * columns && y < 2 * rows;
    if (!isSide) throw new CoreError('knot/break', { x, y });
    walls.set(`${x} ${y}`, wall);
  }
  const wallAt = (x: number, y: number) => {
    if (x === 0 || x === 2 * columns) return 'upright';
    if (y === 0 || y === 2 * rows) return 'level';
    return walls.get(`${x} ${y}`);
  };
  const seen = new Set<string>();
  const strands: Strand[] = [];
  for (let y = 0; y < 2 * rows; y += 1) {
    for (let x = (y + 1) % 2; x < 2 * columns; x += 2) {
      for (const dx of [1, -1] as const) {
        const start: Going = { x, y, dx, dy: 1 };
        if (x + dx < 0 || x + dx > 2 * columns || isSeen(start, seen)) continue;
        strands.push(follow(start, wallAt, seen));
      }
    }
  }
  for (const strand of strands) {
    if (strand.length > 4) continue;
    const [x, y] = strand[0]!;
    throw new CoreError('knot/closed', { column: Math.floor(x / 2) + 1, row: Math.floor(y / 2) + 1 });
  }
  return strands;
}

/** A stretch between two sides is the same both ways. */
function nameOf({ x, y, dx, dy }: Going): string {
  return `${2 * x + dx} ${2 * y + dy}`;
}

function isSeen(going: Going, seen: ReadonlySet<string>): boolean {
  return seen.has(nameOf(going));
}

/** A strand from the middle of one stretch to the next. */
function follow(
  start: Going,
  wallAt: (x: number, y: number) => KnotBreak['wall'] | undefined,
  seen: Set<string>,
): Strand {
  const corners: [number, number][] = [];
  let going = start;
  do {
    seen.add(nameOf(going));
    corners.push([going.x + going.dx / 2, going.y + going.dy / 2]);
    const x = going.x + going.dx;
    const y = going.y + going.dy;
    const wall = wallAt(x, y);
    const dx = wall === 'upright' ? (-going.dx as 1 | -1) : going.dx;
    const dy = wall === 'level' ? (-going.dy as 1 | -1) : going.dy;
    going = { x, y, dx, dy };
  } while (going.x !== start.x || going.y !== start.y || going.dx !== start.dx || going.dy !== start.dy);
  return corners;
}

/**
 * Reads broken crossings: "3,2| 4,5-", each the half cells across and up and the wall, upright or level.
 * @throws CoreError "knot/breaks" {text}
 */
export function parseBreaks(text: string): readonly KnotBreak[] {
  const words = text.trim() === '' ? [] : text.trim().split(/\s+/);
  return words.map((word) => {
    const match = /^(\d{1,3}),(\d{1,3})([|-])$/.exec(word);
    if (match === null) throw new CoreError('knot/breaks', { text: word });
    return { x: Number(match[1]), y: Number(match[2]), wall: match[3] === '|' ? 'upright' : 'level' };
  });
}
