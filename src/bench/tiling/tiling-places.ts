import type { TilingDesign } from '../../core/design/design-schema.ts';
import { pixelOf } from '../../core/design/lay/lay-schema.ts';
import { layTiling } from '../../core/design/tiling/lay-tiling.ts';
import { sideOf } from '../../core/design/tiling/side-of.ts';
import { surdToNumber } from '../../core/exact/surd.ts';
import type { Place } from '../../core/shape/places.ts';
import type { LaidFace } from '../../core/tiling/upright-partition.ts';

/** A tiling as it lies on the cloth, in millimetres from the lower left corner of one repeat. */
export interface LaidPlaces {
  readonly width: number;
  readonly height: number;
  /** A side of 1. */
  readonly side: number;
  readonly faces: readonly { readonly laid: LaidFace; readonly corners: readonly Place[] }[];
}

/** What of a tiling is pointed at: a face, one of its sides or one of its corners, in a repeat so many away. */
export interface TilingPlace {
  readonly kind: 'face' | 'side' | 'corner';
  /** Which of the laid faces, and which of its sides or corners. */
  readonly index: number;
  readonly at: number;
  readonly across: number;
  readonly up: number;
}

/** Most faces that the hand is offered; more are looked at, not taken hold of. */
const MOST = 4000;

/** @throws CoreError as `layTiling` */
export function laidPlaces({ construction, shades, resolution }: TilingDesign): LaidPlaces {
  const laid = layTiling(construction, shades, MOST);
  const side = surdToNumber(sideOf(construction, laid, pixelOf(resolution)));
  return {
    width: surdToNumber(laid.width) * side,
    height: surdToNumber(laid.height) * side,
    side,
    faces: laid.faces.map((face) => ({
      laid: face,
      corners: face.corners.map(({ x, y }) => ({ x: surdToNumber(x) * side, y: surdToNumber(y) * side })),
    })),
  };
}

/** What lies at a place: a corner or a side within a reach, else the face. */
export function placeAt(places: LaidPlaces, point: Place, reach: number): TilingPlace | undefined {
  for (const [index, { corners }] of places.faces.entries()) {
    const xs = corners.map(({ x }) => x);
    const ys = corners.map(({ y }) => y);
    const acrosses = shifts(point.x, xs, places.width, reach);
    for (const across of acrosses) {
      for (const up of shifts(point.y, ys, places.height, reach)) {
        const local = { x: point.x - across * places.width, y: point.y - up * places.height };
        const found = inFace(corners, local, reach);
        if (found !== undefined) return { ...found, index, across, up };
      }
    }
  }
  return undefined;
}

/** Whole repeats by which a range may be moved to reach a value. */
function shifts(value: number, range: readonly number[], size: number, reach: number): readonly number[] {
  const first = Math.ceil((value - Math.max(...range) - reach) / size);
  const last = Math.floor((value - Math.min(...range) + reach) / size);
  return Array.from({ length: Math.max(0, last - first + 1) }, (_, at) => first + at);
}

function inFace(
  corners: readonly Place[],
  point: Place,
  reach: number,
): Pick<TilingPlace, 'kind' | 'at'> | undefined {
  const ways = corners.map((from, at) => insideBy(from, corners[(at + 1) % corners.length]!, point));
  if (ways.some((inside) => inside < 0)) return undefined;
  const corner = corners.findIndex(({ x, y }) => Math.hypot(point.x - x, point.y - y) <= reach);
  if (corner >= 0) return { kind: 'corner', at: corner };
  const side = ways.findIndex((inside) => inside <= reach);
  return side >= 0 ? { kind: 'side', at: side } : { kind: 'face', at: 0 };
}

/** How far a place lies inside a side of a face that runs counterclockwise. */
function insideBy(from: Place, to: Place, { x, y }: Place): number {
  const dx = to.x - from.x;
  const dy = to.y - from.y;
  return (dx * (y - from.y) - dy * (x - from.x)) / Math.hypot(dx, dy);
}

/**
 * Numbers of sides of the faces at what is pointed at: of both faces at a side, fewest first; of all faces round a corner,
 * counterclockwise; of the face itself.
 */
export function sidesRound(places: LaidPlaces, place: TilingPlace): readonly number[] {
  const { corners } = places.faces[place.index]!;
  if (place.kind === 'face') return [corners.length];
  const from = corners[place.at]!;
  const to = corners[(place.at + 1) % corners.length]!;
  const far = Math.min(places.width, places.height) * 1e-6;
  if (place.kind === 'side') {
    // Just beyond the middle of the side.
    const middle = {
      x: (from.x + to.x) / 2 + (to.y - from.y) * 1e-4,
      y: (from.y + to.y) / 2 - (to.x - from.x) * 1e-4,
    };
    const other = placeAt(places, middle, 0);
    const beyond = other === undefined ? corners.length : places.faces[other.index]!.corners.length;
    return [corners.length, beyond].sort((a, b) => a - b);
  }
  return places.faces
    .flatMap((face) =>
      face.corners.flatMap((corner, at) => {
        const x = (corner.x - from.x) / places.width;
        const y = (corner.y - from.y) / places.height;
        const same =
          Math.hypot((x - Math.round(x)) * places.width, (y - Math.round(y)) * places.height) < far;
        if (!same) return [];
        const next = face.corners[(at + 1) % face.corners.length]!;
        return [{ sides: face.corners.length, way: Math.atan2(next.y - corner.y, next.x - corner.x) }];
      }),
    )
    .sort((a, b) => a.way - b.way)
    .map(({ sides }) => sides);
}
