import { direction, type Point, scalePoint } from '../../exact/plane.ts';
import { divide, multiply, ONE, type Rational, rational, subtract } from '../../exact/rational.ts';
import { divideSurds, hypotenuse, root, type Surd, scaleSurd, surd } from '../../exact/surd.ts';
import type { TilingForm } from '../tiling-form.ts';

/** A point of two fractions. */
function at(x: Rational, y: Rational): Point {
  return { x: surd(x), y: surd(y) };
}

const NONE = rational(0);

/** Rhombuses of side 1 whose diagonals, level and upright, are as `across` to `up`: 3 : 4 diamonds. */
export function rhombus(across: Rational, up: Rational): TilingForm {
  // Half the diagonals of side 1 are across/√(across² + up²) and up/√(across² + up²); the ratio in whole numbers will do.
  const ratio = divide(across, up);
  const p = rational(ratio.n);
  const q = rational(ratio.d);
  const length = hypotenuse(p, q);
  const x = divideSurds(surd(p), length);
  const y = divideSurds(surd(q), length);
  const back = scaleSurd(x, rational(-1));
  return {
    lattice: ['p', 'q'],
    faces: [{ at: '', outline: 'p q -p -q' }],
    sides: { p: { x, y }, q: { x: back, y } },
  };
}

/** Bricks of width 1 and a height, each row moved on by a part of the width. */
export function bricks(height: Rational, step: Rational): TilingForm {
  const rest = subtract(ONE, step);
  const sides = { w: at(ONE, NONE), o: at(step, NONE), r: at(rest, NONE), h: at(NONE, height) };
  if (step.n === 0n) {
    return { lattice: ['w', 'h'], faces: [{ at: '', outline: 'w h -w -h' }], sides };
  }
  // A corner of the rows above and below lies on each long side and is a corner here too.
  return { lattice: ['w', 'h o'], faces: [{ at: '', outline: 'r o h -r -o -h' }], sides };
}

/** Blocks of `count` bricks, lying and standing in turn; a brick is 1 long. */
export function basket(count: number): TilingForm {
  const part = rational(1, count);
  const sides = { w: at(ONE, NONE), h: at(NONE, ONE), s: at(part, NONE), t: at(NONE, part) };
  const times = (walk: string, number: number) => Array.from({ length: number }, () => walk).join(' ');
  // Where a long side meets the other block it has the ends of that block's bricks as corners.
  const lying = Array.from({ length: count }, (_, brick) => ({
    at: times('t', brick),
    outline: [
      brick === 0 ? times('s', count) : 'w',
      't',
      brick === count - 1 ? times('-s', count) : '-w',
      '-t',
    ].join(' '),
  }));
  const standing = Array.from({ length: count }, (_, brick) => ({
    at: ['w', times('s', brick)].filter((walk) => walk !== '').join(' '),
    outline: [
      's',
      brick === count - 1 ? times('t', count) : 'h',
      '-s',
      brick === 0 ? times('-t', count) : '-h',
    ].join(' '),
  }));
  return { lattice: ['w w', 'w h'], faces: [...lying, ...standing], sides };
}

/** Squares of side 1 and smaller ones beside them: `small` is from 0 to 1. */
export function twoSquares(small: Rational): TilingForm {
  const rest = subtract(ONE, small);
  if (rest.n === 0n) {
    const sides = { p: at(ONE, NONE), r: at(NONE, ONE) };
    return {
      lattice: ['p r', '-p r'],
      faces: [
        { at: '', outline: 'p r -p -r' },
        { at: 'p', outline: 'p r -p -r' },
      ],
      sides,
    };
  }
  const sides = { p: at(small, NONE), q: at(rest, NONE), r: at(NONE, small), s: at(NONE, rest) };
  return {
    lattice: ['p q r', '-p r s'],
    faces: [
      { at: '', outline: 'p q r s -p -q -r -s' },
      { at: 'p q', outline: 'p r -p -r' },
    ],
    sides,
  };
}

/** Octagons with upright and level sides of 1 and slanting ones of `slant`, squares between them. */
export function octagons(slant: Rational): TilingForm {
  const half: Surd = root(divide(slant, rational(2)), 2);
  const back = scaleSurd(half, rational(-1));
  return {
    lattice: ['-e u d', 'd v e'],
    faces: [
      { at: '', outline: 'u d v e -u -d -v -e' },
      { at: 'u', outline: '-e d e -d' },
    ],
    sides: {
      u: at(ONE, NONE),
      v: at(NONE, ONE),
      d: { x: half, y: half },
      e: { x: back, y: half },
    },
  };
}

/** Triangles of a base of 1 and a height, pointing up and down in turn; the tip stands over a part of the base. */
export function triangles(height: Rational, tip: Rational): TilingForm {
  return {
    lattice: ['w', 't'],
    faces: [
      { at: '', outline: 'w b -t' },
      { at: 'w', outline: 't -w -b' },
    ],
    sides: {
      w: at(ONE, NONE),
      t: { x: surd(tip), y: surd(height) },
      b: { x: surd(subtract(tip, ONE)), y: surd(height) },
    },
  };
}

