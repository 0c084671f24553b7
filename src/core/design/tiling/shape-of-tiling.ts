import { CoreError } from '../../error.ts';
import { uprightRepeat } from '../../exact/lattice.ts';
import { closeGrowth } from '../../tiling/close-growth.ts';
import { dualOf } from '../../tiling/dual.ts';
import { type GrownFace, growPatch } from '../../tiling/growth.ts';
import {
  levelDiagonal,
  mapTiling,
  shear as sheared,
  stretch as stretched,
  UNCHANGED,
} from '../../tiling/reshape.ts';
import { buildTiling, type Tiling, turnTiling } from '../../tiling/tiling-form.ts';
import { formOf } from './form-of.ts';
import { parseDiagonal, parsePart, parseProportion } from './tiling-numbers.ts';
import type { TilingSpec } from './tiling-schema.ts';

/** The faces of one cell, as they lie; sides of 1 where nothing is stretched. @throws CoreError as `plainTiling`, `reshaped` */
export function tilingOf(spec: ShapeSpec): Tiling {
  return reshaped(turnTiling(plainTiling(spec), spec.turn), spec);
}

/** What says how the faces lie. */
export type ShapeSpec = Pick<TilingSpec, 'form' | 'dual' | 'turn' | 'stretch' | 'shear' | 'diagonal'>;

/** A form, or its dual. @throws CoreError "growth/…" where what was grown does not close */
export function plainTiling({ form, dual }: Pick<TilingSpec, 'form' | 'dual'>): Tiling {
  const plain = form.kind === 'grown' ? closedGrowth(form.faces) : buildTiling(formOf(form));
  return dual ? dualOf(plain) : plain;
}

/** @throws CoreError "growth/no-shift", "growth/one-way", "growth/gaps" {open}, in percent, or as `growPatch` */
function closedGrowth(faces: readonly GrownFace[]): Tiling {
  const closing = closeGrowth(growPatch(faces));
  switch (closing.kind) {
    case 'closed':
      return closing.tiling;
    case 'gaps':
      throw new CoreError('growth/gaps', { open: Math.round(closing.open * 100) });
    case 'no-shift':
    case 'one-way':
      throw new CoreError(`growth/${closing.kind}`);
    default:
      return closing satisfies never;
  }
}

/** @throws CoreError "tiling/shear", "tiling/level" where the tiling then has no upright repeat */
function reshaped(tiling: Tiling, { stretch, shear, diagonal }: ShapeSpec): Tiling {
  const times = parseProportion(stretch);
  const high = times.n === times.d ? tiling : mapTiling(tiling, stretched(times));
  const part = parsePart(shear);
  const lean = part.n === 0n ? UNCHANGED : sheared(high.lattice, part);
  if (lean === undefined) throw new CoreError('tiling/shear', {});
  const leaning = lean === UNCHANGED ? high : mapTiling(high, lean);
  const level = levelDiagonal(leaning.lattice, parseDiagonal(diagonal));
  if (level === undefined) throw new CoreError('tiling/level', { diagonal });
  return level === UNCHANGED ? leaning : mapTiling(leaning, level);
}

/** The turns, in steps of 15°, in which a tiling has an upright repeat. */
export function uprightTurns(spec: Omit<ShapeSpec, 'turn'>): readonly number[] {
  // Only the lattice is asked.
  const plain = { ...plainTiling(spec), faces: [] };
  return Array.from({ length: 24 }, (_, turn) => turn).filter((turn) => {
    try {
      return uprightRepeat(reshaped(turnTiling(plain, turn), { ...spec, turn }).lattice) !== undefined;
    } catch (error) {
      if (error instanceof CoreError) return false;
      throw error;
    }
  });
}
