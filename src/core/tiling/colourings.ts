import type { PlaneLattice } from '../exact/lattice.ts';
import { modulo } from '../exact/modulo.ts';
import { type Point, subtractPoints } from '../exact/plane.ts';
import { equalSurds } from '../exact/surd.ts';
import { edgeName, type TorusFaces } from '../faces/check-partition.ts';
import type { Tiling } from './tiling-form.ts';
import type { FaceColours } from './upright-partition.ts';
import { cellOf, cellsOf, keptLattice, ONE_CELL, sublattices, type Within } from './within.ts';

/** Classes of faces, each of which takes a shade of its own; they come round on whole cells of the tiling. */
export interface Colouring extends FaceColours {
  readonly classes: number;
  readonly within: Within;
}

/** Colours that are the same in every cell. */
function inEveryCell({ lattice }: Tiling, classes: number, shadeOf: (face: number) => number): Colouring {
  return { keeps: lattice, within: ONE_CELL, classes, shadeOf };
}

/** Faces by their numbers of sides, fewest first. */
export function bySides(tiling: Tiling): Colouring {
  const { faces } = tiling;
  const sizes = [...new Set(faces.map((corners) => corners.length))].sort((a, b) => a - b);
  return inEveryCell(tiling, sizes.length, (face) => sizes.indexOf(faces[face]!.length));
}

/** Every face of a cell by itself. */
export function byFace(tiling: Tiling): Colouring {
  return inEveryCell(tiling, tiling.faces.length, (face) => face);
}

/** Faces by the way that they lie: those that a shift carries onto each other are alike; three for isometric cubes. */
export function byDirection(tiling: Tiling): Colouring {
  const { faces } = tiling;
  const kinds: (readonly Point[])[] = [];
  const kindOf = faces.map((corners) => {
    const known = kinds.findIndex((kind) => isShifted(kind, corners));
    return known >= 0 ? known : kinds.push(corners) - 1;
  });
  return inEveryCell(tiling, kinds.length, (face) => kindOf[face]!);
}

function isShifted(a: readonly Point[], b: readonly Point[]): boolean {
  if (a.length !== b.length) return false;
  return a.some((_, turn) =>
    a.every((corner, at) => {
      const from = b[(at + turn) % b.length]!;
      const to = b[turn]!;
      const one = subtractPoints(corner, a[0]!);
      const other = subtractPoints(from, to);
      return equalSurds(one.x, other.x) && equalSurds(one.y, other.y);
    }),
  );
}

/** Which cells are alike: those along the lattice's first vector, along its second, or along the other diagonal. */
export const ROW_WAYS = { first: [0, 1], second: [1, 0], diagonal: [1, 1] } as const;
export type RowWay = keyof typeof ROW_WAYS;

/** The vector along which the cells of one row lie. */
export function rowVector([first, second]: PlaneLattice, way: RowWay): Point {
  if (way === 'diagonal') return subtractPoints(first, second);
  return way === 'first' ? first : second;
}

/** Rows of cells, so many shades in turn. */
export function byRows({ lattice }: Tiling, way: RowWay, count: number): Colouring {
  const [across, up] = ROW_WAYS[way];
  // The lattice of cells at which across·i + up·j is a multiple of the count.
  const within: Within =
    up === 0
      ? { columns: count, rows: 1, lean: 0 }
      : across === 0
        ? { columns: 1, rows: count, lean: 0 }
        : { columns: count, rows: 1, lean: count - 1 };
  return {
    keeps: keptLattice(lattice, within),
    within,
    classes: count,
    shadeOf: (_, i, j) => modulo(across * i + up * j, count),
  };
}

/** Faces one by one in a block of cells, those of the first cell first, then cell by cell across and up. */
export function byHand({ lattice, faces }: Tiling, across: number, up: number): Colouring {
  const within: Within = { columns: across, rows: up, lean: 0 };
  return {
    keeps: keptLattice(lattice, within),
    within,
    classes: across * up * faces.length,
    shadeOf: (face, i, j) => cellOf(within, i, j) * faces.length + face,
  };
}

/** The same colours on `times` × `times` of their own cells, so that what is scattered over them comes round. */
export function enlarged(
  { lattice }: Tiling,
  { within }: Colouring,
  times: number,
): { readonly keeps: PlaneLattice; readonly within: Within } {
  const { columns, rows, lean } = within;
  const large: Within = { columns: columns * times, rows: rows * times, lean: lean * times };
  return { keeps: keptLattice(lattice, large), within: large };
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
          within,
          classes: shades,
          shadeOf: (face, i, j) => own[cellOf(within, i, j) * torus.faces.length + face]!,
        };
      }
    }
  }
  return undefined;
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
  const { columns } = within;
  const cells = cellsOf(within);
  const meet = Array.from({ length: faces * cells }, (): number[] => []);
  for (let cell = 0; cell < cells; cell += 1) {
    const i = cell % columns;
    const j = Math.floor(cell / columns);
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
    let best = -1;
    let most = -1;
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
