import { deflateSync } from 'node:zlib';
import { CoreError } from '../../../core/error.ts';
import { toNumber } from '../../../core/exact/rational.ts';
import type { Vector } from '../../../core/exact/vector.ts';
import type { Size } from '../../../core/formats/page/page-plan.ts';
import { drawingOperators, pdfNumber } from '../../../core/formats/pdf/path-operators.ts';
import { orderPicture, type PictureScale } from '../../../core/formats/picture-order.ts';
import { drawUnit } from '../../../core/formats/svg/unit-svg.ts';
import { type PictureLook, paintedTile, tileBytes } from '../../../core/formats/tile-rows.ts';
import { nearSize, type RepeatUnit, repeatSize } from '../../../core/repeat/repeat-unit.ts';
import type { Cells } from '../../../core/thread/cells.ts';
import { type Document, POINTS, type Ref } from './pdf-lib.ts';

/** Largest painted repeat that goes into a PDF, in bytes. */
const MOST_PICTURE = 2 ** 28;

/**
 * Points by which drawn blocks lie over each other: their shapes go on over the edge, so that no light comes through where
 * a reader blends each block's edge with the paper.
 */
const OVER = 6;

/** Side of a block of small repeats, in points: some ten centimetres, so that even a large sheet has few. */
const BLOCK = 280;

/** Most characters of a block of drawn repeats, and most pixels of a block of painted ones; beyond, it holds fewer. */
const MOST_DRAWN = 1_500_000;
const MOST_PIXELS = 4_000_000;

/** How cloth is shown where it is no drawing. */
export interface ClothLook {
  readonly scale: PictureScale;
  readonly look: PictureLook;
  /** What lengths are multiplied by, each way. */
  readonly stretch: Vector;
}

/** Cloth as a block of whole repeats, ready to be set side by side: its size in points, and what is seen of it. */
export interface Cloth {
  /** Whether it is drawn in paths, or a picture. */
  readonly kind: 'drawing' | 'threads' | 'picture';
  readonly width: number;
  readonly height: number;
  /** Operators that show the block as /Block, its lower left corner at the origin, y upward. */
  readonly operators: string;
  readonly shown: Ref;
}

/**
 * The repeats of a unit, once in the document: paths where the drawing has no more than those, threads as a picture of one
 * pixel a thread, which stays sharp however far it is enlarged, and all else as a picture of a stated resolution.
 * @throws CoreError "svg/no-repeat" | "send/tile-too-large", or as `orderPicture`
 */
export function clothOf(document: Document, unit: RepeatUnit, look: ClothLook): Cloth {
  if (repeatSize(unit) === null) throw new CoreError('svg/no-repeat', {});
  const drawn =
    unit.content.kind === 'cells'
      ? threadsOf(document, unit.content, sizeOf(unit, look), look)
      : drawingOf(document, unit, look);
  return drawn ?? pictureOf(document, unit, look);
}

/** Size of some repeats in points. */
function sizeOf(unit: RepeatUnit, { stretch }: ClothLook, { across, down } = ONE): Size {
  const { width, height } = nearSize(repeatSize(unit)!);
  return {
    width: toNumber(width) * toNumber(stretch.x) * across * POINTS,
    height: toNumber(height) * toNumber(stretch.y) * down * POINTS,
  };
}

/** Repeats across and down. */
interface Count {
  readonly across: number;
  readonly down: number;
}

const ONE: Count = { across: 1, down: 1 };

/** Repeats of a block: as many as make it large enough, and no more than weigh so much. */
function countFor({ width, height }: Size, weight: number, most: number): Count {
  const wished = { across: Math.ceil(BLOCK / width), down: Math.ceil(BLOCK / height) };
  const part = Math.min(1, Math.sqrt(most / (weight * wished.across * wished.down)));
  const side = (count: number) => Math.max(1, Math.floor(count * part));
  return { across: side(wished.across), down: side(wished.down) };
}

/**
 * The block is drawn as one, in the painting order of the whole cloth, with what goes on over its edges: repeats may lie
 * over each other.
 */
