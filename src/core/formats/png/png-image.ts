/** What a PNG needs of whoever has a compressor at hand. */
export interface Compressor {
  /** Turns bytes into a zlib stream (RFC 1950), piece by piece. */
  readonly stream: (raw: Iterable<Uint8Array>) => AsyncIterable<Uint8Array>;
  /**
   * Raw deflate (RFC 1951) of some bytes, ended by a full flush so that anything can stand behind it.
   * @param before  bytes that stand before them, which they may refer to
   */
  readonly piece: (raw: Uint8Array, before: Uint8Array) => Uint8Array;
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
  /** Pixels after which every row repeats, and rows after which the picture does; its sides where it does not. */
  readonly period: { readonly across: number; readonly down: number };
  /**
   * The first rows from the top, up to the period, `channels` bytes a pixel; may be asked for again. Of each the first
   * pixels, up to the period.
   * A row that is the same object as the one before it is known to be equal.
   */
  readonly rows: () => Iterable<Uint8Array>;
}

/** Bytes of a row behind its filter byte. */
export function lineLength({ width, channels }: PngImage): number {
  return 1 + width * channels;
}
