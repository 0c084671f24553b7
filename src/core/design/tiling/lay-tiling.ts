import type { Shade } from '../../colour/shade.ts';
import { CoreError } from '../../error.ts';
import { uprightRepeat } from '../../exact/lattice.ts';
import type { Tiling } from '../../tiling/tiling-form.ts';
import {
  type FaceColours,
  type LaidTiling,
  layUpright,
  MAX_FACES,
  partsOf,
} from '../../tiling/upright-partition.ts';
import { classShades, colouringOf } from './colouring-of.ts';
import { indexOf } from './index-of.ts';
import { scatterOf } from './scatter.ts';
import { tilingOf, uprightTurns } from './shape-of-tiling.ts';
import type { TilingSpec } from './tiling-schema.ts';

/** A tiling laid out and coloured, with the shades that it takes. */
export interface ColouredTiling extends LaidTiling {
  readonly shades: readonly Shade[];
  readonly colours: FaceColours;
  /** One cell of it, and how many kinds of faces take a shade each. */
  readonly tiling: Tiling;
  readonly classes: number;
}

/** @throws CoreError "tiling/turn" {turns, degrees}, "tiling/faces" {most}, "band/shade", or as `tilingOf`, `colouringOf` */
export function layTiling(
  spec: TilingSpec,
  shades: readonly Shade[],
  most: number = MAX_FACES,
): ColouredTiling {
  const tiling = tilingOf(spec);
  const colouring = colouringOf(tiling, spec);
  if (uprightRepeat(tiling.lattice) === undefined) {
    const turns = uprightTurns(spec).map((turn) => `${turn * 15}°`);
    throw new CoreError('tiling/turn', { degrees: spec.turn * 15, turns });
  }
  const keys = classShades(spec);
  const shadeAt = Array.from({ length: colouring.classes }, (_, kind) =>
    indexOf(keys[kind % keys.length]!, shades),
  );
  const plain: FaceColours = {
    keeps: colouring.keeps,
    shadeOf: (face, i, j) => shadeAt[colouring.shadeOf(face, i, j)]!,
  };
  const scattered =
    spec.scatter === null ? undefined : scatterOf(tiling, colouring, plain, spec.scatter, shades);
  const colours = scattered?.colours ?? plain;
  const laid = layUpright(tiling, colours, (sides) => partsOf(sides, spec.rings.length), most);
  return { ...laid, colours, tiling, classes: colouring.classes, shades: scattered?.shades ?? shades };
}
