import { CoreError } from '../error.ts';
import type { Bent, FlatBox } from './bent.ts';

/** Places along each side at which it is looked whether cloth lies with its right side up. */
const PLACES = 33;

/** Part of a box's side between two places that are compared. */
const NEAR = 1e-4;

/**
 * Bends one after another may each be sound, and fold cloth together: where it would lie face down, the map's determinant is
 * not above 0.
 * @throws CoreError "bend/folds-over" {x, y}
 */
export function checkUnfolded({ there }: Bent, { width, height }: FlatBox): void {
  const here = new Float64Array(2);
  const right = new Float64Array(2);
  const above = new Float64Array(2);
  const stepX = width * NEAR;
  const stepY = height * NEAR;
  for (let up = 0; up < PLACES; up += 1) {
    for (let along = 0; along < PLACES; along += 1) {
      const x = ((width - stepX) * along) / (PLACES - 1);
      const y = ((height - stepY) * up) / (PLACES - 1);
      there(x, y, here);
      there(x + stepX, y, right);
      there(x, y + stepY, above);
      const turn =
        (right[0]! - here[0]!) * (above[1]! - here[1]!) - (right[1]! - here[1]!) * (above[0]! - here[0]!);
      if (!(turn > 0)) throw new CoreError('bend/folds-over', { x, y });
    }
  }
}
