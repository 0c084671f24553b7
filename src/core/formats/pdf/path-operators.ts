import svgpath from 'svgpath';
import { SHARPEST } from '../../shape/line-joins.ts';
import type { LineEnds } from '../../shape/shape.ts';
import type { DrawnPath, DrawnPiece } from '../svg/drawn-path.ts';

/** Digits behind the point of a coordinate. */
const PLACES = 5;

/** Joins and caps by number. Source: ISO 32000-1, 8.4.3.3 and 8.4.3.4. */
const JOINS: Readonly<Record<LineEnds, number>> = { sharp: 0, round: 1, flat: 2 };
const CAPS: Readonly<Record<LineEnds, number>> = { flat: 0, round: 1, sharp: 2 };

/** Most characters of a drawing; beyond it a picture is the better file. */
const MOST = 24_000_000;

/**
 * Paths of a drawing as operators of a PDF content stream (ISO 32000-1, 8.5), in the drawing's own units, y downward, each
 * once and in their order.
 * @returns undefined where it holds what only SVG knows, or too much
 */
export function drawingOperators(pieces: Iterable<DrawnPiece>, most = MOST): string | undefined {
  const parts: string[] = [];
  let length = 0;
  for (const piece of pieces) {
    if (typeof piece === 'string') return undefined;
    for (const part of pathOperators(piece)) {
      parts.push(part);
      length += part.length;
      if (length > most) return undefined;
    }
  }
  return parts.join('');
}

function* pathOperators({ data, paint }: DrawnPath): Iterable<string> {
  const colour = colourOperands(paint.hex);
  if (paint.kind === 'fill') {
    yield `${colour} rg\n`;
    for (const part of data) yield traced(part);
    yield paint.evenOdd ? 'f*\n' : 'f\n';
    return;
  }
  const { ends = 'flat', width } = paint;
  yield `${colour} RG ${pdfNumber(width)} w ${CAPS[ends]} J ${JOINS[ends]} j ${SHARPEST} M\n`;
  for (const part of data) yield traced(part);
  yield 'S\n';
}

/** Red, green and blue from 0 to 1. */
function colourOperands(hex: string): string {
  return [1, 3, 5].map((at) => pdfNumber(Number.parseInt(hex.slice(at, at + 2), 16) / 255)).join(' ');
}

/** Path data in the four operators that PDF has; arcs become curves. */
function traced(data: string): string {
  const parts: string[] = [];
  let last = { x: 0, y: 0 };
  const add = (operator: 'm' | 'l' | 'c' | 'h', places: readonly number[]) => {
    parts.push(`${[...places.map(pdfNumber), operator].join(' ')}\n`);
    if (places.length > 0) last = { x: places.at(-2)!, y: places.at(-1)! };
  };
  svgpath(data)
    .abs()
    .unarc()
    .iterate(([command, ...rest]) => {
      const values = rest as number[];
      switch (command) {
        case 'M':
          return add('m', values);
        case 'L':
          return add('l', values);
        case 'H':
          return add('l', [values[0]!, last.y]);
        case 'V':
          return add('l', [last.x, values[0]!]);
        case 'C':
          return add('c', values);
        case 'Z':
        case 'z':
          return add('h', []);
        default:
          throw new Error(`a path with ${command}`);
      }
    });
  return parts.join('');
}

/** A number as PDF writes it, without an exponent. */
export function pdfNumber(value: number): string {
  const text = value.toFixed(PLACES).replace(/\.?0+$/, '');
  return text === '-0' || text === '' ? '0' : text;
}
