import type { Piece, PieceShape } from '../../../core/design/motif/motif-schema.ts';
import { isNumberShape, type NumberShape } from '../../../core/design/motif/shapes.ts';
import { numberOf } from './in-steps.ts';
import type { LaidMotif } from './motif-places.ts';

/** Whether a piece stands as its numbers say it, unturned. */
export function isPlain({ turn, mirrored }: Piece): boolean {
  return turn === '0' && !mirrored;
}

/** A number that says how far a shape reaches from its middle, once or twice. */
interface SizeNumber {
  readonly key: string;
  readonly axis: 'x' | 'y';
  readonly times: 1 | 2;
}

const SIZES: Readonly<Partial<Record<NumberShape['kind'], readonly SizeNumber[]>>> = {
  rectangle: [
    { key: 'width', axis: 'x', times: 2 },
    { key: 'height', axis: 'y', times: 2 },
  ],
  disc: [{ key: 'across', axis: 'x', times: 2 }],
  ellipse: [
    { key: 'width', axis: 'x', times: 2 },
    { key: 'height', axis: 'y', times: 2 },
  ],
  ring: [{ key: 'across', axis: 'x', times: 2 }],
  sector: [{ key: 'across', axis: 'x', times: 2 }],
  polygon: [{ key: 'size', axis: 'y', times: 1 }],
  star: [{ key: 'outer', axis: 'y', times: 1 }],
  starStep: [{ key: 'radius', axis: 'y', times: 1 }],
  letters: [{ key: 'height', axis: 'y', times: 2 }],
  capsule: [
    { key: 'length', axis: 'x', times: 2 },
    { key: 'width', axis: 'y', times: 2 },
  ],
};

export interface Size extends SizeNumber {
  /** From the middle, in millimetres. */
  readonly reach: number;
}

/** The sizes of a piece, as its shape stands before it is turned. */
export function sizesOf({ shape }: Piece, { scale, step }: LaidMotif): readonly Size[] {
  if (!isNumberShape(shape)) return [];
  // A polygon may be measured by its side or its flats: its corner is not as far as the number says.
  if (shape.kind === 'polygon' && shape.measured !== 'radius') return [];
  return (SIZES[shape.kind] ?? []).map((size) => {
    return { ...size, reach: (numberOf(textOf(shape, size.key), scale) * step) / size.times };
  });
}

/** A number of a shape as it was typed. */
export function textOf(shape: PieceShape, key: string): string {
  return String((shape as unknown as Readonly<Record<string, string>>)[key]);
}
