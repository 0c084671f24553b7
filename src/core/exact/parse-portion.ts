import { parseExact } from './parse-exact.ts';
import { multiply, type Rational, rational } from './rational.ts';

const HUNDREDTH = rational(1, 100);

/**
 * Reads a share of something as people type it: "3/4", "0.75" or "75%".
 * @throws CoreError as `parseExact`
 */
export function parsePortion(text: string): Rational {
  const percent = /^(.*)%\s*$/s.exec(text);
  return percent === null ? parseExact(text) : multiply(parseExact(percent[1]!), HUNDREDTH);
}
