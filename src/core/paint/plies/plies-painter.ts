import { hexOf, rgbOf } from '../../colour/hex.ts';
import { LINEAR_ONE } from '../../colour/linear.ts';
import type { MixingTables } from '../../colour/mixing.ts';
import { type Proof, seenAs } from '../../colour/proof.ts';
import { toNumber } from '../../exact/rational.ts';
import { contentKind } from '../../repeat/contents.ts';
import { isSeen } from '../../repeat/plies/is-seen.ts';
import type { Plies, Ply } from '../../repeat/repeat-unit.ts';
import type { Place } from '../../shape/places.ts';
import { type LightPainter, over } from '../light-rows.ts';
import type { Painting, PaintWindow, RowPainter } from '../painting.ts';
import { CHANNELS } from '../row-sums.ts';
import { type RowBlender, rowBlender } from './blend-rows.ts';
import { isFitted, type Prepare, paintFitted } from './fitted-ply.ts';
import { placePly } from './place-ply.ts';

/** What plies are painted with. */
export interface PliesRoom {
  readonly window: PaintWindow;
  /** Millimetres of the common repeat. */
  readonly pitch: Place;
  /** Paints one ply, as if nothing else were there. */
  readonly prepare: Prepare;
}

/**
 * Rows of plies: each painted by its own painter, rounded to sRGB bytes, and blended with those beneath in their order
 * (docs/decisions/plies.md).
 */
export function paintPlies({ plies, seen: proof }: Plies, room: PliesRoom): RowPainter {
  const { tile, width } = room.window;
  const across = Math.min(width, tile.width);
  const painted = plies.map((ply, at): PaintedPly | undefined =>
    isSeen(plies, at) ? { painting: paintingOf(ply, room), row: new Uint32Array(across) } : undefined,
  );
  const layers = plies.flatMap((ply, at): readonly Layer[] => {
    if (!ply.shown) return [];
    const clip = ply.clip === null ? undefined : painted[ply.clip]!.row;
    const strength = toNumber(ply.strength);
    const isWhole = ply.blend === 'normal' && strength === 1 && clip === undefined;
    const covers = isWhole && !contentKind(ply.unit.content).isClear(ply.unit.content);
    return [{ row: painted[at]!.row, clip, covers, blend: rowBlender(ply.blend, strength) }];
  });
  // What lies beneath a ply that covers everything is never seen.
  const lowest = layers.findLastIndex(({ covers }) => covers);
  const seen = lowest === -1 ? layers : layers.slice(lowest);
  const rows = painted.filter(
    (each): each is PaintedPly =>
      each !== undefined && seen.some(({ row, clip }) => row === each.row || clip === each.row),
  );
  const see = proof === undefined ? undefined : pixelsSeen(proof);
  return (row, out, at) => {
    for (const { painting, row: pixels } of rows) painting.paintRow(row, pixels, 0);
    const line = out.subarray(at, at + across);
    const [first, ...others] = seen;
    if (first?.covers) line.set(first.row);
    else line.fill(0);
    for (const { row: pixels, clip, blend } of first?.covers ? others : seen) blend(line, pixels, clip);
    see?.(line);
    for (let x = across; x < width; x += across) {
      out.copyWithin(at + x, at, at + Math.min(across, width - x));
    }
  };
}

interface PaintedPly {
  readonly painting: Painting;
  /** The row that was painted last. */
  readonly row: Uint32Array;
}

interface Layer {
  readonly row: Uint32Array;
  readonly clip: Uint32Array | undefined;
  /** Whether nothing beneath it is seen. */
  readonly covers: boolean;
  readonly blend: RowBlender;
}

/** Changes pixels as they are seen in a proof. */
function pixelsSeen(proof: Proof): (line: Uint32Array) => void {
  const known = new Map<number, number>();
  return (line) => {
    for (let x = 0; x < line.length; x += 1) {
      const pixel = line[x]!;
      let seen = known.get(pixel);
      if (seen === undefined) {
        const [red, green, blue] = rgbOf(
          seenAs(hexOf([pixel & 255, (pixel >>> 8) & 255, (pixel >>> 16) & 255]), proof),
        );
        seen = ((pixel & 0xff000000) | (blue << 16) | (green << 8) | red) >>> 0;
        known.set(pixel, seen);
      }
      line[x] = seen;
    }
  };
}

/** A ply by itself, as wide as the rows that are blended. */
function paintingOf(ply: Ply, { window, pitch, prepare }: PliesRoom): Painting {
  const width = Math.min(window.width, window.tile.width);
  if (isFitted(ply, window.tile)) return paintFitted(ply, { ...window, width }, { pitch, prepare });
  const placed = placePly(ply, window, pitch);
  return prepare(placed.unit, { ...placed.window, width });
}

/** The same as rows of light over what lies beneath all plies. */
export function pliesLight(content: Plies, room: PliesRoom, { levelOf }: MixingTables): LightPainter {
  const { tile, width } = room.window;
  const across = Math.min(width, tile.width);
  const paint = paintPlies(content, room);
  const pixels = new Uint32Array(width);
  return (row, line) => {
    paint(row, pixels, 0);
    for (let x = 0, at = 0; x < across; x += 1, at += CHANNELS) {
      const pixel = pixels[x]!;
      const cover = (pixel >>> 24) / 255;
      if (cover === 0) continue;
      const light = (byte: number) => levelOf[byte & 255]! * cover;
      over(line, at, light(pixel), light(pixel >>> 8), light(pixel >>> 16), LINEAR_ONE * cover);
    }
  };
}
