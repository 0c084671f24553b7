import { LINEAR_ONE } from '../../colour/linear.ts';
import type { MixingTables } from '../../colour/mixing.ts';
import { CoreError } from '../../error.ts';
import { toNumber } from '../../exact/rational.ts';
import { surdToNumber } from '../../exact/surd.ts';
import { blockUnit, isBlock } from '../../repeat/block-unit.ts';
import { contentKind } from '../../repeat/contents.ts';
import { shiftUnit } from '../../repeat/plies/shift-unit.ts';
import type { Plies, Ply, RepeatUnit } from '../../repeat/repeat-unit.ts';
import type { Place } from '../../shape/places.ts';
import { type LightPainter, over } from '../light-rows.ts';
import type { Painting, PaintWindow, RowPainter } from '../painting.ts';
import { CHANNELS } from '../row-sums.ts';
import { type RowBlender, rowBlender } from './blend-rows.ts';

/** What plies are painted with. */
export interface PliesRoom {
  readonly window: PaintWindow;
  /** Millimetres of the common repeat. */
  readonly pitch: Place;
  /** Paints one ply, as if nothing else were there. */
  readonly prepare: (unit: RepeatUnit, window: PaintWindow) => Painting;
}

/**
 * Rows of plies: each painted by its own painter, rounded to sRGB bytes, and blended with those beneath in their order
 * (docs/decisions/plies.md).
 *
 * @throws CoreError "plies/too-many" {most} where a ply's repeats do not come out in whole pixels and are too many to be
 * painted as one
 */
export function paintPlies({ plies }: Plies, room: PliesRoom): RowPainter {
  const { tile, width } = room.window;
  const across = Math.min(width, tile.width);
  const used = plies.map((ply, at) => ply.shown || plies.some(({ shown, clip }) => shown && clip === at));
  const painted = plies.map((ply, at): PaintedPly | undefined =>
    used[at] ? { painting: plyPainting(ply, { ...room, across }), row: new Uint32Array(across) } : undefined,
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
  return (row, out, at) => {
    for (const { painting, row: pixels } of rows) painting.paintRow(row, pixels, 0);
    const line = out.subarray(at, at + across);
    const [first, ...others] = seen;
    if (first?.covers) line.set(first.row);
    else line.fill(0);
    for (const { row: pixels, clip, blend } of first?.covers ? others : seen) blend(line, pixels, clip);
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

/** Pixels by which a shift may miss whole ones and count as whole: nothing is drawn so fine. */
const NO_PIXEL = 1e-6;

/** A ply by itself: in its own repeats where they come out in whole pixels, else all of them in the common one. */
function plyPainting(
  { unit, times, shift }: Ply,
  { window, pitch, prepare, across }: PliesRoom & { readonly across: number },
): Painting {
  const { tile, offset, look, mixing } = window;
  const isWhole = tile.width % times.across === 0 && tile.height % times.down === 0;
  if (!isWhole && !isBlock(unit, times)) throw new CoreError('plies/too-many', { ...times });
  const small = { width: tile.width / times.across, height: tile.height / times.down };
  const perMillimetre = { x: tile.width / pitch.x, y: tile.height / pitch.y };
  const pixels = {
    x: surdToNumber(shift.x) * perMillimetre.x,
    y: surdToNumber(shift.y) * perMillimetre.y,
  };
  const whole = { x: Math.round(pixels.x), y: Math.round(pixels.y) };
  const isShifted = Math.abs(pixels.x - whole.x) > NO_PIXEL || Math.abs(pixels.y - whole.y) > NO_PIXEL;
  const placed = isShifted ? shiftUnit(unit, shift) : unit;
  const by = isShifted ? { x: 0, y: 0 } : whole;
  return prepare(isWhole ? placed : blockUnit(placed, times), {
    tile: isWhole ? small : tile,
    width: across,
    // What is moved to the right is seen from further left; rows are counted downward.
    offset: { x: offset.x - by.x, y: offset.y + by.y },
    look,
    ...(mixing && { mixing }),
  });
}

/** The same as rows of light over what lies beneath all plies. */
export function pliesLight(content: Plies, room: PliesRoom, { levelOf }: MixingTables): LightPainter {
  const { tile, width } = room.window;
  const across = Math.min(width, tile.width);
  const paint = paintPlies(content, room);
  const pixels = new Uint32Array(Math.max(width, across));
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
