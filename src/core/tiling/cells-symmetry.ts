import { latticePoint, type PlaneLattice, reducedLattice, spanOf } from '../exact/lattice.ts';
import { modulo } from '../exact/modulo.ts';
import { coordinates, type Point } from '../exact/plane.ts';
import { isWhole, multiply, type Rational, rational } from '../exact/rational.ts';
import {
  addSurds,
  divideSurds,
  multiplySurds,
  rationalOf,
  type Surd,
  scaleSurd,
  ZERO_SURD,
} from '../exact/surd.ts';
import type { Cells } from '../thread/cells.ts';
import { cyclicShifts, type Plane } from './cyclic-shifts.ts';
import { type GroupMap, isometries, type Linear, nameGroup, type PlaneSymmetry } from './plane-group.ts';

/** Most cells of a repeat whose symmetry is looked for. */
const MOST_CELLS = 1_500_000;

/**
 * The plane group of cells by their colours, found by trying each map that keeps cells on cells.
 * @param pitch  true size of a cell
 * @returns      undefined where there are too many cells
 */
export function cellsSymmetry(
  cells: Cells,
  pitch: { readonly x: Surd; readonly y: Surd },
): PlaneSymmetry | undefined {
  const { width, height } = cells;
  if (width * height > MOST_CELLS) return undefined;
  const plane = planeOf(cells);
  const inMillimetres = (x: Rational, y: Rational): Point => ({
    x: scaleSurd(pitch.x, x),
    y: scaleSurd(pitch.y, y),
  });
  const repeat: PlaneLattice = [
    inMillimetres(rational(width), rational(0)),
    inMillimetres(rational(0), rational(height)),
  ];
  const finer = cyclicShifts(plane, plane).map(
    ({ x, y }) => [rational(x, width), rational(y, height)] as const,
  );
  const lattice = reducedLattice(spanOf(repeat, finer));
  const maps = isometries(lattice).flatMap((linear): readonly GroupMap[] => {
    const matrix = inCells(linear, lattice, pitch);
    if (matrix === undefined) return [];
    const image = carried(plane, matrix);
    const [shift] = image === undefined ? [] : cyclicShifts(image, plane);
    if (shift === undefined) return [];
    const [a, b, c, d] = matrix;
    const twice = inMillimetres(
      rational(a * shift.x + c * shift.y + shift.x),
      rational(b * shift.x + d * shift.y + shift.y),
    );
    const steps = coordinates(twice, lattice[0], lattice[1]);
    return [
      {
        linear,
        movesWhole: (along, times) => {
          const part = rationalOf(along === 'x' ? steps.u : steps.v);
          return part !== undefined && isWhole(multiply(part, rational(1, times)));
        },
      },
    ];
  });
  return nameGroup(maps, lattice);
}

/** Colours from the lower left, row by row. */
function planeOf({ width, height, shades, rows, rowAt }: Cells): Plane {
  const hexes = shades.map(({ hex }) => hex);
  const colours = hexes.map((hex) => hexes.indexOf(hex));
  const at = new Uint16Array(width * height);
  for (let y = 0; y < height; y += 1) {
    const row = rows[rowAt[height - 1 - y]!]!;
    for (let x = 0; x < width; x += 1) at[y * width + x] = colours[row[x]!]!;
  }
  return { width, height, at };
}

/** A linear map of a lattice as one of cells; undefined where it keeps no cells. */
function inCells(
  linear: Linear,
  [one, other]: PlaneLattice,
  pitch: { readonly x: Surd; readonly y: Surd },
): Linear | undefined {
  const [m, n, p, q] = linear;
  const images = [latticePoint([one, other], [m, n]), latticePoint([one, other], [p, q])] as const;
  const unit = (point: Point) => {
    const { u, v } = coordinates(point, one, other);
    return {
      x: addSurds(multiplySurds(images[0].x, u), multiplySurds(images[1].x, v)),
      y: addSurds(multiplySurds(images[0].y, u), multiplySurds(images[1].y, v)),
    };
  };
  const across = unit({ x: pitch.x, y: ZERO_SURD });
  const up = unit({ x: ZERO_SURD, y: pitch.y });
  const parts = [
    divideSurds(across.x, pitch.x),
    divideSurds(across.y, pitch.y),
    divideSurds(up.x, pitch.x),
    divideSurds(up.y, pitch.y),
  ].map(rationalOf);
  if (parts.some((part) => part === undefined || !isWhole(part))) return undefined;
  return parts.map((part) => Number(part!.n)) as unknown as Linear;
}

/** A plane as a map carries it, its lower left cell at the lower left again. */
function carried({ width, height, at }: Plane, [a, b, c, d]: Linear): Plane | undefined {
  const turned = a === 0;
  if (turned && width !== height) return undefined;
  const image = new Uint16Array(at.length);
  for (let y = 0; y < height; y += 1) {
    for (let x = 0; x < width; x += 1) {
      const to = modulo(b * x + d * y, height) * width + modulo(a * x + c * y, width);
      image[to] = at[y * width + x]!;
    }
  }
  return { width, height, at: image };
}
