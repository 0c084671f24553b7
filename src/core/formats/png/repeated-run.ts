import { BitWriter } from './bit-writer.ts';

/** Furthest that deflate looks back, in bytes. Source: RFC 1951, §2. */
export const WINDOW = 32_768;

/** Shortest and longest run that one code copies. Source: RFC 1951, §3.2.5. */
const SHORTEST = 3;
const LONGEST = 258;

/** Symbols of the literal and length alphabet. */
const END = 256;
const FIRST_LENGTH = 257;
const LONGEST_SYMBOL = 285;

/** Kinds of blocks: codes of the standard's own, and codes that the block brings. Source: RFC 1951, §3.2.3. */
const FIXED = 1;
const DYNAMIC = 2;

/**
 * Deflated bytes that copy the last `distance` bytes again and again, up to `length` bytes. They begin and end on a
 * whole byte and do not end the stream.
 *
 * @param distance  1 to 32 768
 * @param length    0, or at least 3
 */
export function repeatedRun(distance: number, length: number): Uint8Array {
  if (!(distance >= 1 && distance <= WINDOW)) throw new Error(`${distance} bytes are not looked back`);
  if (length !== 0 && !(length >= SHORTEST)) throw new Error(`${length} bytes cannot be copied`);
  const bits = new BitWriter();
  let left = length;
  if (length >= 4 * LONGEST) {
    // What is left is empty or long enough to be copied.
    const times = Math.floor((length - SHORTEST) / LONGEST);
    writeLongest(bits, distance, times);
    left -= times * LONGEST;
  }
  if (left > 0) writeRest(bits, distance, left);
  // An empty stored block ends on a whole byte. Source: RFC 1951, §3.2.4.
  bits.number(0, 3);
  bits.aligned([0, 0, 0xff, 0xff]);
  return bits.bytes();
}

/** The longest run so many times, by codes of one bit: the run's, the end's, and one for the only distance. */
function writeLongest(bits: BitWriter, distance: number, times: number): void {
  const { symbol, extra, extraBits } = distanceCode(distance);
  bits.number(0, 1);
  bits.number(DYNAMIC, 2);
  bits.number(LONGEST_SYMBOL + 1 - FIRST_LENGTH, 5);
  bits.number(symbol, 5);
  writeLengthsOfLengths(bits);
  writeZeros(bits, END);
  writeOne(bits);
  writeZeros(bits, LONGEST_SYMBOL - END - 1);
  writeOne(bits);
  writeZeros(bits, symbol);
  writeOne(bits);
  for (let time = 0; time < times; time += 1) {
    bits.code(1, 1);
    bits.code(0, 1);
    bits.number(extra, extraBits);
  }
  bits.code(0, 1);
}

/** The order in which the lengths of the codes for lengths stand. Source: RFC 1951, §3.2.7. */
const ORDER = [16, 17, 18, 0, 8, 7, 9, 6, 10, 5, 11, 4, 12, 3, 13, 2, 14, 1];

/** Codes for the lengths of codes: "1" is 0, "0" is 10, and 18, a run of zeros, is 11. */
const LENGTHS: ReadonlyMap<number, number> = new Map([
  [1, 1],
  [0, 2],
  [18, 2],
]);

function writeLengthsOfLengths(bits: BitWriter): void {
  bits.number(ORDER.length - 4, 4);
  for (const symbol of ORDER) bits.number(LENGTHS.get(symbol) ?? 0, 3);
}

function writeOne(bits: BitWriter): void {
  bits.code(0, 1);
}

/** So many codes that are not used: 11 to 138 of them at a time, fewer one by one. */
function writeZeros(bits: BitWriter, count: number): void {
  let left = count;
  while (left >= 11) {
    const run = Math.min(138, left);
    bits.code(0b11, 2);
    bits.number(run - 11, 7);
    left -= run;
  }
  for (; left > 0; left -= 1) bits.code(0b10, 2);
}

/** What is left, in runs that none is too short, by the standard's own codes. */
function writeRest(bits: BitWriter, distance: number, length: number): void {
  const { symbol, extra, extraBits } = distanceCode(distance);
  bits.number(0, 1);
  bits.number(FIXED, 2);
  for (let left = length; left > 0; ) {
    const most = Math.min(LONGEST, left);
    const run = left - most > 0 && left - most < SHORTEST ? most - SHORTEST : most;
    writeFixedLength(bits, run);
    bits.code(symbol, 5);
    bits.number(extra, extraBits);
    left -= run;
  }
  bits.code(0, 7);
}

/** Length codes from 257 on: four for each number of extra bits. Source: RFC 1951, §3.2.5 and §3.2.6. */
function writeFixedLength(bits: BitWriter, length: number): void {
  const { symbol, extra, extraBits } =
    length === LONGEST
      ? { symbol: LONGEST_SYMBOL - FIRST_LENGTH, extra: 0, extraBits: 0 }
      : stepsOf(length - SHORTEST, 4);
  const code = FIRST_LENGTH + symbol;
  if (code < 280) bits.code(code - 256, 7);
  else bits.code(0b11000000 + code - 280, 8);
  bits.number(extra, extraBits);
}

interface Code {
  readonly symbol: number;
  readonly extra: number;
  readonly extraBits: number;
}

/** Distances from 1 on: two for each number of extra bits. Source: RFC 1951, §3.2.5. */
function distanceCode(distance: number): Code {
  return stepsOf(distance - 1, 2);
}

/**
 * The code of a number that is counted from 0: the first `2 × each` codes stand for one number, and every `each` codes
 * after them for twice as many as those before.
 */
function stepsOf(value: number, each: number): Code {
  let from = 0;
  let symbol = 0;
  for (let extraBits = 0; ; extraBits += 1) {
    const codes = extraBits === 0 ? 2 * each : each;
    const span = codes << extraBits;
    if (value < from + span) {
      const within = value - from;
      return { symbol: symbol + (within >>> extraBits), extra: within & ((1 << extraBits) - 1), extraBits };
    }
    from += span;
    symbol += codes;
  }
}
