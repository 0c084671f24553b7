import { CoreError } from '../../error.ts';
import { modulo } from '../../exact/modulo.ts';
import type { Interlacing } from '../weave.ts';
import { MAX_MATRIX } from './weave-spec.ts';

/**
 * Reads rows of # or 1 (warp on top) and . or 0, from the top; the last row is the first pick.
 * @throws CoreError "weave/rows" {row} where one has another length or another sign | "weave/matrix" {ends, picks, most}
 */
export function parseMatrix(rows: readonly string[]): Interlacing {
  const ends = rows[0]?.length ?? 0;
  const picks = rows.length;
  if (ends < 1 || picks < 1 || ends > MAX_MATRIX || picks > MAX_MATRIX) {
    throw new CoreError('weave/matrix', { ends, picks, most: MAX_MATRIX });
  }
  const up = new Uint8Array(ends * picks);
  rows.forEach((row, fromTop) => {
    if (row.length !== ends || !/^[#1.0]+$/.test(row))
      throw new CoreError('weave/rows', { row: fromTop + 1 });
    for (let end = 0; end < ends; end += 1) {
      up[(picks - 1 - fromTop) * ends + end] = row[end] === '#' || row[end] === '1' ? 1 : 0;
    }
  });
  return { ends, picks, up };
}

/** A structure as rows of # and . from the top. */
export function matrixRows({ ends, picks, up }: Interlacing): string[] {
  return Array.from({ length: picks }, (_, fromTop) => {
    const from = (picks - 1 - fromTop) * ends;
    return Array.from(up.subarray(from, from + ends), (cell) => (cell === 1 ? '#' : '.')).join('');
  });
}

/** What can be done to a whole structure. */
export const MATRIX_EDITS = [
  'left',
  'right',
  'up',
  'down',
  'invert',
  'mirror-across',
  'mirror-up',
  'turn',
  'double-ends',
  'double-picks',
  'counterchange',
] as const;
export type MatrixEdit = (typeof MATRIX_EDITS)[number];

/** Shifts, mirrors, turns, inverts (warp and weft trade faces), doubles or counterchanges a structure. */
export function editMatrix({ ends, picks, up }: Interlacing, edit: MatrixEdit): Interlacing {
  const at = (end: number, pick: number) => up[modulo(pick, picks) * ends + modulo(end, ends)]!;
  const make = (width: number, height: number, cell: (end: number, pick: number) => number): Interlacing => {
    if (width > MAX_MATRIX || height > MAX_MATRIX) {
      throw new CoreError('weave/matrix', { ends: width, picks: height, most: MAX_MATRIX });
    }
    const made = Uint8Array.from({ length: width * height }, (_, index) =>
      cell(index % width, Math.floor(index / width)),
    );
    return { ends: width, picks: height, up: made };
  };
  switch (edit) {
    case 'left':
      return make(ends, picks, (end, pick) => at(end + 1, pick));
    case 'right':
      return make(ends, picks, (end, pick) => at(end - 1, pick));
    case 'up':
      return make(ends, picks, (end, pick) => at(end, pick - 1));
    case 'down':
      return make(ends, picks, (end, pick) => at(end, pick + 1));
    case 'invert':
      return make(ends, picks, (end, pick) => 1 - at(end, pick));
    case 'mirror-across':
      return make(ends, picks, (end, pick) => at(ends - 1 - end, pick));
    case 'mirror-up':
      return make(ends, picks, (end, pick) => at(end, picks - 1 - pick));
    case 'turn':
      // A quarter turn: warp becomes weft, so that what was on top lies below.
      return make(picks, ends, (end, pick) => 1 - at(pick, picks - 1 - end));
    case 'double-ends':
      return make(2 * ends, picks, (end, pick) => at(Math.floor(end / 2), pick));
    case 'double-picks':
      return make(ends, 2 * picks, (end, pick) => at(end, Math.floor(pick / 2)));
    case 'counterchange':
      // Four squares: the structure, and beside and above it what trades faces with it.
      return make(2 * ends, 2 * picks, (end, pick) => {
        const traded = end >= ends !== pick >= picks;
        return traded ? 1 - at(end, pick) : at(end, pick);
      });
    default:
      return edit satisfies never;
  }
}

/** Another size: what is there stays, what is new takes up where the structure comes round. */
export function resizeMatrix({ ends, picks, up }: Interlacing, width: number, height: number): Interlacing {
  if (!(width >= 1 && height >= 1 && width <= MAX_MATRIX && height <= MAX_MATRIX)) {
    throw new CoreError('weave/matrix', { ends: width, picks: height, most: MAX_MATRIX });
  }
  const made = Uint8Array.from({ length: width * height }, (_, index) => {
    const end = index % width;
    const pick = Math.floor(index / width);
    return up[(pick % picks) * ends + (end % ends)]!;
  });
  return { ends: width, picks: height, up: made };
}