/** Hexagons with two upright sides of 1 and slanting ones that reach `across` and `up`. */
export function hexagons(across: Rational, up: Rational): TilingForm {
  return {
    lattice: ['d -e', 'd v'],
    faces: [{ at: '', outline: 'd v e -d -v -e' }],
    sides: {
      d: at(across, up),
      v: at(NONE, ONE),
      e: { x: surd(rational(-across.n, across.d)), y: surd(up) },
    },
  };
}

/** Rows of squares and rows of triangles of side 1, one above the other. */
export function rows(squares: number, triangleRows: number): TilingForm {
  const up = Array.from({ length: squares }, () => '6');
  const slant = Array.from({ length: triangleRows }, () => '4');
  const walk = (...words: readonly string[]) => words.join(' ');
  return {
    lattice: ['0', walk(...up, ...slant)],
    faces: [
      ...up.map((_, row) => ({ at: walk(...up.slice(0, row)), first: 0, sides: 4 })),
      ...slant.flatMap((_, row) => {
        const foot = [...up, ...slant.slice(0, row)];
        return [
          { at: walk(...foot), first: 0, sides: 3 },
          { at: walk(...foot, '0'), first: 4, sides: 3 },
        ];
      }),
    ],
  };
}

/** Rhombuses of side 1, their diagonals level and upright, whose slanting sides rise by so many times 15°, 1 to 5. */
export function rhombusByAngle(rise: number): TilingForm {
  const p = rise;
  const q = 12 - rise;
  return { lattice: [`${p}`, `${q}`], faces: [{ at: '', outline: `${p} ${q} ${p + 12} ${q + 12}` }] };
}

/** Parallelograms of a base of 1 and a height, the upper side moved to the right. */
export function parallelograms(height: Rational, lean: Rational): TilingForm {
  return {
    lattice: ['w', 't'],
    faces: [{ at: '', outline: 'w t -w -t' }],
    sides: { w: at(ONE, NONE), t: at(lean, height) },
  };
}

/** Kites twice as wide as 1, each with its like turned by 180° beside it; tips lie above and below the widest place. */
export function kites(above: Rational, below: Rational): TilingForm {
  const back = rational(-1);
  return {
    // The diagonals.
    lattice: ['p q', 'q r'],
    faces: [
      { at: '', outline: 'p q r s' },
      { at: 'p q p', outline: '-p -q -r -s' },
    ],
    sides: {
      p: at(ONE, multiply(below, back)),
      q: at(ONE, below),
      r: at(back, above),
      s: at(back, multiply(above, back)),
    },
  };
}

/**
 * Pentagons of four ways to lie, each with two right angles. From the middles of square fields four sides go out; what
 * joins them are slanting sides. Fields are 2 wide, and half a slanting side reaches `half` across and up, 0 < half < 1/2.
 */
export function pentagons(half: Rational): TilingForm {
  const t = half;
  const u = subtract(ONE, half);
  const less = multiply(t, rational(-1));
  const minus = multiply(u, rational(-1));
  const twice = multiply(half, rational(2));
  return {
    lattice: ['w', 'z'],
    faces: [
      // From the middle (0, 0) along the slanting side through (1, 0) to the middle (1, 1) and back; then turned by 90°.
      { at: '', outline: 'a d b e -n' },
      { at: '', outline: 'n g e -b a' },
      { at: '', outline: '-a -d -b -e n' },
      { at: '', outline: '-n -g -e b -a' },
    ],
    sides: {
      w: at(rational(2), NONE),
      z: at(NONE, rational(2)),
      a: at(u, less),
      b: at(less, u),
      d: at(twice, twice),
      e: at(minus, less),
      g: at(multiply(twice, rational(-1)), twice),
      n: at(t, u),
    },
  };
}

/** Bricks 1 long and `width` wide, 0 < width < 1, lying and standing in turn along rising steps. */
export function herringbone(width: Rational): TilingForm {
  const rest = subtract(ONE, width);
  return {
    lattice: ['r n n -s', 'n h'],
    faces: [
      // Where a long side meets two bricks, the corner between them is a corner here too.
      { at: '', outline: 'r n h -r -n -h' },
      { at: 'r n -s n', outline: 'h s -n -h -s n' },
    ],
    sides: { n: at(width, NONE), r: at(rest, NONE), h: at(NONE, width), s: at(NONE, rest) },
  };
}

/** Hexagons with sides of 1 and `other` in turn, between triangles with sides of 1 that point up and of `other` that point down. */
export function hexagonsAndTriangles(other: Rational): TilingForm {
  const along = (steps: number, length: Rational) => scalePoint(direction(steps), surd(length));
  return {
    lattice: ['p u', '-r -w'],
    faces: [
      { at: '', outline: 'u -r v -p w -q' },
      { at: 'u', outline: 'p q r' },
      { at: 'u', outline: '-u -v -w' },
    ],
    sides: {
      p: along(0, ONE),
      q: along(8, ONE),
      r: along(16, ONE),
      u: along(0, other),
      v: along(8, other),
      w: along(16, other),
    },
  };
}
