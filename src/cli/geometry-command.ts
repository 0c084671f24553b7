import { tilingGeometry, tilingToCsv } from '../core/design/exchange/tiling-geometry.ts';
import { filesOf } from '../core/design/exchange/write-file.ts';
import { asKind } from '../core/design/of-kind.ts';
import { CoreError } from '../core/error.ts';
import { readDesignFile } from './read-design-file.ts';
import { EXIT } from './run.ts';

/** `vetro geometry`: the faces of a tiling's upright repeat in millimetres, as doubles and exactly. */
export function geometryCommand(path: string, options: { json?: boolean; csv?: boolean }): number {
  const read = readDesignFile(path);
  if (!filesOf(read).includes('faces.csv')) throw new CoreError('tiling/none');
  const design = asKind('tiling', read);
  if (options.csv === true) {
    process.stdout.write(tilingToCsv(design));
    return EXIT.fine;
  }
  const geometry = tilingGeometry(design);
  if (options.json === true) {
    process.stdout.write(`${JSON.stringify(geometry)}\n`);
    return EXIT.fine;
  }
  const { exactLattice, faces, edges, vertices, configuration } = geometry;
  const size = `${exactLattice[0][0]} × ${exactLattice[1][1]} mm`;
  process.stdout.write(
    `One repeat: ${size}. ${faces.length} faces, ${edges.length} edges, ${vertices.length} vertices; round them ${configuration.join(', ')}.\n`,
  );
  return EXIT.fine;
}
