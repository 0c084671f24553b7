import { LINEAR_ONE } from '../colour/linear.ts';
import type { Picture } from '../shape/picture.ts';
import { CHANNELS } from './row-sums.ts';

/**
 * A picture in fewer pixels, each the mean of what it covers, weighted by its share; in whole levels 0 … 65535, colours
 * multiplied by how opaque they are.
 *
 * @param size     at most the picture's own
 * @param levelOf  level of each byte
 */
export function shrinkPicture(
  { width, height, rgba }: Picture,
  size: { readonly width: number; readonly height: number },
  levelOf: Float64Array,
): Uint16Array {
  const made = new Uint16Array(size.width * size.height * CHANNELS);
  const columns = sharesOf(width, size.width);
  const rows = sharesOf(height, size.height);
  const line = new Float64Array(size.width * CHANNELS);
  const sums = new Float64Array(size.width * CHANNELS);
  for (const [at, { first, shares }] of rows.entries()) {
    sums.fill(0);
    for (const [step, share] of shares.entries()) {
      shrinkRow(rgba.subarray((first + step) * width * 4), columns, levelOf, line);
      for (let each = 0; each < sums.length; each += 1) sums[each]! += line[each]! * share;
    }
    for (let each = 0; each < sums.length; each += 1) {
      made[at * sums.length + each] = Math.round(sums[each]!);
    }
  }
  return made;
}

/** What one pixel covers along a side: pixels from the first on, and what part of it each of them is. */
interface Shares {
  readonly first: number;
  readonly shares: readonly number[];
}

function sharesOf(from: number, to: number): readonly Shares[] {
  return Array.from({ length: to }, (_, at) => {
    const start = (at * from) / to;
    const end = ((at + 1) * from) / to;
    const first = Math.floor(start);
    const last = Math.max(first + 1, Math.min(from, Math.ceil(end)));
    const shares = Array.from({ length: last - first }, (_, step) => {
      const pixel = first + step;
      return (Math.min(end, pixel + 1) - Math.max(start, pixel)) / (end - start);
    });
    return { first, shares };
  });
}

/** A hot loop. */
function shrinkRow(
  row: Uint8Array,
  columns: readonly Shares[],
  levelOf: Float64Array,
  line: Float64Array,
): void {
  for (let column = 0; column < columns.length; column += 1) {
    const { first, shares } = columns[column]!;
    let red = 0;
    let green = 0;
    let blue = 0;
    let cover = 0;
    for (let step = 0; step < shares.length; step += 1) {
      const at = (first + step) * 4;
      const part = (shares[step]! * row[at + 3]!) / 255;
      red += levelOf[row[at]!]! * part;
      green += levelOf[row[at + 1]!]! * part;
      blue += levelOf[row[at + 2]!]! * part;
      cover += part;
    }
    const place = column * CHANNELS;
    line[place] = red;
    line[place + 1] = green;
    line[place + 2] = blue;
    line[place + 3] = cover * LINEAR_ONE;
  }
}
