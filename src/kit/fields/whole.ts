import { CoreError } from '../../core/error.ts';
import { parseExact } from '../../core/exact/parse-exact.ts';
import { isWhole, toText } from '../../core/exact/rational.ts';
import { MAX_COUNT } from '../../core/thread/band.ts';

/**
 * A whole number, not below `least`, from arithmetic such as 2*6.
 * @throws CoreError "number/not-whole" {text, least, most}, or as `parseExact`
 */
export function whole(text: string, least: number): number {
  const value = parseExact(text);
  if (!isWhole(value) || value.n < BigInt(least) || value.n > BigInt(MAX_COUNT)) {
    throw new CoreError('number/not-whole', { text: toText(value), least, most: MAX_COUNT });
  }
  return Number(value.n);
}
