import { rational, toText } from '../../../core/exact/rational.ts';
import type { LaidMotif, LaidPiece } from './motif-places.ts';

/** A place along one axis that a dragged piece comes to, in steps as it is typed, and what it lies on. */
export interface Snap {
  readonly text: string;
  /** "on the edge", "in line with piece 2"; undefined on the grid. */
  readonly on: string | undefined;
}

/** CSS pixels within which an edge or another piece takes hold. */
const REACH = 6;

/** CSS pixels of a step from which its halves and its quarters are grid too. */
const HALVES = 14;
const QUARTERS = 36;

interface SnapView {
  readonly perMillimetre: number;
  /** Whether nothing takes hold: the place is in hundredths of a step. */
  readonly free: boolean;
}

/** Where a dragged piece comes to along an axis. */
export function snapTo(
  value: number,
  axis: 'x' | 'y',
  motif: LaidMotif,
  piece: LaidPiece,
  { perMillimetre, free }: SnapView,
): Snap {
  const { step } = motif;
  if (free) return { text: onGrid(value, step, { perMillimetre, free }), on: undefined };
  const size = axis === 'x' ? motif.box.width : motif.box.height;
  const targets: readonly (readonly [value: number, on: string])[] = [
    [0, 'on the edge'],
    [size, 'on the edge'],
    [size / 2, 'in the middle of the box'],
    ...motif.pieces
      .filter((other) => other.piece.id !== piece.piece.id)
      .map((other) => [other.at[axis], `in line with piece ${other.piece.id}`] as const),
  ];
  const [near] = targets
    .filter(([target]) => Math.abs(target - value) * perMillimetre <= REACH)
    .sort(([one], [other]) => Math.abs(one - value) - Math.abs(other - value));
  if (near !== undefined) return { text: inSteps(near[0], step, 60), on: near[1] };
  return { text: onGrid(value, step, { perMillimetre, free }), on: undefined };
}

/** The nearest whole step, half or quarter of one, as fine as they are seen; hundredths where nothing takes hold. */
export function onGrid(value: number, step: number, { perMillimetre, free }: SnapView): string {
  if (free) return inSteps(value, step, 100);
  const pixels = step * perMillimetre;
  return inSteps(value, step, pixels >= QUARTERS ? 4 : pixels >= HALVES ? 2 : 1);
}

/** The nearest fraction of a step: sixtieths hold halves, thirds, quarters, fifths and sixths. */
function inSteps(value: number, step: number, parts: number): string {
  return toText(rational(Math.round((value / step) * parts), parts));
}