function drawingOf({ context }: Document, unit: RepeatUnit, look: ClothLook): Cloth | undefined {
  const one = sizeOf(unit, look);
  const { width, height, step } = drawUnit(unit);
  const scale = { x: one.width / Number(width), y: one.height / Number(height) };
  // What is drawn is in millimetres.
  const margin = OVER / Math.min(scale.x / toNumber(step.x), scale.y / toNumber(step.y));
  const drawn = ({ across, down }: Count) =>
    drawingOperators(drawUnit(unit, { window: { across, down, margin } }).shapes);
  const repeat = drawn(ONE);
  if (repeat === undefined) return undefined;
  const count = countFor(one, Math.max(1, repeat.length), MOST_DRAWN);
  const size = sizeOf(unit, look, count);
  const paths = count.across * count.down === 1 ? repeat : drawn(count)!;
  // Drawings lie with y downward from the upper left corner.
  const turned = `${pdfNumber(scale.x)} 0 0 ${pdfNumber(-scale.y)} 0 ${pdfNumber(size.height)} cm\n`;
  // A group of its own: where a reader blends the block's edge, it blends what is seen and not what lies under it.
  // Source: ISO 32000-1, 11.6.6.
  const shown = context.register(
    context.flateStream(turned + paths, {
      Type: 'XObject',
      Subtype: 'Form',
      BBox: [-OVER, -OVER, size.width + OVER, size.height + OVER],
      Group: { Type: 'Group', S: 'Transparency', CS: 'DeviceRGB', I: true, K: false },
    }),
  );
  return { kind: 'drawing', ...size, operators: '/Block Do', shown };
}

/** Cells that are flat, each a pixel; undefined where they are shown another way, or are too many. */
function threadsOf(document: Document, cells: Cells, size: Size, { look }: ClothLook): Cloth | undefined {
  const { width, height, rows, rowAt, shades } = cells;
  if (look.look !== 'flat' || width * height * 3 > MOST_PICTURE) return undefined;
  const pixels = Buffer.alloc(width * height * 3);
  const colours = shades.map(({ hex }) => Number.parseInt(hex.slice(1), 16));
  for (let y = 0, at = 0; y < height; y += 1) {
    for (const shade of rows[rowAt[y]!]!) at = pixels.writeUIntBE(colours[shade]!, at, 3);
  }
  return { kind: 'threads', ...blockOf(document, { width, height, channels: 3, pixels }, size) };
}

function pictureOf(document: Document, unit: RepeatUnit, look: ClothLook): Cloth {
  const order = orderPicture(unit, look.scale, undefined, look.stretch);
  if (tileBytes(order) > MOST_PICTURE) {
    throw new CoreError('send/tile-too-large', { kind: 'PDF', ...order.tile });
  }
  const painted = paintedTile(unit, order, look.look);
  return { kind: 'picture', ...blockOf(document, painted, sizeOf(unit, look, order.block)) };
}

/** A block of pictures side by side, as large as their repeats. @param size  of one, in points */
function blockOf(document: Document, one: Pixels, size: Size): Omit<Cloth, 'kind'> {
  const count = countFor(size, one.width * one.height, MOST_PIXELS);
  const width = size.width * count.across;
  const height = size.height * count.down;
  const operators = `${pdfNumber(width)} 0 0 ${pdfNumber(height)} 0 0 cm /Block Do`;
  return { width, height, operators, shown: imageOf(document, setSideBySide(one, count)) };
}

function setSideBySide({ width, height, channels, pixels }: Pixels, { across, down }: Count): Pixels {
  if (across * down === 1) return { width, height, channels, pixels };
  const line = width * channels;
  const wide = line * across;
  const out = Buffer.alloc(wide * height * down);
  for (let y = 0; y < height; y += 1) {
    const row = pixels.subarray(y * line, (y + 1) * line);
    for (let x = 0; x < across; x += 1) out.set(row, y * wide + x * line);
  }
  for (let y = 1; y < down; y += 1) out.copy(out, y * wide * height, 0, wide * height);
  return { width: width * across, height: height * down, channels, pixels: out };
}

interface Pixels {
  readonly width: number;
  readonly height: number;
  readonly channels: 3 | 4;
  readonly pixels: Uint8Array;
}

/** An image of sRGB bytes, what is clear as a soft mask. Source: ISO 32000-1, 8.9.5 and 11.6.5.3. */
function imageOf({ context }: Document, { width, height, channels, pixels }: Pixels): Ref {
  const image = (bytes: Uint8Array, space: string, mask?: Ref) =>
    context.register(
      context.stream(deflateSync(bytes), {
        Type: 'XObject',
        Subtype: 'Image',
        Width: width,
        Height: height,
        ColorSpace: space,
        BitsPerComponent: 8,
        Interpolate: false,
        Filter: 'FlateDecode',
        ...(mask !== undefined && { SMask: mask }),
      }),
    );
  if (channels === 3) return image(pixels, 'DeviceRGB');
  const colours = Buffer.alloc(width * height * 3);
  const mask = Buffer.alloc(width * height);
  for (let pixel = 0; pixel < mask.length; pixel += 1) {
    colours.set(pixels.subarray(pixel * 4, pixel * 4 + 3), pixel * 3);
    mask[pixel] = pixels[pixel * 4 + 3]!;
  }
  return image(colours, 'DeviceRGB', image(mask, 'DeviceGray'));
}
