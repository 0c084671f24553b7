import type { Shade } from '../colour/shade.ts';
import { CoreError } from '../error.ts';
import { commonMultiple } from '../exact/common-multiple.ts';
import type { Cells } from './cells.ts';
import { smallestPeriod } from './smallest-period.ts';
import type { Interlacing } from './weave.ts';

/** Most threads of one repeat, each way, after sett and weave have met. */
export const MAX_REPEAT = 1_000_000;

/** Most cells in the different rows of one repeat; at two bytes a cell and one for the face, 192 MB. */
export const MAX_STORED = 64_000_000;

/** What is crossed: one shade index a thread, each way. */
export interface Crossing {
  readonly shades: readonly Shade[];
  readonly warp: Uint16Array;
  /** The first pick is the lowest on the cloth. */
  readonly weft: Uint16Array;
  readonly interlacing: Interlacing;
}

/**
 * Weaves two sequences thread by thread: the smallest number of ends and picks after which both the order of
 * shades and the interlacing come round together.
 *
 * @throws CoreError "repeat/too-large" {ends, picks, most}
 */
export function cross({ shades, warp, weft, interlacing }: Crossing): Cells {
  const width = commonMultiple(smallestPeriod(warp), interlacing.ends);
  const height = commonMultiple(smallestPeriod(weft), interlacing.picks);
  const different = interlacing.picks * new Set(weft).size;
  if (width > MAX_REPEAT || height > MAX_REPEAT || width * Math.min(different, height) > MAX_STORED) {
    throw new CoreError('repeat/too-large', { ends: width, picks: height, most: MAX_REPEAT });
  }
  const rows: Uint16Array[] = [];
  const over: Uint8Array[] = [];
  const known = new Map<number, number>();
  const rowAt = new Uint32Array(height);
  for (let pick = 0; pick < height; pick += 1) {
    const shade = weft[pick % weft.length]!;
    const key = shade * interlacing.picks + (pick % interlacing.picks);
    let row = known.get(key);
    if (row === undefined) {
      row = rows.length;
      known.set(key, row);
      const face = faceOf(interlacing, pick % interlacing.picks, width);
      over.push(face);
      rows.push(rowOf(face, warp, shade));
    }
    rowAt[height - 1 - pick] = row;
  }
  return { kind: 'cells', width, height, shades, rows, over, rowAt };
}

/** One pick of the interlacing, repeated to the full width. */
function faceOf({ ends, up }: Interlacing, pick: number, width: number): Uint8Array {
  const face = new Uint8Array(width);
  const once = up.subarray(pick * ends, (pick + 1) * ends);
  for (let end = 0; end < width; end += ends) face.set(once, end);
  return face;
}

function rowOf(face: Uint8Array, warp: Uint16Array, weftShade: number): Uint16Array {
  const row = new Uint16Array(face.length);
  for (let end = 0; end < row.length; end += 1) {
    row[end] = face[end] === 1 ? warp[end % warp.length]! : weftShade;
  }
  return row;
}
