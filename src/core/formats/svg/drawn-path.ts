import { SHARPEST } from '../../shape/line-joins.ts';
import type { LineEnds } from '../../shape/shape.ts';
import { lengthText } from './length-text.ts';

/** A path in one shade, which SVG and PDF can both draw. */
export interface DrawnPath {
  /** Path data, piece by piece, in user units, y downward. Source: W3C SVG 2, 9.3. */
  readonly data: Iterable<string>;
  readonly paint: PathFill | PathLine;
}

export interface PathFill {
  readonly kind: 'fill';
  readonly hex: string;
  /** Whether what lies in two outlines is a hole. */
  readonly evenOdd: boolean;
}

export interface PathLine {
  readonly kind: 'line';
  readonly hex: string;
  /** In user units. */
  readonly width: number;
  /** Left out, as both have them: blunt, corners to a point. */
  readonly ends?: LineEnds;
}

/** What a drawing is made of: paths, and elements as text that only SVG knows. */
export type DrawnPiece = DrawnPath | string;

export function filled(hex: string, data: Iterable<string>, evenOdd = false): DrawnPath {
  return { data, paint: { kind: 'fill', hex, evenOdd } };
}

const JOINS: Readonly<Record<LineEnds, string>> = { round: 'round', sharp: 'miter', flat: 'bevel' };
const CAPS: Readonly<Record<LineEnds, string>> = { round: 'round', sharp: 'square', flat: 'butt' };

/** Pieces of a drawing as the text of SVG elements. */
export function* svgText(pieces: Iterable<DrawnPiece>): Iterable<string> {
  for (const piece of pieces) {
    if (typeof piece === 'string') {
      yield piece;
      continue;
    }
    yield `<path ${attributes(piece.paint)} d="`;
    yield* piece.data;
    yield '"/>\n';
  }
}

function attributes(paint: PathFill | PathLine): string {
  if (paint.kind === 'fill') return `fill="${paint.hex}"${paint.evenOdd ? ' fill-rule="evenodd"' : ''}`;
  const { hex, width, ends } = paint;
  const line = `fill="none" stroke="${hex}" stroke-width="${lengthText(width)}"`;
  if (ends === undefined) return line;
  return `${line} stroke-linejoin="${JOINS[ends]}" stroke-linecap="${CAPS[ends]}" stroke-miterlimit="${SHARPEST}"`;
}
