import type { Grid } from './grid.ts';
import type { Place } from './places.ts';
import { onArc, type Sink } from './sink.ts';

/** Most that an arc's chord may lie inside it, in subpixels. */
const SAGITTA = 4;

/** Outlines as polygons in whole subpixels, y downward from the top of the repeat. */
export interface Flattened extends Sink {
  readonly polygons: readonly (readonly Place[])[];
}

/** Takes outlines in the unit of a grid's lengths; arcs become chords. */
export function flattenTo({ scale, height }: Grid): Flattened {
  const polygons: Place[][] = [];
  const put = ({ x, y }: Place) =>
    polygons.at(-1)!.push({ x: Math.round(x * scale.x), y: height - Math.round(y * scale.y) });
  return {
    polygons,
    move: (place) => {
      polygons.push([]);
      put(place);
    },
    line: put,
    arc: (arc) => {
      const size = Math.max(SAGITTA, arc.radius * Math.max(scale.x, scale.y));
      const most = 2 * Math.acos(Math.max(0, 1 - SAGITTA / size));
      const turn = arc.to - arc.from;
      const chords = Math.max(1, Math.ceil(turn / most));
      for (let chord = 0; chord <= chords; chord += 1) put(onArc(arc, arc.from + (turn * chord) / chords));
    },
    close: () => {},
  };
}
