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
 * Points by which drawn repeats lie over each other: their shapes go on over the edge, so that no light comes through where
 * a reader blends each repeat's edge with the paper.
 */
const OVER = 3;

/** How cloth is shown where it is no drawing. */
export interface ClothLook {
  readonly scale: PictureScale;
  readonly look: PictureLook;
  /** What lengths are multiplied by, each way. */
  readonly stretch: Vector;
}

/** One repeat of cloth, or a few, ready to be set side by side. */
export interface Cloth {
  /** Whether it is drawn in paths, or a picture. */
  readonly kind: 'drawing' | 'threads' | 'picture';
  /**
   * A pattern whose upper left corner lies at a place of the page.
   * @param corner  in the page's units
   * @param unit    points of one of those
   */
  readonly patternAt: (corner: { readonly x: number; readonly y: number }, unit: number) => Ref;
}

/** What is set side by side: its size in points, and operators that show it in a square of 1 × 1, y upward. */
interface Repeat {
  readonly kind: Cloth['kind'];
  readonly width: number;
  readonly height: number;
  readonly operators: string;
  /** What the operators show as /Repeat. */
  readonly shown: Ref;
}

/**
 * The repeat of a unit, once in the document: paths where the drawing has no more than those, threads as a picture of one
 * pixel a thread, which stays sharp however far it is enlarged, and all else as a picture of a stated resolution.
 * @throws CoreError "svg/no-repeat" | "send/tile-too-large", or as `orderPicture`
 */
export function clothOf(document: Document, unit: RepeatUnit, look: ClothLook): Cloth {
  if (repeatSize(unit) === null) throw new CoreError('svg/no-repeat', {});
  const drawn =
    unit.content.kind === 'cells'
      ? threadsOf(document, unit.content, sizeOf(unit, look), look)
      : drawingOf(document, unit, look);
  const repeat = drawn ?? pictureOf(document, unit, look);
  const { context } = document;
  const { width, height } = repeat;
  const over = repeat.kind === 'drawing' ? OVER : 0;
  return {
    kind: repeat.kind,
    // A tiling pattern. Source: ISO 32000-1, 8.7.3.
    patternAt: ({ x, y }, unit) =>
      context.register(
        context.flateStream(repeat.operators, {
          Type: 'Pattern',
          PatternType: 1,
          PaintType: 1,
          TilingType: 1,
          BBox: [-over, -over, width + over, height + over],
          XStep: width,
          YStep: height,
          Matrix: [1 / unit, 0, 0, 1 / unit, x, y - height / unit],
          Resources: { XObject: { Repeat: repeat.shown } },
        }),
      ),
  };
}

/** Size of some repeats in points. */
function sizeOf(unit: RepeatUnit, { stretch }: ClothLook, across = 1, down = 1): Size {
  const { width, height } = nearSize(repeatSize(unit)!);
  return {
    width: toNumber(width) * toNumber(stretch.x) * across * POINTS,
    height: toNumber(height) * toNumber(stretch.y) * down * POINTS,
  };
}

function drawingOf({ context }: Document, unit: RepeatUnit, look: ClothLook): Repeat | undefined {
  const drawing = drawUnit(unit, undefined);
  const size = sizeOf(unit, look);
  const width = Number(drawing.width);
  const height = Number(drawing.height);
  const across = size.width / width;
  const down = size.height / height;
  const around = (2 * OVER) / Math.min(across, down);
  const paths = drawingOperators(drawing.shapes, { width, height, around });
  if (paths === undefined) return undefined;
  // Drawings lie with y downward from the upper left corner.
  const turned = `${pdfNumber(across)} 0 0 ${pdfNumber(-down)} 0 ${pdfNumber(size.height)} cm\n`;
  // A group of its own: where a reader blends the repeat's edge, it blends what is seen and not what lies under it.
  // Source: ISO 32000-1, 11.6.6.
  const group = context.register(
    context.flateStream(turned + paths, {
      Type: 'XObject',
      Subtype: 'Form',
      BBox: [-2 * OVER, -2 * OVER, size.width + 2 * OVER, size.height + 2 * OVER],
      Group: { Type: 'Group', S: 'Transparency', CS: 'DeviceRGB', I: true, K: false },
    }),
  );
  return { kind: 'drawing', ...size, operators: '/Repeat Do\n', shown: group };
}

/** Cells that are flat, each a pixel; undefined where they are shown another way, or are too many. */
function threadsOf(document: Document, cells: Cells, size: Size, { look }: ClothLook): Repeat | undefined {
  const { width, height, rows, rowAt, shades } = cells;
  if (look.look !== 'flat' || width * height * 3 > MOST_PICTURE) return undefined;
  const pixels = Buffer.alloc(width * height * 3);
  const colours = shades.map(({ hex }) => Number.parseInt(hex.slice(1), 16));
  for (let y = 0, at = 0; y < height; y += 1) {
    for (const shade of rows[rowAt[y]!]!) at = pixels.writeUIntBE(colours[shade]!, at, 3);
  }
  const shown = imageOf(document, { width, height, channels: 3, pixels });
  return { kind: 'threads', ...filling(size), shown };
}

function pictureOf(document: Document, unit: RepeatUnit, look: ClothLook): Repeat {
  const order = orderPicture(unit, look.scale, undefined, look.stretch);
  if (tileBytes(order) > MOST_PICTURE) {
    throw new CoreError('send/tile-too-large', { kind: 'PDF', ...order.tile });
  }
  const shown = imageOf(document, paintedTile(unit, order, look.look));
  return { kind: 'picture', ...filling(sizeOf(unit, look, order.block.across, order.block.down)), shown };
}

/** Operators that show the picture as large as the repeat. */
function filling(size: Size) {
  return { ...size, operators: `${pdfNumber(size.width)} 0 0 ${pdfNumber(size.height)} 0 0 cm /Repeat Do\n` };
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
