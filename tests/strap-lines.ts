import { surd, surdToNumber } from '../src/core/exact/surd.ts';
import { parseSurd } from '../src/core/exact/surd-text.ts';
import type { StrapLine } from '../src/core/shape/straps/strap-line.ts';
import { type StrapTorus, torusOf } from '../src/core/shape/straps/strap-torus.ts';

/** A box whose opposite sides are one. */
export function boxTorus(width: number, height = width): StrapTorus {
  return torusOf([
    { x: surd(width), y: surd(0) },
    { x: surd(0), y: surd(height) },
  ]);
}

interface LineTold {
  readonly line?: number;
  readonly style?: number;
  readonly run?: StrapLine['run'];
}

/** A strap straight from corner to corner, told as "0,0 4,4" or as exact numbers. */
export function strapThrough(
  corners: string | readonly (readonly [x: number, y: number])[],
  { line = 0, style = 0, run = 'onward' }: LineTold = {},
): StrapLine {
  const exact =
    typeof corners === 'string'
      ? corners.split(' ').map((each) => each.split(',').map(parseSurd))
      : corners.map((each) => each.map((part) => surd(part)));
  const points = exact.map(([x, y]) => {
    const at = { x: x!, y: y! };
    return { place: { x: surdToNumber(at.x), y: surdToNumber(at.y) }, exact: at };
  });
  return { name: { piece: 1, line }, style, points, run };
}
