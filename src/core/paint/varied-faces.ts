import { modulo } from '../exact/modulo.ts';
import type { Point } from '../exact/plane.ts';
import { cornerAt } from '../faces/check-partition.ts';
import type { Partition } from '../faces/partition.ts';
import { type FadeFill, isVaried, type PictureFill } from '../shape/fill.ts';
import { SUBPIXELS } from '../shape/grid.ts';
import { type Place, placesOf } from '../shape/places.ts';
import { fadeLightAt } from './figure-rows.ts';
import type { LightPainter } from './light-rows.ts';
import type { PaintWindow } from './painting.ts';
import { type LightAt, type PictureLight, withPicture } from './picture-light.ts';
import { accumulateRow, CHANNELS, emptySums, type Placed, type RowSums, WHOLE } from './row-sums.ts';
import { type Standing, standAlone } from './stand-alone.ts';

/** A face that stands alone. */
interface PlacedFace extends Standing {
  readonly placed: Placed;
}

/** One that is placed, with the light at each pixel from its first, and the light that lies there without. */
interface LitFace extends PlacedFace {
  readonly lightAt: LightAt;
  readonly instead: Float64Array;
}

/** The light of the shades of a base: CHANNELS numbers for each. */
type ShadeLight = (shade: number) => Float64Array;

/**
 * Puts faces that fade or show a picture in the place of the shades that lie there: the share that a face takes of a pixel
 * has the light at the pixel's middle instead of its own. Shares are those of the faces below, so nothing of these is left
 * at an edge.
 *
 * @returns none where every face is of one shade
 */
export function variedFaces(
  base: Partition,
  lightOf: ShadeLight,
  window: PaintWindow,
  pictureLight: PictureLight,
): readonly LightPainter[] {
  const faces = base.faces.flatMap(({ fill, corners }): LitFace[] => {
    if (!isVaried(fill)) return [];
    const points = corners.map((corner) => cornerAt(base, corner));
    const placed = placeFace(points, window.tile);
    const lightAt = lightWithin(fill, placed, window.tile, { lightOf, pictureLight });
    return [{ ...placed, lightAt, instead: lightOf(fill.shade) }];
  });
  return faces.length === 0 ? [] : [facesInPlace(faces, window)];
}

function facesInPlace(faces: readonly LitFace[], { tile, width, offset }: PaintWindow): LightPainter {
  const across = Math.min(width, tile.width);
  const sums = emptySums(Math.max(...faces.map((face) => face.across)));
  const light = new Float64Array(CHANNELS);
  const strips = stripsOf(faces, tile.height);
  return (row, line) => {
    const y = modulo(row + offset.y, tile.height);
    for (const face of strips[Math.floor(y / STRIP)]!) {
      const left = modulo(face.left - offset.x, tile.width);
      // All rows of the face that are this row of the repeat.
      const first = modulo(y - face.top, tile.height);
      for (let down = first; down < face.down; down += tile.height) {
        paintFaceRow(face, down, { sums, light, left, across, round: tile.width }, line);
      }
    }
  };
}

/** Rows of the repeat whose faces are listed together. */
const STRIP = 16;

/** The faces that come into each strip of rows, in their order. */
function stripsOf(faces: readonly LitFace[], height: number): readonly (readonly LitFace[])[] {
  const strips: LitFace[][] = Array.from({ length: Math.ceil(height / STRIP) }, () => []);
  for (const face of faces) {
    for (let down = 0; down < Math.min(face.down, height); down += 1) {
      const strip = strips[Math.floor(modulo(face.top + down, height) / STRIP)]!;
      if (strip.at(-1) !== face) strip.push(face);
    }
  }
  return strips;
}

/** What a row of a face is worked out in, and where its pixels lie on the line. */
interface RowRoom {
  readonly sums: RowSums;
  readonly light: Float64Array;
  /** Where its first pixel lies from the window's left border on, round the repeat. */
  readonly left: number;
  /** Pixels of the window, and of the repeat. */
  readonly across: number;
  readonly round: number;
}

/** Puts one row of one face in its place. A hot loop. */
function paintFaceRow(
  face: LitFace,
  y: number,
  { sums, light, left, across, round }: RowRoom,
  line: Float64Array,
): void {
  const { lightAt, instead } = face;
  accumulateRow(face.edges, face.placed, y, face.differences, sums);
  let cover = 0;
  for (let x = 0; x < face.across; x += 1) {
    cover += sums.sums[x * CHANNELS + 3]!;
    if (cover === 0) continue;
    const place = (left + x) % round;
    if (place >= across) continue;
    const share = cover / WHOLE;
    lightAt(x, y, light);
    for (let channel = 0; channel < CHANNELS; channel += 1) {
      line[place * CHANNELS + channel]! += share * (light[channel]! - instead[channel]!);
    }
  }
  sums.sums.fill(0, 0, (face.across + 2) * CHANNELS);
  sums.touched.fill(0, 0, ((face.across + 1) >> 5) + 1);
}

type Tile = PaintWindow['tile'];

function placeFace(corners: readonly Point[], tile: Tile): PlacedFace {
  const size = { x: tile.width * SUBPIXELS, y: tile.height * SUBPIXELS };
  const places = placesOf(corners, size).map(({ x, y }) => ({
    x: Math.round(x),
    y: size.y - Math.round(y),
  }));
  const face = standAlone([places]);
  return {
    ...face,
    placed: {
      edges: Uint32Array.from({ length: face.edges.count }, (_, edge) => edge),
      tops: face.edges.y,
    },
  };
}

interface FaceLights {
  readonly lightOf: ShadeLight;
  readonly pictureLight: PictureLight;
}

/** The light at each pixel of a face, from its first. */
function lightWithin(
  fill: FadeFill | PictureFill,
  { left, top }: Standing,
  tile: Tile,
  { lightOf, pictureLight }: FaceLights,
): LightAt {
  if (fill.kind === 'fade')
    return fadeLightAt(fill.shades.map(lightOf), alongFace(fill, { left, top }, tile));
  const shade = lightOf(fill.shade);
  const place = ({ x, y }: Place) => ({ x: x * tile.width, y: (1 - y) * tile.height });
  return withPicture(
    (_, __, light) => light.set(shade),
    pictureLight(fill, { first: { x: left, y: top }, place }),
  );
}

/** How far along its fade the middle of each pixel of a face lies. */
function alongFace(
  { from, to }: FadeFill,
  { left, top }: Pick<Standing, 'left' | 'top'>,
  tile: Tile,
): (x: number, y: number) => number {
  const begins = { x: from.x * tile.width - left, y: (1 - from.y) * tile.height - top };
  const way = { x: (to.x - from.x) * tile.width, y: (from.y - to.y) * tile.height };
  const square = way.x * way.x + way.y * way.y;
  const perX = square === 0 ? 0 : way.x / square;
  const perY = square === 0 ? 0 : way.y / square;
  const start = (0.5 - begins.x) * perX + (0.5 - begins.y) * perY;
  return (x, y) => start + x * perX + y * perY;
}
