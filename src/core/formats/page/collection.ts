import { CoreError } from '../../error.ts';
import { parseExact } from '../../exact/parse-exact.ts';
import { compare, divide, type Rational, rational } from '../../exact/rational.ts';

/** Pictures of cloth across and down a page of a collection sheet. */
export const ACROSS = 2;
export const DOWN = 3;

/** Pictures of cloth on one page. */
export const A_PAGE = ACROSS * DOWN;

/** Part of true size at which a collection's cloth is shown when nothing is said. */
export const COLLECTION_SCALE = '50%';

/**
 * Reads the part of true size at which all cloth is shown: "50%" or "1/2".
 * @throws CoreError as `parseExact`, or "collection/scale" {text}
 */
export function parseCollectionScale(text: string): Rational {
  const percent = text.trim().endsWith('%');
  const value = parseExact(percent ? text.trim().slice(0, -1) : text);
  const part = percent ? divide(value, rational(100)) : value;
  if (compare(part, rational(1, 100)) < 0 || compare(part, rational(10)) > 0) {
    throw new CoreError('collection/scale', { text });
  }
  return part;
}
