import { adler32, joinAdler32 } from './adler32.ts';
import { crc32 } from './crc32.ts';

/** What a PNG needs of whoever has a compressor at hand. */
export interface Compressor {
  /** Turns bytes into a zlib stream (RFC 1950), piece by piece. */
  readonly stream: (raw: Iterable<Uint8Array>) => AsyncIterable<Uint8Array>;
  /** Raw deflate (RFC 1951) of some bytes: finished, or ended by a full flush so that it can stand anywhere. */
  readonly piece: (raw: Uint8Array, finish: boolean) => Uint8Array;
}

export interface PngImage {
  readonly width: number;
  readonly height: number;
  /** Pixels per metre, both ways. */
  readonly pixelsPerMetre: { readonly x: number; readonly y: number };
  /** Bytes a pixel: an index into the palette, RGB, or RGBA. */
  readonly channels: 1 | 3 | 4;
  /** Up to 256 colours, three bytes each, for rows of indexes. */
  readonly palette: Uint8Array | undefined;
  /** Opacity of each of the palette's colours; undefined when all are opaque. */
  readonly opacity: Uint8Array | undefined;
  /** Rows after which the picture repeats downward; its height when it does not. */
  readonly period: number;
  /**
   * The first `period` rows from the top, `channels` bytes a pixel; may be asked for again.
   * A row that is the same object as the one before it is known to be equal.
   */
  readonly rows: () => Iterable<Uint8Array>;
}

/** Fewest repeats down for which one compressed band is written again and again; below, a plain stream is faster. */
const MIN_REPEATS = 4;

/** Largest band that is compressed in one piece, in bytes. */
const MAX_BAND = 1 << 27;

/**
 * A PNG, chunk by chunk: eight bits a sample, sRGB, with its resolution.
 * Source: W3C Portable Network Graphics, third edition, §5, §9 and §11.
 */
export async function* encodePng(image: PngImage, compressor: Compressor): AsyncIterable<Uint8Array> {
  yield Uint8Array.of(0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a);
  const kind = { 1: 3, 3: 2, 4: 6 }[image.channels];
  yield chunk('IHDR', [...word(image.width), ...word(image.height), 8, kind, 0, 0, 0]);
  yield chunk('sRGB', [1]);
  yield chunk('pHYs', [...word(image.pixelsPerMetre.x), ...word(image.pixelsPerMetre.y), 1]);
  if (image.palette !== undefined) yield chunk('PLTE', image.palette);
  if (image.opacity !== undefined) yield chunk('tRNS', image.opacity);
  const repeats = Math.floor(image.height / image.period);
  if (repeats >= MIN_REPEATS && image.period * lineLength(image) <= MAX_BAND) {
    yield* repeatedBand(image, repeats, compressor);
  } else {
    for await (const piece of compressor.stream(allRows(image))) yield chunk('IDAT', piece);
  }
  yield chunk('IEND', []);
}

/**
 * The same compressed band for every repeat down: it ends in a full flush and its first row looks at no row above,
 * so that it means the same wherever it stands. The checksum of the whole is put together from the bands'.
 */
function* repeatedBand(image: PngImage, repeats: number, { piece }: Compressor): Iterable<Uint8Array> {
  const length = lineLength(image);
  const band = new Uint8Array(image.period * length);
  let at = 0;
  for (const line of filterRows(image)) {
    band.set(line, at);
    at += length;
  }
  yield chunk('IDAT', [0x78, 0x9c]);
  const compressed = chunk('IDAT', piece(band, false));
  const sum = adler32(band);
  let total = 1;
  for (let repeat = 0; repeat < repeats; repeat += 1) {
    yield compressed;
    total = joinAdler32(total, sum, band.length);
  }
  const rest = band.subarray(0, (image.height - repeats * image.period) * length);
  yield chunk('IDAT', piece(rest, true));
  yield chunk('IDAT', word(joinAdler32(total, adler32(rest), rest.length)));
}

function* allRows(image: PngImage): Iterable<Uint8Array> {
  let left = image.height;
  while (left > 0) {
    for (const line of filterRows(image)) {
      if (left === 0) return;
      left -= 1;
      yield line;
    }
  }
}

const NONE = 0;
const UP = 2;

/** Each row behind its filter byte: a repeated row is "Up" of zeros, which costs next to nothing. */
function* filterRows(image: PngImage): Iterable<Uint8Array> {
  const length = lineLength(image);
  const repeated = new Uint8Array(length);
  repeated[0] = UP;
  let before: Uint8Array | undefined;
  for (const row of image.rows()) {
    if (row === before) {
      yield repeated;
      continue;
    }
    const line = new Uint8Array(length);
    line[0] = NONE;
    line.set(row, 1);
    before = row;
    yield line;
  }
}

/** Bytes of a filtered row. */
function lineLength({ width, channels }: PngImage): number {
  return 1 + width * channels;
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
