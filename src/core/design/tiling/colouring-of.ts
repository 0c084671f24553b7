import { CoreError } from '../../error.ts';
import { foldTiling } from '../../faces/torus.ts';
import {
  byDirection,
  byFace,
  byHand,
  byNeighbours,
  byRows,
  bySides,
  type Colouring,
} from '../../tiling/colourings.ts';
import type { Tiling } from '../../tiling/tiling-form.ts';
import type { TilingSpec } from './tiling-schema.ts';

/** Which faces of a tiling are alike. @throws CoreError "tiling/neighbours" where six shades will not keep neighbours apart */
export function colouringOf(tiling: Tiling, { colours }: Pick<TilingSpec, 'colours'>): Colouring {
  switch (colours.by) {
    case 'sides':
      return bySides(tiling);
    case 'directions':
      return byDirection(tiling);
    case 'faces':
      return byFace(tiling);
    case 'rows':
      return byRows(tiling, colours.way, colours.count);
    case 'hand':
      return byHand(tiling, colours.across, colours.up);
    case 'neighbours': {
      const found = byNeighbours(tiling, foldTiling(tiling));
      if (found === undefined) throw new CoreError('tiling/neighbours', {});
      return found;
    }
    default:
      return colours satisfies never;
  }
}

/** The shade of each class of a colouring, by its key: those of a list, which begins again where it ends. */
export function classShades({ colours, faces }: Pick<TilingSpec, 'colours' | 'faces'>): readonly string[] {
  return colours.by === 'hand' ? colours.shades : faces;
}
