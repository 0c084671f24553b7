import { modulo } from '../exact/modulo.ts';
import { gaussianWeights } from './gaussian.ts';

/** Shares 0 … 1 of a row's pixels that something covers. */
export interface Cover {
  /** Pixels that it reaches over. */
  readonly across: number;
  readonly down: number;
  readonly rowAt: (row: number, shares: Float64Array) => void;
}

/** Most pixels of a standard deviation that are weighed one by one; of larger ones, blocks of pixels are. */
const FINEST = 8;

/**
 * A cover blurred by a Gaussian. Rows are made when they are asked for, and as many are kept as the next one needs.
 *
 * Where the deviation is large, blocks of about f × f pixels are averaged first, and what lies between their middles is
 * interpolated: both widen the blur by f²/4 in its variance, which is taken off. Where the cover comes round, blocks divide
 * it evenly, up to a pixel.
 *
 * @param deviation  in pixels, above 0
 * @param endless    whether the cover comes round at its edges; else it is none beyond them, and the blur reaches further
 */
export function softCover(
  cover: Cover,
  deviation: number,
  endless: boolean,
): Cover & { readonly margin: number } {
  const least = Math.min(Math.max(1, Math.floor(deviation / FINEST)), cover.across, cover.down);
  const columns = Math.ceil(cover.across / least);
  const rows = Math.ceil(cover.down / least);
  const block = endless ? { x: cover.across / columns, y: cover.down / rows } : { x: least, y: least };
  const mean = Math.sqrt(block.x * block.y);
  const widened = least === 1 ? 0 : mean ** 2 / 4;
  const weights = gaussianWeights(Math.sqrt(deviation ** 2 - widened) / mean);
  const reach = (weights.length - 1) / 2;
  const beyond = endless ? 0 : reach + 1;
  const size = { columns, rows, reach, beyond, block, endless };
  const flat = keptRows(2 * reach + 4, (row) => blurredAlong(blockRow(cover, row, size), weights, size));
  const soft = keptRows(4, (row) =>
    blurredAcross((at) => flat(placeOf(at, size)), row, weights, columns + 2 * beyond),
  );
  const margin = beyond * least;
  return {
    margin,
    across: cover.across + 2 * margin,
    down: cover.down + 2 * margin,
    rowAt: (row, shares) => {
      if (least === 1) {
        shares.set(soft(row - margin)!);
        return;
      }
      const place = (row - margin + 0.5) / block.y - 0.5;
      const upper = Math.floor(place);
      between(soft(upper)!, soft(upper + 1)!, place - upper, size, shares);
    },
  };
}

interface BlurSize {
  readonly columns: number;
  readonly rows: number;
  readonly reach: number;
  /** Blocks that the blur reaches beyond the cover. */
  readonly beyond: number;
  /** Pixels of a block's sides. */
  readonly block: { readonly x: number; readonly y: number };
  readonly endless: boolean;
}

function placeOf(row: number, { rows, endless }: BlurSize): number {
  return endless ? modulo(row, rows) : row;
}

/** Rows by their numbers, of which the newest few are kept. */
function keptRows(most: number, make: (row: number) => Float64Array | undefined) {
  const kept = new Map<number, Float64Array | undefined>();
  return (row: number) => {
    if (kept.has(row)) return kept.get(row);
    const made = make(row);
    if (kept.size >= most) kept.delete(kept.keys().next().value!);
    kept.set(row, made);
    return made;
  };
}

/** The means of the blocks of a row; undefined where there are none. */
function blockRow(cover: Cover, row: number, { columns, rows, block }: BlurSize): Float64Array | undefined {
  if (row < 0 || row >= rows) return undefined;
  const means = new Float64Array(columns);
  const shares = new Float64Array(cover.across);
  const top = Math.round(row * block.y);
  const bottom = Math.round((row + 1) * block.y);
  for (let y = top; y < Math.min(cover.down, bottom); y += 1) {
    cover.rowAt(y, shares);
    for (let column = 0; column < columns; column += 1) {
      const right = Math.min(cover.across, Math.round((column + 1) * block.x));
      for (let x = Math.round(column * block.x); x < right; x += 1) means[column]! += shares[x]!;
    }
  }
  return means.map((sum, column) => {
    const across = Math.round((column + 1) * block.x) - Math.round(column * block.x);
    return sum / (across * (bottom - top));
  });
}

/** A hot loop. */
function blurredAlong(
  row: Float64Array | undefined,
  weights: Float64Array,
  { columns, reach, beyond, endless }: BlurSize,
): Float64Array | undefined {
  if (row === undefined) return undefined;
  const made = new Float64Array(columns + 2 * beyond);
  for (let x = 0; x < made.length; x += 1) {
    const middle = x - beyond;
    const first = endless ? -reach : Math.max(-reach, -middle);
    const last = endless ? reach : Math.min(reach, columns - 1 - middle);
    let sum = 0;
    for (let step = first; step <= last; step += 1) {
      const at = endless ? modulo(middle + step, columns) : middle + step;
      sum += row[at]! * weights[step + reach]!;
    }
    made[x] = sum;
  }
  return made;
}

/** A hot loop. */
function blurredAcross(
  rowAt: (row: number) => Float64Array | undefined,
  row: number,
  weights: Float64Array,
  across: number,
): Float64Array {
  const made = new Float64Array(across);
  const reach = (weights.length - 1) / 2;
  for (let step = -reach; step <= reach; step += 1) {
    const from = rowAt(row + step);
    if (from === undefined) continue;
    const weight = weights[step + reach]!;
    for (let x = 0; x < across; x += 1) made[x]! += from[x]! * weight;
  }
  return made;
}

/** What lies between the middles of blocks, along and across. A hot loop. */
function between(
  upper: Float64Array,
  lower: Float64Array,
  part: number,
  { block, endless }: BlurSize,
  shares: Float64Array,
): void {
  const count = upper.length;
  for (let x = 0; x < shares.length; x += 1) {
    const place = (x + 0.5) / block.x - 0.5;
    const first = Math.floor(place);
    const left = endless ? modulo(first, count) : Math.max(0, first);
    const right = endless ? modulo(first + 1, count) : Math.min(count - 1, first + 1);
    const above = upper[left]! + (upper[right]! - upper[left]!) * (place - first);
    const below = lower[left]! + (lower[right]! - lower[left]!) * (place - first);
    shares[x] = above + (below - above) * part;
  }
}
