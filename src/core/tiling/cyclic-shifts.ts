/** Numbers on a torus, row by row. */
export interface Plane {
  readonly width: number;
  readonly height: number;
  readonly at: Uint16Array;
}

export interface Shift {
  readonly x: number;
  readonly y: number;
}

/** A prime below 2^26 and a base below it, so that products of two remainders are exact in doubles. */
const PRIME = 67_108_859;
const BASE = 7_368_787;

/**
 * All shifts by which one plane is moved onto another of its size: image(p) = other(p + shift); none first where it is one.
 * Rows are compared by their hashes, read from each column on (R. M. Karp, M. O. Rabin, Efficient randomized pattern-matching
 * algorithms, IBM J. Res. Develop. 31 (1987) 249–260); what is found is compared cell by cell.
 */
export function cyclicShifts(image: Plane, other: Plane): readonly Shift[] {
  const { width } = image;
  const wanted = rowHashes(other);
  const hashes = rowHashes(image);
  let power = 1;
  for (let column = 1; column < width; column += 1) power = (power * BASE) % PRIME;
  const shifts: Shift[] = [];
  for (let column = 0; column < width; column += 1) {
    // The image read from a column on is the image moved left by so much.
    const x = (width - column) % width;
    for (const y of sequenceShifts(hashes, wanted)) {
      if (isMoved(image, other, { x, y })) shifts.push({ x, y });
    }
    readOn(image, hashes, column, power);
  }
  return shifts;
}

function rowHashes({ width, height, at }: Plane): Float64Array {
  const hashes = new Float64Array(height);
  for (let y = 0; y < height; y += 1) {
    let hash = 0;
    for (let x = 0; x < width; x += 1) hash = (hash * BASE + at[y * width + x]! + 1) % PRIME;
    hashes[y] = hash;
  }
  return hashes;
}

/** The hashes of rows that are read from a column on, as they are from the next. */
function readOn({ width, at }: Plane, hashes: Float64Array, column: number, power: number): void {
  for (let y = 0; y < hashes.length; y += 1) {
    const first = at[y * width + column]! + 1;
    const without = (hashes[y]! - ((first * power) % PRIME) + PRIME) % PRIME;
    hashes[y] = (without * BASE + first) % PRIME;
  }
}

/**
 * By how many places a sequence that comes round is moved forward to be another: the other's beginning is looked for in two
 * rounds, by the failure function of D. E. Knuth, J. H. Morris, V. R. Pratt, SIAM J. Comput. 6 (1977) 323–350.
 */
function sequenceShifts(sequence: Float64Array, other: Float64Array): readonly number[] {
  const { length } = sequence;
  const border = new Uint32Array(length);
  for (let at = 1, matched = 0; at < length; at += 1) {
    while (matched > 0 && sequence[at] !== sequence[matched]) matched = border[matched - 1]!;
    if (sequence[at] === sequence[matched]) matched += 1;
    border[at] = matched;
  }
  const shifts: number[] = [];
  for (let at = 0, matched = 0; at < 2 * length - 1; at += 1) {
    const value = other[at % length];
    while (matched > 0 && (matched === length || value !== sequence[matched])) matched = border[matched - 1]!;
    if (value === sequence[matched]) matched += 1;
    if (matched === length) shifts.push(at - length + 1);
  }
  return shifts;
}

function isMoved(image: Plane, other: Plane, shift: Shift): boolean {
  const { width, height } = image;
  for (let y = 0; y < height; y += 1) {
    const from = y * width;
    const to = ((y + shift.y) % height) * width;
    for (let x = 0; x < width; x += 1) {
      if (image.at[from + x] !== other.at[to + ((x + shift.x) % width)]) return false;
    }
  }
  return true;
}
