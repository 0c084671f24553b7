import { CoreError } from '../../error.ts';
import type { PliesDesign } from '../design-schema.ts';
import { asKind } from '../of-kind.ts';
import { MAX_DOCUMENT, readDesign } from '../read-design.ts';

/**
 * Plies that were just laid over each other, checked as any document is that is read.
 * @throws CoreError as `readDesign`, or "design/too-long" {length, most}
 */
export function readPlies(laid: PliesDesign): PliesDesign {
  const { length } = JSON.stringify(laid);
  if (length > MAX_DOCUMENT) throw new CoreError('design/too-long', { length, most: MAX_DOCUMENT });
  return asKind('plies', readDesign(laid));
}
