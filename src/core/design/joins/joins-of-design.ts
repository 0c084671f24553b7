import { hexDifference } from '../../colour/compare.ts';
import { surdToNumber } from '../../exact/surd.ts';
import { cornerAt } from '../../faces/check-partition.ts';
import type { Partition } from '../../faces/partition.ts';
import type { Join } from '../../repeat/join.ts';
import type { RepeatUnit } from '../../repeat/repeat-unit.ts';
import type { Fill } from '../../shape/fill.ts';
import { type Place, placesOf } from '../../shape/places.ts';
import type { Design } from '../design-schema.ts';
import { isKind } from '../of-kind.ts';
import { alongLine, fadeColour } from './colour-at.ts';
import { metInMarks } from './met-in-marks.ts';
import { LEAST_SEEN, largestOf, type MetPlace, wayOver } from './met-place.ts';
import { seenInPlies } from './seen-in-plies.ts';

/**
 * Where fades and pictures of a design meet themselves as it comes again, and how far that is seen. Edges of bands, faces
 * and pieces are typed and no joins; the answer does not depend on where the repeat begins.
 *
 * @param unit  of the design, laid, its pictures painted
 * @returns     the largest first
 */
export function joinsOfDesign(design: Design, unit: RepeatUnit): readonly Join[] {
  return largestOf(metIn(design, unit));
}

function metIn(design: Design, unit: RepeatUnit): readonly MetPlace[] {
  const { content } = unit;
  if (content.kind === 'marks') return isKind('motif', design) ? metInMarks({ ...unit, content }) : [];
  if (content.kind !== 'plies' || !isKind('plies', design)) return [];
  const { plies } = design.construction;
  const seen = seenInPlies(content);
  return content.plies.flatMap((ply, at): readonly MetPlace[] => {
    const spec = plies[at]?.content;
    if (!ply.shown || spec === undefined) return [];
    const own =
      spec.kind === 'design'
        ? metIn(spec.design, ply.unit)
        : spec.kind === 'fade' && ply.unit.content.kind === 'partition'
          ? metInFade({ ...ply.unit, content: ply.unit.content })
          : [];
    const shift = { x: surdToNumber(ply.shift.x), y: surdToNumber(ply.shift.y) };
    return own.flatMap((met) => {
      const place = seen(at, { x: met.at.x + shift.x, y: met.at.y + shift.y });
      return place === undefined ? [] : [{ ...met, ply: at + 1, at: place }];
    });
  });
}

/** Places along a side of a face. */
const ALONG = 33;

/** Parts of a repeat to either side of an edge. */
const BESIDE = 1e-5;

/** Where a fade over a whole repeat meets its beginning, in faces that are copies of it. */
function metInFade({ content, pitch }: RepeatUnit<Partition>): readonly MetPlace[] {
  const size = { x: surdToNumber(pitch.x), y: surdToNumber(pitch.y) };
  const colourAt = colourIn(content);
  return facesOf(content).flatMap(({ face }) =>
    face.flatMap((from, at) => {
      const to = face[(at + 1) % face.length]!;
      const way = { x: to.x - from.x, y: to.y - from.y };
      const length = Math.hypot(way.x, way.y);
      const square = { x: -way.y / length, y: way.x / length };
      return Array.from({ length: ALONG }, (_, step) => (step + 0.5) / ALONG).flatMap((part): MetPlace[] => {
        const place = { x: from.x + part * way.x, y: from.y + part * way.y };
        const aside = (by: number) => colourAt({ x: place.x + by * square.x, y: place.y + by * square.y });
        const difference = hexDifference(aside(BESIDE), aside(-BESIDE));
        if (difference < LEAST_SEEN) return [];
        const inFirst = (value: number) => value - Math.floor(value);
        return [
          {
            of: 'fade',
            what: 'fade',
            difference,
            at: { x: inFirst(place.x) * size.x, y: inFirst(place.y) * size.y },
            over: wayOver({ x: square.x * size.x, y: square.y * size.y }),
          },
        ];
      });
    }),
  );
}

interface PlacedFace {
  readonly face: readonly Place[];
  readonly fill: Fill;
}

/** In repeats. */
function facesOf(partition: Partition): readonly PlacedFace[] {
  return partition.faces.map(({ corners, fill }) => ({
    fill,
    face: placesOf(
      corners.map((corner) => cornerAt(partition, corner)),
      { x: 1, y: 1 },
    ),
  }));
}

/** Tells the colour at a place in repeats. */
function colourIn(partition: Partition): (place: Place) => string {
  const hexOfShade = (shade: number) => partition.shades[shade]!.hex;
  const faces = facesOf(partition);
  return (place) => {
    for (const { face, fill } of faces) {
      for (const shift of SHIFTS) {
        const at = { x: place.x + shift.x, y: place.y + shift.y };
        if (!isInside(at, face)) continue;
        if (fill.kind !== 'fade') return hexOfShade(fill.shade);
        return fadeColour(fill.shades.map(hexOfShade), alongLine(fill.from, fill.to, at));
      }
    }
    throw new Error('expected a face everywhere');
  };
}

const SHIFTS: readonly Place[] = [-1, 0, 1].flatMap((x) => [-1, 0, 1].map((y) => ({ x, y })));

function isInside({ x, y }: Place, corners: readonly Place[]): boolean {
  return corners.every((from, at) => {
    const to = corners[(at + 1) % corners.length]!;
    return (to.x - from.x) * (y - from.y) - (to.y - from.y) * (x - from.x) >= 0;
  });
}
