import {
  add,
  floor,
  multiply,
  type Rational,
  rational,
  subtract,
  toDecimal,
  toNumber,
} from '../exact/rational.ts';
import { nearFraction } from '../exact/surd.ts';
import type { Rectangle, Vector } from '../exact/vector.ts';
import { type Corner, cornerAt, edgeName } from '../tiling/check-partition.ts';
import type { Face, Partition } from '../tiling/partition.ts';

/** Decimal places of lengths in millimetres and of coordinates. */
export const PLACES = 6;

/**
 * Width of the lines under the edges, as a part of the repeat's shorter side. Faces lie over both halves of them, so
 * they may be broad; where some faces are left clear, a line must not reach into those.
 */
const SEAM = { covered: 1 / 16, clear: 1 / 400 } as const;

/**
 * One repeat of a partition as paths, one a shade, in millimetres from the upper left corner. A viewer blends every
 * path's edge with what lies under it: so that this is never the ground, the edges between faces lie first, as lines
 * in the colour of the face that is painted first.
 *
 * @param underlap  how far a face runs under its neighbours, in millimetres; left out, a part of the repeat
 */
export function drawPartition(partition: Partition, size: Rectangle, underlap?: Rational): string {
  const seams = partition.shades.map((): string[] => []);
  const fills = partition.shades.map((): string[] => []);
  const sides = new Map<string, number>();
  for (const face of partition.faces) {
    for (const [index, from] of face.corners.entries()) {
      const to = face.corners[(index + 1) % face.corners.length]!;
      const [name] = edgeName(from, to);
      const other = sides.get(name);
      sides.set(name, face.shade);
      const seen = other !== undefined && other !== face.shade;
      if (seen && !partition.clear[other] && !partition.clear[face.shade]) {
        // The one of both that is painted first, so that the second's edge is blended with it and nothing else.
        seams[Math.min(face.shade, other)]!.push(
          ...inRepeat([pointOf(partition, from), pointOf(partition, to)], size, false),
        );
      }
    }
    if (partition.clear[face.shade]) continue;
    fills[face.shade]!.push(...inRepeat(pointsOf(partition, face), size, true));
  }
  const seam = partition.clear.includes(true) ? SEAM.clear : SEAM.covered;
  const usual = Math.min(toNumber(size.width), toNumber(size.height)) * seam;
  const width = (underlap === undefined ? usual : 2 * toNumber(underlap)).toFixed(PLACES);
  const lines = seams.map(
    (d, shade) =>
      d.length > 0 &&
      `<path fill="none" stroke="${partition.shades[shade]!.hex}" stroke-width="${width}" d="${d.join('')}"/>`,
  );
  const faces = fills.map(
    (d, shade) => d.length > 0 && `<path fill="${partition.shades[shade]!.hex}" d="${d.join('')}"/>`,
  );
  return [...lines, ...faces].filter((path) => path !== false).join('\n');
}

function pointsOf(partition: Partition, { corners }: Face): readonly Vector[] {
  return corners.map((corner) => pointOf(partition, corner));
}

/** A corner in repeats, as a fraction: a drawing has six places. */
function pointOf(partition: Partition, corner: Corner): Vector {
  const { x, y } = cornerAt(partition, corner);
  return { x: nearFraction(x), y: nearFraction(y) };
}

/** A shape wherever it comes into the repeat's box, y turned downward. */
function inRepeat(points: readonly Vector[], size: Rectangle, closed: boolean): readonly string[] {
  const found: string[] = [];
  const [left, right] = reach(points.map(({ x }) => x));
  const [low, high] = reach(points.map(({ y }) => y));
  for (let across = -right; across <= -left; across += 1) {
    for (let up = -high; up <= -low; up += 1) {
      const path = points.map(({ x, y }, index) => {
        const placed = [
          multiply(add(x, rational(across)), size.width),
          multiply(subtract(rational(1 - up), y), size.height),
        ];
        return `${index === 0 ? 'M' : 'L'}${placed.map((value) => toDecimal(value, PLACES)).join(' ')}`;
      });
      found.push(`${path.join('')}${closed ? 'z' : ''}`);
    }
  }
  return found;
}

/** First and last whole repeat that a range of coordinates touches. */
function reach(values: readonly Rational[]): readonly [number, number] {
  const floors = values.map((value) => Number(floor(value)));
  return [Math.min(...floors), Math.max(...floors)];
}
