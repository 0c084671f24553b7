import { compile } from '../core/design/compile-design.ts';
import { isTiling } from '../core/design/design-schema.ts';
import { CoreError } from '../core/error.ts';
import { multiplySurds, type Surd, surdText, surdToNumber, ZERO_SURD } from '../core/exact/surd.ts';
import { configurations } from '../core/tiling/around-vertex.ts';
import { checkPartition, cornerAt } from '../core/tiling/check-partition.ts';
import { EXIT, readDesignFile } from './run.ts';

/** `vetro geometry`: the faces of a tiling's upright repeat in millimetres, as doubles and exactly. */
export function geometryCommand(path: string, options: { json?: boolean }): number {
  const design = readDesignFile(path);
  if (!isTiling(design)) throw new CoreError('tiling/none');
  const { content, pitch } = compile(design);
  const point = ({ x, y }: { readonly x: Surd; readonly y: Surd }) =>
    [multiplySurds(x, pitch.x), multiplySurds(y, pitch.y)] as const;
  const proof = checkPartition(content);
  const kinds = [...new Set(configurations(content))].sort();
  if (options.json !== true) {
    const size = `${surdText(pitch.x)} × ${surdText(pitch.y)} mm`;
    process.stdout.write(
      `One repeat: ${size}. ${proof.faces} faces, ${proof.edges} edges, ${proof.vertices} vertices; round them ${kinds.join(', ')}.\n`,
    );
    return EXIT.fine;
  }
  const doubles = (pair: readonly [Surd, Surd]) => pair.map(surdToNumber);
  const texts = (pair: readonly [Surd, Surd]) => pair.map(surdText);
  const geometry = {
    unit: 'mm',
    lattice: [doubles([pitch.x, ZERO_SURD]), doubles([ZERO_SURD, pitch.y])],
    exactLattice: [texts([pitch.x, ZERO_SURD]), texts([ZERO_SURD, pitch.y])],
    faces: content.faces.map(({ corners, shade }) => {
      const points = corners.map((corner) => point(cornerAt(content, corner)));
      return {
        points: points.map(doubles),
        exact: points.map(texts),
        kind: corners.length,
        shade: content.shades[shade]!.key,
      };
    }),
    edges: proof.edges,
    vertices: content.vertices.map((vertex) => doubles(point(vertex))),
    configuration: kinds,
  };
  process.stdout.write(`${JSON.stringify(geometry)}\n`);
  return EXIT.fine;
}
