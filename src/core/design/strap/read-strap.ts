import type { Rational } from '../../exact/rational.ts';
import { toNumber } from '../../exact/rational.ts';
import type { LineEnds } from '../../shape/shape.ts';
import type { StrapStyle } from '../../shape/straps/strap-style.ts';
import type { StrapSpec } from './strap-schema.ts';

/** How a construction's lengths are read, in millimetres. */
export interface LengthReaders {
  readonly size: (text: string) => Rational;
  readonly sizeOrNone: (text: string) => Rational;
}

/** A strap of a width as it is typed, in millimetres. @throws CoreError of its numbers */
export function readStrap(
  { gap, edges, centre, dip }: StrapSpec,
  line: { readonly width: string; readonly ends: LineEnds },
  { size, sizeOrNone }: LengthReaders,
): StrapStyle {
  const length = (text: string) => toNumber(size(text));
  const lengthOrNone = (text: string) => toNumber(sizeOrNone(text));
  const dashes = centre?.dashes ?? null;
  return {
    width: length(line.width),
    ends: line.ends,
    gap: lengthOrNone(gap),
    edges: edges.map(({ inset, width }) => ({ inset: lengthOrNone(inset), width: length(width) })),
    centre: centre && {
      width: length(centre.width),
      dashes: dashes && { length: length(dashes.length), gap: length(dashes.gap), endless: true },
    },
    dip:
      dip?.kind === 'lines'
        ? { ...dip, length: length(dip.length), apart: lengthOrNone(dip.apart), width: length(dip.width) }
        : dip && { kind: 'shade', length: length(dip.length) },
  };
}

/** Whether what lies along a strap is wider than the strap. */
export function isTooNarrow({ width, edges, centre }: StrapStyle): boolean {
  return edges.some((edge) => 2 * edge.inset >= width) || (centre?.width ?? 0) > width;
}
