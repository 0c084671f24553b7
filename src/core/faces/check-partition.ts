import { addPoints, areaOf, type Point } from '../exact/plane.ts';
import { addSurds, equalSurds, ONE_SURD, type Surd, signOf, surd, ZERO_SURD } from '../exact/surd.ts';

/** A corner of a face: a vertex, moved by whole repeats so that a face's corners lie side by side. */
export interface Corner {
  readonly vertex: number;
  readonly across: number;
  readonly up: number;
}

/** Faces on a torus: vertices in steps of the two vectors that carry it onto itself, 0 ≤ x, y < 1. */
export interface TorusFaces {
  readonly vertices: readonly Point[];
  /** Corners counterclockwise. */
  readonly faces: readonly { readonly corners: readonly Corner[] }[];
}

/** What makes polygons a partition of the torus, all of it counted exactly. */
export interface PartitionProof {
  readonly closed: boolean;
  readonly vertices: number;
  readonly edges: number;
  readonly faces: number;
  /** Edges that do not have exactly two faces, one along each way. */
  readonly loose: number;
  /** Sum of the faces' areas, in cells of the torus; 1 when they cover it once. */
  readonly area: Surd;
  /** Faces without area, or walked clockwise. */
  readonly turned: number;
}

/**
 * Proves that faces cover their torus exactly once: V − E + F = 0, every edge has two faces with opposite directions,
 * and areas above zero add up to one cell.
 */
export function checkPartition(partition: TorusFaces): PartitionProof {
  const edges = new Map<number | string, number>();
  let area = ZERO_SURD;
  let turned = 0;
  for (const face of partition.faces) {
    const size = faceArea(partition, face);
    area = addSurds(area, size);
    if (signOf(size) <= 0) turned += 1;
    face.corners.forEach((from, index) => {
      const to = face.corners[(index + 1) % face.corners.length]!;
      const forward = isForward(from, to);
      const key = forward ? edgeKey(from, to) : edgeKey(to, from);
      // One face along each way makes 1 + 4.
      edges.set(key, (edges.get(key) ?? 0) + (forward ? 1 : 4));
    });
  }
  const loose = [...edges.values()].filter((faces) => faces !== 5).length;
  const counts = {
    vertices: partition.vertices.length,
    edges: edges.size,
    faces: partition.faces.length,
  };
  const whole = counts.vertices - counts.edges + counts.faces === 0 && equalSurds(area, ONE_SURD);
  return { ...counts, closed: whole && loose === 0 && turned === 0, loose, area, turned };
}

/** The same name for an edge from both its ends, wherever a face lies; and the way it is walked. */
export function edgeName(from: Corner, to: Corner): readonly [name: string, way: 1 | -1] {
  return isForward(from, to) ? [nameOf(from, to), 1] : [nameOf(to, from), -1];
}

function isForward(from: Corner, to: Corner): boolean {
  if (from.vertex !== to.vertex) return from.vertex < to.vertex;
  return from.across !== to.across ? from.across < to.across : from.up < to.up;
}

function nameOf(from: Corner, to: Corner): string {
  return `${from.vertex} ${to.vertex} ${to.across - from.across} ${to.up - from.up}`;
}

/** A number for most edges, as there are many: vertices of 19 bits, steps of 7. */
function edgeKey(from: Corner, to: Corner): number | string {
  const across = to.across - from.across + 64;
  const up = to.up - from.up + 64;
  const isSmall = from.vertex < 2 ** 19 && to.vertex < 2 ** 19 && ((across | up) & ~127) === 0;
  return isSmall ? (from.vertex * 2 ** 19 + to.vertex) * 2 ** 14 + across * 128 + up : nameOf(from, to);
}

/** Where a corner lies, in cells of the torus. */
export function cornerAt({ vertices }: TorusFaces, { vertex, across, up }: Corner): Point {
  const point = vertices[vertex]!;
  return across === 0 && up === 0 ? point : addPoints(point, { x: surd(across), y: surd(up) });
}

/** Area of a face in cells of the torus, above zero when its corners run counterclockwise. */
export function faceArea(torus: TorusFaces, { corners }: TorusFaces['faces'][number]): Surd {
  return areaOf(corners.map((corner) => cornerAt(torus, corner)));
}
