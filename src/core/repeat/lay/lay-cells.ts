import { CoreError } from '../../error.ts';
import { modulo } from '../../exact/modulo.ts';
import { multiply, type Rational, rational, round } from '../../exact/rational.ts';
import { equalSurds, rationalOf } from '../../exact/surd.ts';
import type { Rectangle, Vector } from '../../exact/vector.ts';
import type { Cells } from '../../thread/cells.ts';
import { MAX_REPEAT, MAX_STORED } from '../../thread/cross.ts';
import type { Lattice, RepeatUnit } from '../repeat-unit.ts';
import { type BoxLay, inBoxes, stepsOf } from './arranged.ts';
import { placesOf } from './box-places.ts';
import type { BoxStand } from './group-blocks.ts';
import { halvedCells, standCells } from './stand-cells.ts';

/** How threads meet their mirror image: the last is the pivot and stands once, or stands beside itself. */
export const PIVOTS = ['shared', 'doubled'] as const;
export type Pivots = (typeof PIVOTS)[number];

/** Cells of one repeat, laid in whole threads as near as they can be to where a lay wants them. */
export function layCells(unit: RepeatUnit<Cells>, lay: BoxLay, pivots: Pivots): RepeatUnit<Cells> {
  const box = threadBox(unit.content, lay, pivots);
  checkSquare(unit, lay);
  const { places, half } = placesOf(lay);
  const { upright } = stepsOf([inBoxes(lay.ways[0]), inBoxes(lay.ways[1])]);
  const ends = threads(multiply(rationalOf(upright.width)!, box.width));
  const picks = threads(multiply(rationalOf(upright.height)!, box.height));
  checkSize(ends, picks);
  const drawn = half === undefined ? unit.content : halvedCells(unit.content, half);
  const content = assembled(
    drawn,
    places.map(({ x, y, stand }) => ({
      x: threads(multiply(x, box.width)),
      y: threads(multiply(y, box.height)),
      stand,
    })),
    { ends, picks },
  );
  return {
    ...unit,
    lattice: threadLattice(unit.content, lay, pivots),
    repeat: { width: rational(ends), height: rational(picks) },
    grid: { step: 'thread', ends, picks },
    content,
  };
}

/** From a box to its neighbours, in threads: no whole numbers where the lay would cut one. */
export function threadLattice(cells: Pick<Cells, 'width' | 'height'>, lay: BoxLay, pivots: Pivots): Lattice {
  const box = threadBox(cells, lay, pivots);
  const vector = ({ x, y }: Vector): Vector => ({ x: multiply(x, box.width), y: multiply(y, box.height) });
  return [vector(lay.ways[0]), vector(lay.ways[1])];
}

/** Threads of a box: what turns back on its last thread is one shorter than what is laid beside itself. */
function threadBox(
  { width, height }: Pick<Cells, 'width' | 'height'>,
  { mirrors }: BoxLay,
  pivots: Pivots,
): Rectangle {
  const shorter = (isMirror: boolean, threads: number) =>
    isMirror && pivots === 'shared' && threads > 1 ? threads - 1 : threads;
  return {
    width: rational(shorter(mirrors.upright, width)),
    height: rational(shorter(mirrors.level, height)),
  };
}

/** The nearest whole number of threads; half a thread goes up. */
function threads(exact: Rational): number {
  return Number(round(exact));
}

/** @throws CoreError "lay/square" */
function checkSquare({ content, pitch }: RepeatUnit<Cells>, { square }: BoxLay): void {
  if (square && !(content.width === content.height && equalSurds(pitch.x, pitch.y))) {
    throw new CoreError('lay/square', {});
  }
}

/** @throws CoreError "repeat/too-large" {ends, picks, most} */
function checkSize(ends: number, picks: number): void {
  if (ends <= MAX_REPEAT && picks <= MAX_REPEAT && ends * picks <= MAX_STORED) return;
  throw new CoreError('repeat/too-large', { ends, picks, most: MAX_REPEAT });
}

interface ThreadPlace {
  /** Of the lower left thread. */
  readonly x: number;
  readonly y: number;
  readonly stand: BoxStand;
}

/** Puts cells side by side; each different row of the whole is made once. */
function assembled(
  cells: Cells,
  places: readonly ThreadPlace[],
  { ends, picks }: { readonly ends: number; readonly picks: number },
): Cells {
  const stands = new Map<BoxStand, Cells>();
  for (const { stand } of places) if (!stands.has(stand)) stands.set(stand, standCells(cells, stand));
  const known = new Map<string, number>();
  const rows: Uint16Array[] = [];
  const over: Uint8Array[] = [];
  const rowAt = new Uint32Array(picks);
  for (let pick = 0; pick < picks; pick += 1) {
    const parts = places.flatMap((place) => {
      const own = stands.get(place.stand)!;
      const up = modulo(pick - place.y, picks);
      return up < own.height ? [{ x: place.x, own, row: own.rowAt[own.height - 1 - up]!, place }] : [];
    });
    const key = parts.map(({ x, row, place }) => `${x} ${place.stand} ${row}`).join();
    let row = known.get(key);
    if (row === undefined) {
      row = rows.length;
      known.set(key, row);
      const line = new Uint16Array(ends);
      const face = new Uint8Array(ends);
      for (const { x, own, row: from } of parts) {
        put(line, own.rows[from]!, x);
        if (own.over !== undefined) put(face, own.over[from]!, x);
      }
      rows.push(line);
      over.push(face);
    }
    rowAt[picks - 1 - pick] = row;
  }
  return {
    kind: 'cells',
    width: ends,
    height: picks,
    shades: cells.shades,
    rows,
    ...(cells.over && { over }),
    rowAt,
  };
}

function put<T extends Uint16Array | Uint8Array>(line: T, part: T, at: number): void {
  for (let x = 0; x < part.length; x += 1) line[modulo(at + x, line.length)] = part[x]!;
}
