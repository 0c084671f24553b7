import { joinAdler32 } from './adler32.ts';
import { type CodedRows, codedBand, joined } from './coded-band.ts';
import { crc32 } from './crc32.ts';
import type { Compressor, PngImage } from './png-image.ts';
import { fullLines } from './png-lines.ts';

/** Fewest repeats, down or across, for which what repeats is coded once; below, a plain stream is faster. */
const MIN_REPEATS = 2;

/** Coded rows that are kept to be written again, in bytes; where there are more, they are coded again. */
const MAX_KEPT = 1 << 25;

/** Bytes of a chunk, about. */
const CHUNK = 1 << 18;

/** Hears how many rows of the picture are written. */
export type Told = (rows: number) => void;

/**
 * A PNG, chunk by chunk: eight bits a sample, sRGB, with its resolution.
 * Source: W3C Portable Network Graphics, third edition, §5, §9 and §11.
 */
export async function* encodePng(
  image: PngImage,
  compressor: Compressor,
  told: Told = () => {},
): AsyncIterable<Uint8Array> {
  yield Uint8Array.of(0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a);
  const kind = { 1: 3, 3: 2, 4: 6 }[image.channels];
  yield chunk('IHDR', [...word(image.width), ...word(image.height), 8, kind, 0, 0, 0]);
  yield chunk('sRGB', [1]);
  yield chunk('pHYs', [...word(image.pixelsPerMetre.x), ...word(image.pixelsPerMetre.y), 1]);
  if (image.palette !== undefined) yield chunk('PLTE', image.palette);
  if (image.opacity !== undefined) yield chunk('tRNS', image.opacity);
  const { width, height, period } = image;
  if (Math.max(width / period.across, height / period.down) >= MIN_REPEATS) {
    yield* repeatedBand(image, compressor, told);
  } else {
    for await (const piece of compressor.stream(allLines(image, told))) yield chunk('IDAT', piece);
  }
  yield chunk('IEND', []);
}

function* allLines(image: PngImage, told: Told): Iterable<Uint8Array> {
  let written = 0;
  while (written < image.height) {
    for (const line of fullLines(image)) {
      if (written === image.height) return;
      yield line;
      written += 1;
      told(written);
    }
  }
}

/** Rows of a band as a chunk. */
interface BandChunk extends Omit<CodedRows, 'bytes'> {
  readonly chunk: Uint8Array;
}

/**
 * The same chunks for every repeat down: they mean the same wherever they stand. The checksum of the whole is put
 * together from theirs.
 */
function* repeatedBand(image: PngImage, compressor: Compressor, told: Told): Iterable<Uint8Array> {
  const { height, period } = image;
  // Where the last repeat is cut, a chunk ends.
  const cut = height % period.down;
  const band = keeping(() => bandChunks(image, compressor, cut));
  yield chunk('IDAT', [0x78, 0x9c]);
  let sum = 1;
  let written = 0;
  while (written < height) {
    for (const rows of band()) {
      yield rows.chunk;
      sum = joinAdler32(sum, rows.sum, rows.length);
      written += rows.rows;
      told(written);
      if (written === height) break;
    }
  }
  // The last block is empty. Source: RFC 1951, §3.2.6.
  yield chunk('IDAT', [0x03, 0x00, ...word(sum)]);
}

/** One band's rows, chunk by chunk; one chunk ends behind the first `cut` rows. */
function* bandChunks(image: PngImage, compressor: Compressor, cut: number): Iterable<BandChunk> {
  let parts: Uint8Array[] = [];
  let size = 0;
  let sum = 1;
  let rows = 0;
  let length = 0;
  let from = 0;
  const made = (): BandChunk => {
    const whole = { chunk: chunk('IDAT', joined(parts)), rows, sum, length };
    parts = [];
    from += rows;
    size = 0;
    sum = 1;
    rows = 0;
    length = 0;
    return whole;
  };
  for (const coded of codedBand(image, compressor, cut)) {
    parts.push(coded.bytes);
    size += coded.bytes.length;
    sum = joinAdler32(sum, coded.sum, coded.length);
    rows += coded.rows;
    length += coded.length;
    if (size >= CHUNK || from + rows === cut) yield made();
  }
  if (parts.length > 0) yield made();
}

/** What a maker makes, kept from the first time on unless it is too large. */
function keeping(make: () => Iterable<BandChunk>): () => Iterable<BandChunk> {
  let kept: readonly BandChunk[] | undefined;
  return function* () {
    if (kept !== undefined) return yield* kept;
    const chunks: BandChunk[] = [];
    let size = 0;
    for (const made of make()) {
      yield made;
      size += made.chunk.length;
      if (size <= MAX_KEPT) chunks.push(made);
    }
    if (size <= MAX_KEPT) kept = chunks;
  };
}

function chunk(name: string, data: ArrayLike<number>): Uint8Array {
  const bytes = new Uint8Array(12 + data.length);
  bytes.set(word(data.length), 0);
  for (let at = 0; at < 4; at += 1) bytes[4 + at] = name.charCodeAt(at);
  bytes.set(data, 8);
  bytes.set(word(crc32(bytes.subarray(4, 8 + data.length))), 8 + data.length);
  return bytes;
}

function word(value: number): number[] {
  return [(value >>> 24) & 255, (value >>> 16) & 255, (value >>> 8) & 255, value & 255];
}
