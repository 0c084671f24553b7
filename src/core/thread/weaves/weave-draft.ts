import type { Interlacing } from '../weave.ts';
import { buildWeave } from './build-weave.ts';
import { draftOf } from './draft.ts';
import { matrixRows } from './matrix.ts';
import { type Draft, MAX_MATRIX, type WeaveSpec } from './weave-spec.ts';

/**
 * The draft that weaves a structure: the one it is made of, else the one with the fewest shafts.
 * @throws CoreError as `draftOf` and `buildWeave`
 */
export function weaveDraft(weave: WeaveSpec): Draft {
  return weave.kind === 'draft' ? weave : draftOf(buildWeave(weave));
}

/**
 * A structure that was worked by hand, as it is kept: drawn, or drafted where it is too large for that.
 * @throws CoreError as `draftOf`
 */
export function drawnWeave(structure: Interlacing): WeaveSpec {
  return Math.max(structure.ends, structure.picks) <= MAX_MATRIX
    ? { kind: 'matrix', rows: matrixRows(structure) }
    : { kind: 'draft', ...draftOf(structure) };
}
