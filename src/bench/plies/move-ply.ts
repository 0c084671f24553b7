import type { PlyReport } from '../../core/design/plies/plies-report.ts';
import type { PlySpec } from '../../core/design/plies/plies-schema.ts';
import { multiply, type Rational, rational, toText } from '../../core/exact/rational.ts';
import { rationalOf, type Surd, scaleSurd, surdToNumber } from '../../core/exact/surd.ts';

type Shift = PlySpec['shift'];

/** Where a dragged ply comes to, and what it lies on. */
export interface MovedPly {
  readonly shift: Shift;
  readonly on: readonly (string | undefined)[];
}

interface MoveView {
  readonly perMillimetre: number;
  /** Whether nothing takes hold. */
  readonly free: boolean;
}

/** CSS pixels within which a part of the common repeat takes hold. */
const REACH = 6;

/** Parts of the common repeat that take hold, and their names. */
const PARTS = [
  { of: 1, name: 'a whole repeat' },
  { of: 2, name: 'a half' },
  { of: 3, name: 'a third' },
  { of: 4, name: 'a quarter' },
] as const;

/**
 * The shift of a ply that is dragged to a place, in what it is counted in. Halves, thirds and quarters of the repeat that
 * all have in common take hold; elsewhere it goes by whole steps, hundredths of its repeats or tenths of a millimetre.
 * Where a part of an irrational repeat takes hold, it is counted in repeats, in which it is exact.
 *
 * @param to  millimetres to the right and up
 */
export function movedTo(
  shift: Shift,
  to: { readonly x: number; readonly y: number },
  ply: PlyReport,
  view: MoveView,
): MovedPly {
  const across = snapAlong(to.x, { side: ply.size.width, times: ply.times.across }, view);
  const up = snapAlong(to.y, { side: ply.size.height, times: ply.times.down }, view);
  const inRepeats =
    shift.in === 'repeats' ||
    [across, up].some((snap) => snap !== undefined && snap.millimetres === undefined);
  const counted: Shift['in'] = inRepeats ? 'repeats' : shift.in;
  const textOf = (snap: Snap | undefined, way: number, axis: 'x' | 'y') => {
    const side = axis === 'x' ? ply.size.width : ply.size.height;
    if (counted === 'repeats') return toText(snap?.repeats ?? parts(way / surdToNumber(side), 100));
    if (snap?.millimetres !== undefined && counted === 'length') return toText(snap.millimetres);
    if (counted === 'length') return toText(parts(way, view.free ? 100 : 10));
    return toText(parts(way / surdToNumber(ply.step![axis]), view.free ? 10 : 1));
  };
  return {
    shift: { in: counted, x: textOf(across, to.x, 'x'), y: textOf(up, to.y, 'y') },
    on: counted === 'steps' ? [] : [across?.on, up?.on],
  };
}

interface Snap {
  readonly repeats: Rational;
  /** Undefined where it is irrational. */
  readonly millimetres: Rational | undefined;
  readonly on: string;
}

/** @param side  of the ply's own repeat, so many of which are the common one */
function snapAlong(
  way: number,
  { side, times }: { readonly side: Surd; readonly times: number },
  { perMillimetre, free }: MoveView,
): Snap | undefined {
  if (free) return undefined;
  const common = surdToNumber(side) * times;
  for (const { of, name } of PARTS) {
    const part = Math.round((way / common) * of);
    if (Math.abs((part * common) / of - way) * perMillimetre > REACH) continue;
    const repeats = multiply(rational(part, of), rational(times));
    const millimetres = rationalOf(scaleSurd(side, repeats));
    return { repeats, millimetres, on: part === 0 ? 'at the corner' : `at ${name} of all` };
  }
  return undefined;
}

function parts(value: number, of: number): Rational {
  return rational(Math.round(value * of), of);
}
