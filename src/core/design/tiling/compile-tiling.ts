import type { Shade } from '../../colour/shade.ts';
import { CoreError } from '../../error.ts';
import { uprightRepeat } from '../../exact/lattice.ts';
import { compare, rational, toDecimal } from '../../exact/rational.ts';
import { divideSurds, multiplySurds, nearFraction, type Surd, scaleSurd, surd } from '../../exact/surd.ts';
import type { RepeatUnit } from '../../repeat/repeat-unit.ts';
import { acrossCorners, acrossFlats } from '../../tiling/across.ts';
import { closeGrowth } from '../../tiling/close-growth.ts';
import {
  byDirection,
  byFace,
  byHand,
  byNeighbours,
  byRows,
  bySides,
  type Colouring,
} from '../../tiling/colourings.ts';
import { dualOf } from '../../tiling/dual.ts';
import { ARCHIMEDEAN } from '../../tiling/forms/archimedean.ts';
import {
  basket,
  bricks,
  herringbone,
  hexagons,
  hexagonsAndTriangles,
  kites,
  octagons,
  parallelograms,
  pentagons,
  rhombus,
  rhombusByAngle,
  rows,
  triangles,
  twoSquares,
} from '../../tiling/forms/families.ts';
import { TWO_KINDS } from '../../tiling/forms/two-kinds.ts';
import { type GrownFace, growPatch } from '../../tiling/growth.ts';
import type { Partition } from '../../tiling/partition.ts';
import {
  levelDiagonal,
  mapTiling,
  shear as sheared,
  stretch as stretched,
  UNCHANGED,
} from '../../tiling/reshape.ts';
import type { Stack } from '../../tiling/stack.ts';
import { buildTiling, type Tiling, type TilingForm, turnTiling } from '../../tiling/tiling-form.ts';
import { foldTiling } from '../../tiling/torus.ts';
import {
  type FaceColours,
  type LaidTiling,
  layUpright,
  MAX_FACES,
  partitionOf,
  partsOf,
} from '../../tiling/upright-partition.ts';
import { indexOf, layersOf } from './layers-of-tiling.ts';
import { scatterOf } from './scatter.ts';
import {
  type FormSpec,
  parseDiagonal,
  parseHalf,
  parseLean,
  parseNarrow,
  parsePart,
  parseProportion,
  parseShare,
  parseSize,
  parseSmall,
  type TilingSpec,
} from './tiling-schema.ts';

/** A form as data, whatever numbers it is said by. */
export function formOf(spec: Exclude<FormSpec, { kind: 'grown' }>): TilingForm {
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
    case 'angled':
      return rhombusByAngle(spec.rise);
    case 'parallelograms':
      return parallelograms(parseProportion(spec.height), parseLean(spec.lean));
    case 'kites':
      return kites(parseProportion(spec.above), parseProportion(spec.below));
    case 'pentagons':
      return pentagons(parseHalf(spec.half));
    case 'herringbone':
      return herringbone(parseNarrow(spec.width));
    case 'hexagons-triangles':
      return hexagonsAndTriangles(parseProportion(spec.other));
    default:
      return spec satisfies never;
  }
}

/** The faces of one cell, as they lie; sides of 1 where nothing is stretched. @throws CoreError as `plainTiling`, `reshaped` */
export function tilingOf(spec: ShapeSpec): Tiling {
  return reshaped(turnTiling(plainTiling(spec), spec.turn), spec);
}

/** What says how the faces lie. */
export type ShapeSpec = Pick<TilingSpec, 'form' | 'dual' | 'turn' | 'stretch' | 'shear' | 'diagonal'>;

/** A form, or its dual. @throws CoreError "growth/…" where what was grown does not close */
function plainTiling({ form, dual }: Pick<TilingSpec, 'form' | 'dual'>): Tiling {
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
      throw new CoreError(`growth/${closing.kind}`, {});
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

/** Which faces of a tiling are alike. @throws CoreError "tiling/neighbours" where six shades will not keep neighbours apart */
export function colouringOf(tiling: Tiling, { colours }: Pick<TilingSpec, 'colours'>): Colouring {
  switch (colours.by) {
    case 'sides':
      return bySides(tiling);
    case 'directions':
      return byDirection(tiling);
    case 'faces':
      return byFace(tiling);
    case 'rows':
      return byRows(tiling, colours.way, colours.count);
    case 'hand':
      return byHand(tiling, colours.across, colours.up);
    case 'neighbours': {
      const found = byNeighbours(tiling, foldTiling(tiling));
      if (found === undefined) throw new CoreError('tiling/neighbours', {});
      return found;
    }
    default:
      return colours satisfies never;
  }
}

/** The shade of each class of a colouring, by its key: those of a list, which begins again where it ends. */
export function classShades({ colours, faces }: Pick<TilingSpec, 'colours' | 'faces'>): readonly string[] {
  return colours.by === 'hand' ? colours.shades : faces;
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

/** @throws CoreError as `layTiling`, `compileLaid` */
export function compileTiling(spec: TilingSpec, shades: readonly Shade[]): RepeatUnit<Partition | Stack> {
  return compileLaid(spec, layTiling(spec, shades), shades);
}

/** @throws CoreError "tiling/too-large" {width, height, most}, or as `sideOf`, `layersOf` */
export function compileLaid(
  spec: TilingSpec,
  laid: ColouredTiling,
  shades: readonly Shade[],
): RepeatUnit<Partition | Stack> {
  const rings = spec.rings.map(({ share, shade }) => ({
    share: parseShare(share),
    shade: shade === null ? undefined : indexOf(shade, shades),
  }));
  const base = partitionOf(laid, laid.shades, rings);
  const one = sideOf(spec, laid);
  const pitch = { x: multiplySurds(laid.width, one), y: multiplySurds(laid.height, one) };
  checkSize(pitch);
  const layers = layersOf(spec, laid, base, pitch);
  const [zero, whole] = [rational(0), rational(1)];
  return {
    lattice: [
      { x: whole, y: zero },
      { x: zero, y: whole },
    ],
    repeat: { width: whole, height: whole },
    pitch,
    ground: null,
    content: layers.length === 0 ? base : { kind: 'stack', base, layers },
  };
}

/**
 * Millimetres of a side of 1, in a tiling laid out so.
 * @throws CoreError "tiling/across" {measured} where the face's width is no sum of square roots
 */
export function sideOf(
  { size, measured, repeats }: Pick<TilingSpec, 'size' | 'measured' | 'repeats'>,
  { width, faces }: LaidTiling,
): Surd {
  const given = surd(parseSize(size));
  switch (measured) {
    case 'side':
      return given;
    case 'repeat':
      return divideSurds(given, scaleSurd(width, rational(repeats)));
    case 'flats':
    case 'corners': {
      const most = faces.reduce((best, face) => (face.corners.length > best.corners.length ? face : best));
      const across = measured === 'flats' ? acrossFlats(most.corners) : acrossCorners(most.corners);
      if (across === undefined) throw new CoreError('tiling/across', { measured });
      return divideSurds(given, across);
    }
    default:
      return measured satisfies never;
  }
}

/** Longest side of a repeat, in millimetres. */
const MAX_REPEAT = 100_000;

function checkSize({ x, y }: { readonly x: Surd; readonly y: Surd }): void {
  const sides = [nearFraction(x), nearFraction(y)];
  if (sides.every((side) => compare(side, rational(MAX_REPEAT)) <= 0)) return;
  const [width, height] = sides.map((side) => toDecimal(side, 0));
  throw new CoreError('tiling/too-large', { width: width!, height: height!, most: MAX_REPEAT / 1000 });
}
