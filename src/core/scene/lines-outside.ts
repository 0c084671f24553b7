import { Clipper64, ClipType, FillRule, type Path64, type Paths64 } from 'clipper2-ts';
import type { Box } from '../shape/figure-box.ts';
import type { Place } from '../shape/places.ts';
import type { BentLine } from './bent-outline.ts';

/** Parts of a millimetre that places are rounded to: lines are drawn, not measured. */
const FINE = 1000;

/** What of some lines lies outside of areas. A closed line that is nowhere hidden stays as it is. */
export function linesOutside(lines: readonly BentLine[], areas: readonly BentLine[]): readonly BentLine[] {
  const near = areas.filter((area) => lines.some((line) => meet(boxOf(area.places), boxOf(line.places))));
  if (near.length === 0) return lines;
  const clip = near.map(({ places }) => rounded(places));
  return lines.flatMap((line): readonly BentLine[] => {
    if (!near.some((area) => meet(boxOf(area.places), boxOf(line.places)))) return [line];
    const path = rounded(line.closed ? [...line.places, line.places[0]!] : line.places);
    const clipper = new Clipper64();
    clipper.addOpenSubject([path]);
    clipper.addClip(clip);
    const open: Paths64 = [];
    clipper.execute(ClipType.Difference, FillRule.NonZero, [], open);
    const isWhole = Math.abs(lengthOf(open) - lengthOf([path])) < 1;
    return isWhole ? [line] : open.map((each) => ({ places: each.map(back), closed: false }));
  });
}

function rounded(places: readonly Place[]): Path64 {
  return places.map(({ x, y }) => ({ x: Math.round(x * FINE), y: Math.round(y * FINE) }));
}

function back({ x, y }: Place): Place {
  return { x: x / FINE, y: y / FINE };
}

function lengthOf(paths: Paths64): number {
  return paths.reduce(
    (sum, path) =>
      sum +
      path.slice(1).reduce((all, { x, y }, at) => all + Math.hypot(x - path[at]!.x, y - path[at]!.y), 0),
    0,
  );
}

/** The box round places. */
export function boxOf(places: readonly Place[]): Box {
  let left = Infinity;
  let right = -Infinity;
  let bottom = Infinity;
  let top = -Infinity;
  for (const { x, y } of places) {
    left = Math.min(left, x);
    right = Math.max(right, x);
    bottom = Math.min(bottom, y);
    top = Math.max(top, y);
  }
  return { left, right, bottom, top };
}

function meet(one: Box, other: Box): boolean {
  return (
    one.left <= other.right && other.left <= one.right && one.bottom <= other.top && other.bottom <= one.top
  );
}
