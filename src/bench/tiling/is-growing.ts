import type { TilingSpec } from '../../core/design/tiling/tiling-schema.ts';
import { closeGrowth } from '../../core/tiling/close-growth.ts';
import { type GrownFace, growPatch } from '../../core/tiling/growth.ts';
import { valueIfAny } from '../../wording/attempt.ts';

/** Whether a patch is shown in the place of the cloth: when it is wished, and by itself while it makes no cloth yet. */
export function isGrowing({ form }: TilingSpec, wished: boolean): boolean {
  return form.kind === 'grown' && (wished || !isClosed(form.faces));
}

/** What was found of lists of faces, which are never changed. */
const CLOSED = new WeakMap<readonly GrownFace[], boolean>();

function isClosed(faces: readonly GrownFace[]): boolean {
  const known = CLOSED.get(faces);
  if (known !== undefined) return known;
  const closed = valueIfAny(() => closeGrowth(growPatch(faces)).kind === 'closed') ?? false;
  CLOSED.set(faces, closed);
  return closed;
}
