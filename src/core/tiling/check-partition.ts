import { add, equals, multiply, ONE, type Rational, rational, subtract } from '../exact/rational.ts';
import type { Vector } from '../exact/vector.ts';
import type { Corner, Face, Partition } from './partition.ts';

/** What makes polygons a partition of the torus, all of it counted exactly. */
export interface PartitionProof {
  readonly closed: boolean;
  readonly vertices: number;
  readonly edges: number;
  readonly faces: number;
  /** Edges that do not have exactly two faces, one along each way. */
  readonly loose: number;
  /** Sum of the faces' areas, in repeats; 1 when they cover it once. */
  readonly area: Rational;
  /** Faces without area, or walked clockwise. */
  readonly turned: number;
}

/**
 * Proves that a partition covers its torus exactly once: V − E + F = 0, every edge has two faces with opposite
 * directions, and areas above zero add up to one repeat.
 */
export function checkPartition(partition: Partition): PartitionProof {
  const edges = new Map<string, number>();
  let area = rational(0);
  let turned = 0;
  for (const face of partition.faces) {
    const size = faceArea(partition, face);
    area = add(area, size);
    if (size.n <= 0n) turned += 1;
    face.corners.forEach((from, index) => {
      const to = face.corners[(index + 1) % face.corners.length]!;
      const [name, way] = edgeName(from, to);
      // One face along each way makes 1 + 4.
      edges.set(name, (edges.get(name) ?? 0) + (way === 1 ? 1 : 4));
    });
  }
  const loose = [...edges.values()].filter((faces) => faces !== 5).length;
  const counts = {
    vertices: partition.vertices.length,
    edges: edges.size,
    faces: partition.faces.length,
  };
  const whole = counts.vertices - counts.edges + counts.faces === 0 && equals(area, ONE);
  return { ...counts, closed: whole && loose === 0 && turned === 0, loose, area, turned };
}

/** The same name for an edge from both its ends, wherever a face lies; and the way it is walked. */
export function edgeName(from: Corner, to: Corner): readonly [name: string, way: 1 | -1] {
  const [across, up] = [to.across - from.across, to.up - from.up];
  const forward = from.vertex !== to.vertex ? from.vertex < to.vertex : across !== 0 ? across > 0 : up > 0;
  return forward
    ? [`${from.vertex} ${to.vertex} ${across} ${up}`, 1]
    : [`${to.vertex} ${from.vertex} ${-across} ${-up}`, -1];
}

/** Where a corner lies, in repeats. */
export function cornerAt({ vertices }: Partition, { vertex, across, up }: Corner): Vector {
  const { x, y } = vertices[vertex]!;
  return { x: add(x, rational(across)), y: add(y, rational(up)) };
}

/** Area of a face in repeats, positive when its corners run counterclockwise: the surveyor's formula. */
export function faceArea(partition: Partition, { corners }: Face): Rational {
  const points = corners.map((corner) => cornerAt(partition, corner));
  const twice = points.reduce((sum, a, index) => {
    const b = points[(index + 1) % points.length]!;
    return add(sum, subtract(multiply(a.x, b.y), multiply(b.x, a.y)));
  }, rational(0));
  return multiply(twice, rational(1, 2));
}
