import { modulo } from '../exact/modulo.ts';
import type { Point } from '../exact/plane.ts';
import { cornerAt } from '../faces/check-partition.ts';
import type { Partition } from '../faces/partition.ts';
import type { FadeFill } from '../shape/fill.ts';
import { SUBPIXELS } from '../shape/grid.ts';
import { placesOf } from '../shape/places.ts';
import type { LightPainter } from './light-rows.ts';
import type { PaintWindow } from './painting.ts';
import { accumulateRow, CHANNELS, emptySums, type Placed, type RowSums, WHOLE } from './row-sums.ts';
import { type Standing, standAlone } from './stand-alone.ts';

/** A face that stands alone, and how far along its fade each pixel lies. */
interface PlacedFace extends Standing {
  readonly placed: Placed;
  /** How far along the fade a pixel's middle lies: start at the face's first pixel, and what a pixel across and down adds. */
  readonly start: number;
  readonly perX: number;
  readonly perY: number;
}

/** A faded face that is placed, with the light of its shades and of the one that lies there without. */
interface LitFace extends PlacedFace {
  readonly shades: readonly Float64Array[];
  readonly instead: Float64Array;
}

/**
 * Puts faded faces in the place of the shades that lie there: the share that a face takes of a pixel has the fade's light
 * at the pixel's middle instead of its own. Shares are those of the faces below, so nothing of these is left at an edge.
 *
 * @param lightOf  CHANNELS numbers for a shade of the base
 * @returns        none where nothing fades
 */
export function fadePainters(
  base: Partition,
  lightOf: (shade: number) => Float64Array,
  window: PaintWindow,
): readonly LightPainter[] {
  const faces = base.faces.flatMap(({ fill, corners }): LitFace[] => {
    if (fill.kind !== 'fade') return [];
    const points = corners.map((corner) => cornerAt(base, corner));
    const placed = placeFace(points, fill, window.tile);
    return [{ ...placed, shades: fill.shades.map(lightOf), instead: lightOf(fill.shade) }];
  });
  return faces.length === 0 ? [] : [fadeLight(faces, window)];
}

function fadeLight(faces: readonly LitFace[], { tile, width, offset }: PaintWindow): LightPainter {
  const across = Math.min(width, tile.width);
  const sums = emptySums(Math.max(...faces.map((face) => face.across)));
  return (row, line) => {
    for (const face of faces) {
      const placeOf = (x: number) => {
        const at = modulo(face.left + x - offset.x, tile.width);
        return at < across ? at : undefined;
      };
      // All rows of the face that are this row of the repeat.
      const first = modulo(row + offset.y - face.top, tile.height);
      for (let y = first; y < face.down; y += tile.height) paintFaceRow(face, y, sums, placeOf, line);
    }
  };
}

/** Puts one row of one face in its place. A hot loop. */
function paintFaceRow(
  face: LitFace,
  y: number,
  sums: RowSums,
  placeOf: (x: number) => number | undefined,
  line: Float64Array,
): void {
  const light = face.shades;
  accumulateRow(face.edges, face.placed, y, face.differences, sums);
  let cover = 0;
  for (let x = 0; x < face.across; x += 1) {
    cover += sums.sums[x * CHANNELS + 3]!;
    if (cover === 0) continue;
    const place = placeOf(x);
    if (place === undefined) continue;
    const share = cover / WHOLE;
    const along = (face.start + x * face.perX + y * face.perY) * (light.length - 1);
    const step = Math.min(light.length - 2, Math.max(0, Math.floor(along)));
    const part = Math.min(1, Math.max(0, along - step));
    const one = light[step]!;
    const other = light[step + 1]!;
    for (let channel = 0; channel < CHANNELS; channel += 1) {
      const faded = one[channel]! + (other[channel]! - one[channel]!) * part;
      line[place * CHANNELS + channel]! += share * (faded - face.instead[channel]!);
    }
  }
  sums.sums.fill(0, 0, (face.across + 2) * CHANNELS);
  sums.touched.fill(0, 0, ((face.across + 1) >> 5) + 1);
}

function placeFace(corners: readonly Point[], { from, to }: FadeFill, tile: PaintWindow['tile']): PlacedFace {
  const size = { x: tile.width * SUBPIXELS, y: tile.height * SUBPIXELS };
  const places = placesOf(corners, size).map(({ x, y }) => ({
    x: Math.round(x),
    y: size.y - Math.round(y),
  }));
  const face = standAlone([places]);
  const start = { x: from.x * tile.width - face.left, y: (1 - from.y) * tile.height - face.top };
  const way = { x: (to.x - from.x) * tile.width, y: (from.y - to.y) * tile.height };
  const square = way.x * way.x + way.y * way.y;
  const [perX, perY] = square === 0 ? [0, 0] : [way.x / square, way.y / square];
  return {
    ...face,
    placed: {
      edges: Uint32Array.from({ length: face.edges.count }, (_, edge) => edge),
      tops: face.edges.y,
    },
    start: (0.5 - start.x) * perX + (0.5 - start.y) * perY,
    perX,
    perY,
  };
}
