import { dsvFormat } from 'd3-dsv';
import type { Point } from '../../exact/plane.ts';
import { multiplySurds, type Surd, surdText, surdToNumber, ZERO_SURD } from '../../exact/surd.ts';
import { facesOf } from '../../repeat/repeat-unit.ts';
import { configurations } from '../../tiling/around-vertex.ts';
import { cornerAt, edgeName } from '../../tiling/check-partition.ts';
import { compile } from '../compile-design.ts';
import type { TilingDesign } from '../design-schema.ts';

type Doubles = readonly [x: number, y: number];
type Texts = readonly [x: string, y: string];
type Exact = readonly [x: Surd, y: Surd];

/** The faces of one upright repeat in millimetres, as nearest doubles and exactly. */
export interface TilingGeometry {
  readonly unit: 'mm';
  readonly lattice: readonly [Doubles, Doubles];
  readonly exactLattice: readonly [Texts, Texts];
  readonly faces: readonly {
    readonly points: readonly Doubles[];
    readonly exact: readonly Texts[];
    /** Number of sides. */
    readonly kind: number;
    /** Key of its shade. */
    readonly shade: string;
  }[];
  /** Each edge once, by its two ends. */
  readonly edges: readonly (readonly [Doubles, Doubles])[];
  readonly exactEdges: readonly (readonly [Texts, Texts])[];
  readonly vertices: readonly Doubles[];
  readonly exactVertices: readonly Texts[];
  /** The kinds of vertices, each by the faces round it. */
  readonly configuration: readonly string[];
}

/** @throws CoreError as `compileTiling` */
export function tilingGeometry(design: TilingDesign): TilingGeometry {
  const { content, pitch } = compile(design);
  const base = facesOf(content);
  const placed = ({ x, y }: Point) => [multiplySurds(x, pitch.x), multiplySurds(y, pitch.y)] satisfies Exact;
  const [right, up] = [
    [pitch.x, ZERO_SURD],
    [ZERO_SURD, pitch.y],
  ] as const;
  const edges = new Map<string, readonly [Exact, Exact]>();
  const faces = base.faces.map(({ corners, shade }) => {
    const points = corners.map((corner) => placed(cornerAt(base, corner)));
    corners.forEach((from, at) => {
      const next = (at + 1) % corners.length;
      const [name] = edgeName(from, corners[next]!);
      if (!edges.has(name)) edges.set(name, [points[at]!, points[next]!]);
    });
    return {
      points: points.map(doubles),
      exact: points.map(texts),
      kind: corners.length,
      shade: base.shades[shade]!.key,
    };
  });
  const ends = [...edges.values()];
  const vertices = base.vertices.map(placed);
  return {
    unit: 'mm',
    lattice: [doubles(right), doubles(up)],
    exactLattice: [texts(right), texts(up)],
    faces,
    edges: ends.map(([from, to]) => [doubles(from), doubles(to)]),
    exactEdges: ends.map(([from, to]) => [texts(from), texts(to)]),
    vertices: vertices.map(doubles),
    exactVertices: vertices.map(texts),
    configuration: [...new Set(configurations(base))].sort(),
  };
}

/** The corners of all faces as a table, a row each; CRLF as RFC 4180 wants it. */
export function tilingToCsv(design: TilingDesign): string {
  const rows = tilingGeometry(design).faces.flatMap(({ points, exact, kind, shade }, face) =>
    points.map(([x, y], corner) => [
      String(face + 1),
      String(kind),
      shade,
      String(corner + 1),
      String(x),
      String(y),
      ...exact[corner]!,
    ]),
  );
  const head = ['face', 'sides', 'shade', 'corner', 'x_mm', 'y_mm', 'x_exact', 'y_exact'];
  return `${dsvFormat(',')
    .formatRows([head, ...rows])
    .replaceAll('\n', '\r\n')}\r\n`;
}

function doubles([x, y]: Exact): Doubles {
  return [surdToNumber(x), surdToNumber(y)];
}

function texts([x, y]: Exact): Texts {
  return [surdText(x), surdText(y)];
}
