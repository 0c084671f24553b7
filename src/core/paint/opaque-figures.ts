import { rgbOf } from '../colour/hex.ts';
import { LINEAR_ONE } from '../colour/linear.ts';
import { mixingTables } from '../colour/mixing.ts';
import type { Shade } from '../colour/shade.ts';
import type { Marks } from '../repeat/repeat-unit.ts';
import { gridOf } from '../shape/grid.ts';
import type { Place } from '../shape/places.ts';
import type { Mark, PlacedFigure } from '../shape/shape.ts';
import { listsOf, nextTouched } from './figure-rows.ts';
import { level, over } from './light-rows.ts';
import { type FigureRow, overlaid } from './overlaid-figures.ts';
import { pack } from './pack-light.ts';
import { packShades } from './pack-shades.ts';
import type { PaintWindow, RowPainter } from './painting.ts';
import { accumulateRow, CHANNELS, type RowSums, WHOLE } from './row-sums.ts';
import type { Standing } from './stand-alone.ts';

/** A figure all of one shade. */
interface ShadedFigure {
  readonly shape: PlacedFigure;
  readonly shade: number;
}

/** A row of pixels, of which those at edges are known by their light. */
interface OpaqueLine {
  readonly pixels: Uint32Array;
  /** The bytes of the same pixels. */
  readonly bytes: Uint8Array;
  /** 1 for each that is known by its light. */
  readonly mixed: Uint8Array;
  readonly light: Float64Array;
}

/**
 * Paints figures of one shade each over one opaque face: what they cover whole is that shade's pixel, and light is mixed at
 * their edges alone. The same bytes as by their light.
 *
 * @param pitch  lengths of one repeat in millimetres
 * @returns      undefined where anything fades, is soft, clear or shows a picture, or where there are other faces
 */
export function paintOpaqueFigures(
  { base, marks, rows }: Marks,
  window: PaintWindow,
  pitch: Place,
): RowPainter | undefined {
  const [face, ...others] = base.faces;
  const figures = marks.flatMap(asShaded);
  if (window.ground !== undefined) return undefined;
  if (face?.fill.kind !== 'shade' || others.length > 0 || figures.length < marks.length) return undefined;
  const { tile, width, mixing } = window;
  const across = Math.min(width, tile.width);
  const { levelOf, byteOf } = mixingTables(mixing);
  const packed = packShades(base.shades);
  const ground = packed[face.fill.shade]!;
  const lights = base.shades.map(({ hex }: Shade) =>
    Float64Array.of(...rgbOf(hex).map((byte) => levelOf[byte]!), LINEAR_ONE),
  );
  const lay = overlaid<ShadedFigure, OpaqueLine>(figures, {
    rows,
    grid: gridOf(tile, pitch),
    window,
    ready: ({ shade }, standing, sums) => {
      const { left, top, across: wide, down } = standing;
      const paint = { pixel: packed[shade]!, light: lights[shade]!, levelOf };
      return { left, top, across: wide, down, layRow: opaqueRows(standing, paint, sums) };
    },
  });
  // Four flags a word, so that rows without edges are passed over quickly.
  const mixed = new Uint8Array(4 * Math.ceil(across / 4));
  const words = new Uint32Array(mixed.buffer);
  const light = new Float64Array(across * CHANNELS);
  return (row, out, at) => {
    const pixels = out.subarray(at, at + across);
    const bytes = new Uint8Array(pixels.buffer, pixels.byteOffset, pixels.byteLength);
    pixels.fill(ground);
    lay(row, { pixels, bytes, mixed, light });
    for (let word = 0; word < words.length; word += 1) {
      if (words[word] === 0) continue;
      packMixed(mixed, word * 4, { pixels, light, byteOf });
      words[word] = 0;
    }
    for (let x = across; x < width; x += across) {
      out.copyWithin(at + x, at, at + Math.min(across, width - x));
    }
  };
}

function asShaded({ shape, shade, fade, picture, soft }: Mark): readonly ShadedFigure[] {
  const isPlain = fade === undefined && picture === undefined && soft === undefined;
  return isPlain && shape.kind === 'figure' && shade !== null ? [{ shape, shade }] : [];
}

interface PackRoom extends Pick<OpaqueLine, 'pixels' | 'light'> {
  readonly byteOf: Uint8Array;
}

/** Four pixels, of which those that are mixed get their light. */
function packMixed(mixed: Uint8Array, from: number, { pixels, light, byteOf }: PackRoom): void {
  for (let x = from; x < from + 4; x += 1) {
    if (mixed[x] === 0) continue;
    const at = x * CHANNELS;
    pixels[x] = pack(level(light[at]!), level(light[at + 1]!), level(light[at + 2]!), byteOf);
  }
}

interface ShadePaint {
  readonly pixel: number;
  readonly light: Float64Array;
  readonly levelOf: Float64Array;
}

/** A figure in one shade: rows of its coverage. A hot loop. */
function opaqueRows(
  standing: Standing,
  { pixel, light, levelOf }: ShadePaint,
  sums: RowSums,
): FigureRow<OpaqueLine> {
  const { edges, differences, across } = standing;
  const listAt = listsOf(standing);
  const red = light[0]!;
  const green = light[1]!;
  const blue = light[2]!;
  const whole = light[3]!;
  return (row, left, room, line) => {
    accumulateRow(edges, listAt(row), row, differences, sums);
    const { sums: changes, touched } = sums;
    const from = Math.max(0, -left);
    const to = Math.min(across, room - left);
    let cover = 0;
    for (let x = 0; x < to; ) {
      cover += changes[x * CHANNELS + 3]!;
      changes[x * CHANNELS + 3] = 0;
      // To the next pixel where anything changes, it stays so.
      const next = Math.min(to, nextTouched(touched, x + 1, across));
      // Rounding may lay outlines a subpixel over each other.
      const share = Math.min(1, Math.max(0, cover / WHOLE));
      const first = left + Math.max(from, x);
      const end = left + next;
      if (share > 0 && first < end) {
        if (share === 1) {
          line.pixels.fill(pixel, first, end);
          line.mixed.fill(0, first, end);
        } else {
          for (let at = first; at < end; at += 1) {
            if (line.mixed[at] === 0) knowByLight(line, at, levelOf);
            over(line.light, at * CHANNELS, red * share, green * share, blue * share, whole * share);
          }
        }
      }
      x = next;
    }
    // What lies past the window was not read.
    if (to < across) changes.fill(0, Math.max(0, to) * CHANNELS, (across + 2) * CHANNELS);
    changes[across * CHANNELS + 3] = 0;
    changes[(across + 1) * CHANNELS + 3] = 0;
    touched.fill(0, 0, ((across + 1) >> 5) + 1);
  };
}

/** Makes a pixel of one shade known by its light. */
function knowByLight({ bytes, mixed, light }: OpaqueLine, x: number, levelOf: Float64Array): void {
  const at = x * CHANNELS;
  light[at] = levelOf[bytes[x * 4]!]!;
  light[at + 1] = levelOf[bytes[x * 4 + 1]!]!;
  light[at + 2] = levelOf[bytes[x * 4 + 2]!]!;
  light[at + 3] = LINEAR_ONE;
  mixed[x] = 1;
}
