import type { PlaneLattice } from '../exact/lattice.ts';
import { modulo } from '../exact/modulo.ts';
import { addPoints, type Point, scalePoint, subtractPoints } from '../exact/plane.ts';
import { equalSurds, surd } from '../exact/surd.ts';
import { edgeName, type TorusFaces } from './check-partition.ts';
import type { Tiling } from './tiling-form.ts';
import type { FaceColours } from './upright-partition.ts';

/** Classes of faces, each of which takes a shade of its own. */
export interface Colouring extends FaceColours {
  readonly classes: number;
}

/** Faces by their numbers of sides, fewest first. */
export function bySides({ lattice, faces }: Tiling): Colouring {
  const sizes = [...new Set(faces.map((corners) => corners.length))].sort((a, b) => a - b);
  return {
    keeps: lattice,
    classes: sizes.length,
    shadeOf: (face) => sizes.indexOf(faces[face]!.length),
  };
}

/** Every face of a cell by itself. */
export function byFace({ lattice, faces }: Tiling): Colouring {
  return { keeps: lattice, classes: faces.length, shadeOf: (face) => face };
}

/** Faces by the way that they lie: those that a shift carries onto each other are alike; three for isometric cubes. */
export function byDirection({ lattice, faces }: Tiling): Colouring {
  const kinds: (readonly Point[])[] = [];
  const kindOf = faces.map((corners) => {
    const known = kinds.findIndex((kind) => isShifted(kind, corners));
    return known >= 0 ? known : kinds.push(corners) - 1;
  });
  return { keeps: lattice, classes: kinds.length, shadeOf: (face) => kindOf[face]! };
}

function isShifted(a: readonly Point[], b: readonly Point[]): boolean {
  if (a.length !== b.length) return false;
  return a.some((_, turn) =>
    a.every((corner, at) => {
      const [from, to] = [b[(at + turn) % b.length]!, b[turn]!];
      const [one, other] = [subtractPoints(corner, a[0]!), subtractPoints(from, to)];
      return equalSurds(one.x, other.x) && equalSurds(one.y, other.y);
    }),
  );
}

/** Most shades, and most cells that they take to come round, that are tried so that no neighbours are alike. */
const TRIED = { shades: 6, cells: 4 } as const;

/**
 * The fewest shades with which no two faces that share an edge are alike, on the fewest cells that allow it: three for
 * hexagons, on a cell of three of them. The search for a number of shades is cut short (`MOST_STEPS`), so in cells of
 * many faces a number that would do may be passed over.
 *
 * @returns undefined where six shades on four cells will not do
 */
export function byNeighbours({ lattice }: Tiling, torus: TorusFaces): Colouring | undefined {
  const pairs = neighbours(torus);
  for (let shades = 1; shades <= TRIED.shades; shades += 1) {
    for (let cells = 1; cells <= TRIED.cells; cells += 1) {
      for (const within of sublattices(cells)) {
        const own = assign(torus.faces.length * cells, shades, meetings(torus.faces.length, pairs, within));
        if (own === undefined) continue;
        return {
          keeps: keptLattice(lattice, within),
          classes: shades,
          shadeOf: (face, i, j) => own[cellOf(within, i, j) * torus.faces.length + face]!,
        };
      }
    }
  }
  return undefined;
}

/** Vectors within a lattice in its own steps: (columns, 0) and (lean, rows). */
interface Within {
  readonly columns: number;
  readonly rows: number;
  readonly lean: number;
}

/** All lattices within one that have so many of its cells (Hermite normal forms). */
function sublattices(cells: number): readonly Within[] {
  return Array.from({ length: cells }, (_, at) => at + 1)
    .filter((rows) => cells % rows === 0)
    .flatMap((rows) =>
      Array.from({ length: cells / rows }, (_, lean) => ({ columns: cells / rows, rows, lean })),
    );
}

/** The cell, of those of a lattice within, that a cell is like. */
function cellOf({ columns, rows, lean }: Within, i: number, j: number): number {
  const up = Math.floor(j / rows);
  return (j - up * rows) * columns + modulo(i - up * lean, columns);
}

function keptLattice([a, b]: PlaneLattice, { columns, rows, lean }: Within): PlaneLattice {
  const at = (i: number, j: number) => addPoints(scalePoint(a, surd(i)), scalePoint(b, surd(j)));
  return [at(columns, 0), at(lean, rows)];
}

/** Two faces along an edge, the second moved by whole steps. */
interface Pair {
  readonly one: number;
  readonly other: number;
  readonly i: number;
  readonly j: number;
}

function neighbours({ faces }: TorusFaces): readonly Pair[] {
  const known = new Map<string, { face: number; across: number; up: number }>();
  const pairs: Pair[] = [];
  faces.forEach(({ corners }, face) => {
    corners.forEach((from, index) => {
      const to = corners[(index + 1) % corners.length]!;
      const [name, way] = edgeName(from, to);
      const { across, up } = way === 1 ? from : to;
      const first = known.get(name);
      if (first === undefined) known.set(name, { face, across, up });
      // Both saw the same edge, each moved by its own steps.
      else pairs.push({ one: first.face, other: face, i: first.across - across, j: first.up - up });
    });
  });
  return pairs;
}

/** Which faces of all cells meet, for each the others. */
function meetings(faces: number, pairs: readonly Pair[], within: Within): readonly (readonly number[])[] {
  const { columns, rows } = within;
  const meet = Array.from({ length: faces * columns * rows }, (): number[] => []);
  for (let cell = 0; cell < columns * rows; cell += 1) {
    const [i, j] = [cell % columns, Math.floor(cell / columns)];
    for (const pair of pairs) {
      const one = cell * faces + pair.one;
      const other = cellOf(within, i + pair.i, j + pair.j) * faces + pair.other;
      meet[one]!.push(other);
      meet[other]!.push(one);
    }
  }
  return meet;
}

/** Most faces that are given a shade, those taken back among them, before a number of shades is given up. */
const MOST_STEPS = 2000;

/**
 * A shade for each face, none like one that it meets; undefined where there is none, or none is found soon. The face
 * whose neighbours leave it the fewest shades comes first, which needs no trying where two shades do.
 * Source: D. Brélaz, New methods to color the vertices of a graph, Comm. ACM 22 (1979) 251–256; from memory.
 */
function assign(
  faces: number,
  shades: number,
  meet: readonly (readonly number[])[],
): readonly number[] | undefined {
  if (meet.some((others, face) => others.includes(face))) return undefined;
  const own = new Array<number>(faces).fill(-1);
  const shadesRound = (face: number) =>
    new Set(meet[face]!.map((other) => own[other]!).filter((shade) => shade >= 0));
  const next = (): number => {
    let [best, most] = [-1, -1];
    own.forEach((shade, face) => {
      if (shade >= 0) return;
      const seen = shadesRound(face).size;
      if (seen > most) [best, most] = [face, seen];
    });
    return best;
  };
  let steps = 0;
  const put = (left: number): boolean => {
    if (left === 0) return true;
    const face = next();
    const taken = shadesRound(face);
    // A shade that nothing has yet is as good as any other such one.
    const known = Math.max(...own);
    for (let shade = 0; shade <= Math.min(known + 1, shades - 1); shade += 1) {
      if (taken.has(shade)) continue;
      steps += 1;
      if (steps > MOST_STEPS) return false;
      own[face] = shade;
      if (put(left - 1)) return true;
      own[face] = -1;
    }
    return false;
  };
  return put(faces) ? own : undefined;
}
