import { cellArea } from '../../exact/lattice.ts';
import { nearNumber } from '../../exact/surd.ts';
import type { TilingDesign } from '../design-schema.ts';
import { tilingOf } from './shape-of-tiling.ts';
import type { TilingSpec } from './tiling-schema.ts';

/** Faces and cells of which a little picture shows at least so many. */
const FACES = 28;
const CELLS = 4;

const FACES_ALONE: Pick<TilingSpec, 'scatter' | 'rings' | 'fade' | 'picture' | 'gaps' | 'lines' | 'letters'> =
  {
    scatter: null,
    rings: [],
    fade: null,
    picture: null,
    gaps: null,
    letters: null,
    lines: [],
  };

/**
 * A tiling so small that a little picture shows what it is, its faces alone.
 * @param room  square millimetres of the picture
 * @throws CoreError as `tilingOf`
 */
export function littleTiling(design: TilingDesign, room: number): TilingDesign {
  const { construction } = design;
  const { lattice, faces } = tilingOf(construction);
  const cells = Math.max(CELLS, FACES / faces.length);
  const one = Math.sqrt(room / (cells * nearNumber(cellArea(lattice))));
  return {
    ...design,
    construction: { ...construction, ...FACES_ALONE, size: `${one.toFixed(2)} mm`, measured: 'one' },
  };
}
