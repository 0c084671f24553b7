import { CoreError } from '../../error.ts';
import { type Rational, rational } from '../../exact/rational.ts';
import type { Rectangle, Vector } from '../../exact/vector.ts';
import { parseSheet } from '../sheet.ts';

/** Papers of the A series in millimetres. Source: ISO 216:2007, table 1. */
const A_SERIES: Readonly<Record<string, readonly [width: number, height: number]>> = {
  A0: [841, 1189],
  A1: [594, 841],
  A2: [420, 594],
  A3: [297, 420],
  A4: [210, 297],
  A5: [148, 210],
  A6: [105, 148],
};

export const PAPERS: readonly string[] = Object.keys(A_SERIES);

const MILLIMETRE: Vector = { x: rational(1), y: rational(1) };

/**
 * Reads a paper: "A3", "A4 landscape", or a size such as "12in x 18in".
 * @returns millimetres
 * @throws  CoreError "pdf/paper" {text, known}
 */
export function parsePaper(text: string): Rectangle {
  const named = /^\s*(a[0-6])(\s+landscape)?\s*$/i.exec(text);
  if (named !== null) {
    const [width, height] = A_SERIES[named[1]!.toUpperCase()]!;
    return named[2] === undefined ? upright(width, height) : upright(height, width);
  }
  try {
    const sheet = parseSheet(text, 'mm', MILLIMETRE);
    if (sheet.kind === 'size') return sheet.size;
  } catch {
    // Told below.
  }
  throw new CoreError('pdf/paper', { text, known: PAPERS.join(', ') });
}

function upright(width: number, height: number): { width: Rational; height: Rational } {
  return { width: rational(width), height: rational(height) };
}
