import type { Point } from '../exact/plane.ts';
import { rational } from '../exact/rational.ts';
import {
  addSurds,
  compareSurds,
  equalSurds,
  floorSurd,
  type Surd,
  subtractSurds,
  surd,
} from '../exact/surd.ts';
import { surdText } from '../exact/surd-text.ts';

/** Corners on upright lines, or on level ones, by where the line lies: how far along it, ascending, 0 … 1. */
type OnLines = ReadonlyMap<string, readonly Surd[]>;

/**
 * The same polygons with a corner of each wherever one of another lies on an upright or a level side of it.
 * @param faces  on the torus of one repeat, in repeats
 */
export function withSharedCorners(faces: readonly (readonly Point[])[]): readonly (readonly Point[])[] {
  const upright = onLines(faces, 'x', 'y');
  const level = onLines(faces, 'y', 'x');
  return faces.map((corners) =>
    corners.flatMap((from, at): readonly Point[] => {
      const to = corners[(at + 1) % corners.length]!;
      if (equalSurds(from.x, to.x)) {
        return [from, ...between(from.y, to.y, upright.get(nameOf(from.x))!).map((y) => ({ x: from.x, y }))];
      }
      if (equalSurds(from.y, to.y)) {
        return [from, ...between(from.x, to.x, level.get(nameOf(from.y))!).map((x) => ({ x, y: from.y }))];
      }
      return [from];
    }),
  );
}

function onLines(faces: readonly (readonly Point[])[], line: 'x' | 'y', along: 'x' | 'y'): OnLines {
  const lines = new Map<string, Map<string, Surd>>();
  for (const corners of faces) {
    for (const corner of corners) {
      const name = nameOf(corner[line]);
      const known = lines.get(name) ?? new Map<string, Surd>();
      lines.set(name, known);
      const place = fraction(corner[along]);
      known.set(surdText(place), place);
    }
  }
  return new Map([...lines].map(([name, places]) => [name, [...places.values()].sort(compareSurds)]));
}

/** Those of some places, in any repeat, that lie strictly between two, in the order in which one comes by them. */
function between(from: Surd, to: Surd, places: readonly Surd[]): readonly Surd[] {
  const back = compareSurds(from, to) > 0;
  const low = back ? to : from;
  const high = back ? from : to;
  const found: Surd[] = [];
  for (let repeat = floorSurd(low); repeat <= floorSurd(high); repeat += 1n) {
    for (const place of places) {
      const here = addSurds(place, surd(rational(repeat)));
      if (compareSurds(here, low) > 0 && compareSurds(here, high) < 0) found.push(here);
    }
  }
  return back ? found.reverse() : found;
}

function fraction(value: Surd): Surd {
  return subtractSurds(value, surd(rational(floorSurd(value))));
}

function nameOf(value: Surd): string {
  return surdText(fraction(value));
}
