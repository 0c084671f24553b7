import type { Shade } from '../../colour/shade.ts';
import { CoreError } from '../../error.ts';
import { uprightRepeat } from '../../exact/lattice.ts';
import { compare, rational, toDecimal } from '../../exact/rational.ts';
import { divideSurds, multiplySurds, nearFraction, type Surd, surd } from '../../exact/surd.ts';
import type { RepeatUnit } from '../../repeat/repeat-unit.ts';
import { byDirection, byFace, byNeighbours, bySides, type Colouring } from '../../tiling/colourings.ts';
import { dualOf } from '../../tiling/dual.ts';
import { ARCHIMEDEAN } from '../../tiling/forms/archimedean.ts';
import {
  basket,
  bricks,
  hexagons,
  octagons,
  rhombus,
  rows,
  triangles,
  twoSquares,
} from '../../tiling/forms/families.ts';
import { TWO_KINDS } from '../../tiling/forms/two-kinds.ts';
import type { Partition } from '../../tiling/partition.ts';
import { buildTiling, type Tiling, type TilingForm, turnTiling } from '../../tiling/tiling-form.ts';
import { foldTiling } from '../../tiling/torus.ts';
import { layUpright } from '../../tiling/upright-partition.ts';
import {
  type FormSpec,
  parsePart,
  parseProportion,
  parseShare,
  parseSize,
  parseSmall,
  type TilingSpec,
} from './tiling-schema.ts';

/** A form as data, whatever it is said by. */
export function formOf(spec: FormSpec): TilingForm {
  switch (spec.kind) {
    case 'regular':
      return ARCHIMEDEAN[spec.name];
    case 'two-kinds':
      return TWO_KINDS[spec.name];
    case 'rows':
      return rows(spec.squares, spec.triangles);
    case 'rhombus':
      return rhombus(parseProportion(spec.across), parseProportion(spec.up));
    case 'bricks':
      return bricks(parseProportion(spec.height), parsePart(spec.step));
    case 'basket':
      return basket(spec.count);
    case 'squares':
      return twoSquares(parseSmall(spec.small));
    case 'octagons':
      return octagons(parseProportion(spec.slant));
    case 'triangles':
      return triangles(parseProportion(spec.height), parsePart(spec.tip));
    case 'hexagons':
      return hexagons(parseProportion(spec.across), parseProportion(spec.up));
    default:
      return spec satisfies never;
  }
}

/** The faces of one cell, as they lie; sides of 1. */
export function tilingOf({ form, dual, turn }: Pick<TilingSpec, 'form' | 'dual' | 'turn'>): Tiling {
  const plain = buildTiling(formOf(form));
  return turnTiling(dual ? dualOf(plain) : plain, turn);
}

/** Which faces of a tiling are alike. @throws CoreError "tiling/neighbours" where six shades will not keep neighbours apart */
export function colouringOf(tiling: Tiling, { colours }: Pick<TilingSpec, 'colours'>): Colouring {
  switch (colours) {
    case 'sides':
      return bySides(tiling);
    case 'directions':
      return byDirection(tiling);
    case 'faces':
      return byFace(tiling);
    case 'neighbours': {
      const found = byNeighbours(tiling, foldTiling(tiling));
      if (found === undefined) throw new CoreError('tiling/neighbours', {});
      return found;
    }
    default:
      return colours satisfies never;
  }
}

/** The turns, in steps of 15°, in which a tiling has an upright repeat. */
export function uprightTurns(spec: Pick<TilingSpec, 'form' | 'dual'>): readonly number[] {
  const plain = tilingOf({ ...spec, turn: 0 });
  return Array.from({ length: 24 }, (_, turn) => turn).filter(
    (turn) => uprightRepeat(turnTiling({ ...plain, faces: [] }, turn).lattice) !== undefined,
  );
}

/** @throws CoreError "tiling/turn" {turns, degrees}, "tiling/faces" {most}, "tiling/too-large" {width, height, most}, "band/shade", or as `colouringOf` */
export function compileTiling(spec: TilingSpec, shades: readonly Shade[]): RepeatUnit<Partition> {
  const tiling = tilingOf(spec);
  const colouring = colouringOf(tiling, spec);
  if (uprightRepeat(tiling.lattice) === undefined) {
    const turns = uprightTurns(spec).map((turn) => `${turn * 15}°`);
    throw new CoreError('tiling/turn', { degrees: spec.turn * 15, turns: turns.slice(0, 8) });
  }
  const shadeAt = Array.from({ length: colouring.classes }, (_, kind) => {
    return indexOf(spec.faces[kind % spec.faces.length]!, shades);
  });
  const rings = spec.rings.map(({ share, shade }) => ({
    share: parseShare(share),
    shade: shade === null ? undefined : indexOf(shade, shades),
  }));
  const colours = {
    keeps: colouring.keeps,
    shadeOf: (face: number, i: number, j: number) => shadeAt[colouring.shadeOf(face, i, j)]!,
  };
  const { width, height, partition } = layUpright(tiling, colours, shades, rings);
  const one = sideOf(spec, width);
  const pitch = { x: multiplySurds(width, one), y: multiplySurds(height, one) };
  checkSize(pitch);
  const [zero, whole] = [rational(0), rational(1)];
  return {
    lattice: [
      { x: whole, y: zero },
      { x: zero, y: whole },
    ],
    repeat: { width: whole, height: whole },
    pitch,
    ground: null,
    content: partition,
  };
}

function indexOf(key: string, shades: readonly Shade[]): number {
  const index = shades.findIndex((shade) => shade.key === key);
  if (index < 0) throw new CoreError('band/shade', { shade: key });
  return index;
}

/** Millimetres of a side of 1, in a tiling whose upright repeat is `width` wide. */
export function sideOf({ size, measured }: Pick<TilingSpec, 'size' | 'measured'>, width: Surd): Surd {
  const given = surd(parseSize(size));
  return measured === 'side' ? given : divideSurds(given, width);
}

/** Longest side of a repeat, in millimetres. */
const MAX_REPEAT = 100_000;

function checkSize({ x, y }: { readonly x: Surd; readonly y: Surd }): void {
  const sides = [nearFraction(x), nearFraction(y)];
  if (sides.every((side) => compare(side, rational(MAX_REPEAT)) <= 0)) return;
  const [width, height] = sides.map((side) => toDecimal(side, 0));
  throw new CoreError('tiling/too-large', { width: width!, height: height!, most: MAX_REPEAT / 1000 });
}
