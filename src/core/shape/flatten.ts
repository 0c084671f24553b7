import { type Contour, traceContour } from './contour.ts';
import type { Grid } from './grid.ts';
import type { Place } from './places.ts';
import { onArc, type Sink } from './sink.ts';

/** Most that a chord may lie beside its arc or curve, in subpixels. */
const SAGITTA = 4;

/** Outlines as polygons in whole subpixels, y downward from the top of the repeat. */
export interface Flattened extends Sink {
  readonly polygons: readonly (readonly Place[])[];
}

/** Takes outlines in the unit of a grid's lengths; arcs and curves become chords. */
export function flattenTo({ scale, height }: Grid): Flattened {
  const polygons: Place[][] = [];
  const put = ({ x, y }: Place) => {
    // The resolver would not come to an end.
    if (!Number.isFinite(x) || !Number.isFinite(y))
      throw new Error(`a corner of an outline is at ${x}, ${y}`);
    polygons.at(-1)!.push({ x: Math.round(x * scale.x), y: height - Math.round(y * scale.y) });
  };
  const sink = chordSink(SAGITTA / Math.max(scale.x, scale.y), put, () => polygons.push([]));
  return { polygons, ...sink };
}

/** The ends of a contour's lines and chords, its start first. @param sagitta  most that a chord may lie beside its curve */
export function chordsOf(contour: Contour, sagitta: number): readonly Place[] {
  const places: Place[] = [];
  traceContour(
    contour,
    chordSink(
      sagitta,
      (place) => places.push(place),
      () => {},
    ),
  );
  return places;
}

/** Hands on the ends of lines and chords. @param begin  is told that another outline begins */
function chordSink(sagitta: number, put: (place: Place) => void, begin: () => void): Sink {
  let here: Place = { x: 0, y: 0 };
  const go = (place: Place) => {
    here = place;
    put(place);
  };
  return {
    move: (place) => {
      begin();
      go(place);
    },
    line: go,
    arc: (arc) => {
      const radius = Math.max(Math.hypot(arc.across.x, arc.across.y), Math.hypot(arc.up.x, arc.up.y));
      const step = 2 * Math.acos(Math.max(0, 1 - sagitta / Math.max(sagitta, radius)));
      const turn = arc.to - arc.from;
      const chords = Math.max(1, Math.ceil(Math.abs(turn) / step));
      for (let chord = 0; chord <= chords; chord += 1) go(onArc(arc, arc.from + (turn * chord) / chords));
    },
    curve: ({ leave, arrive, to }) => {
      const from = here;
      // Wang's bound: a cubic in n even pieces lies within 6/8 of its greatest second difference over n² of its chords.
      const bend = Math.max(secondDifference(from, leave, arrive), secondDifference(leave, arrive, to));
      const chords = Math.max(1, Math.ceil(Math.sqrt((0.75 * bend) / sagitta)));
      for (let chord = 1; chord <= chords; chord += 1) go(onCurve(from, leave, arrive, to, chord / chords));
    },
    close: () => {},
  };
}

function secondDifference(a: Place, b: Place, c: Place): number {
  return Math.hypot(a.x - 2 * b.x + c.x, a.y - 2 * b.y + c.y);
}

/** A point of a cubic Bézier curve, by Bernstein's polynomials. */
function onCurve(a: Place, b: Place, c: Place, d: Place, at: number): Place {
  const rest = 1 - at;
  const [p, q, r, s] = [rest ** 3, 3 * rest * rest * at, 3 * rest * at * at, at ** 3] as const;
  return { x: p * a.x + q * b.x + r * c.x + s * d.x, y: p * a.y + q * b.y + r * c.y + s * d.y };
}
