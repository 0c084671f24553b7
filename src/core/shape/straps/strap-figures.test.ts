import { describe, expect, it } from 'vitest';
import { boxTorus, strapThrough } from '../../../../tests/strap-lines.ts';
import type { Grid } from '../grid.ts';
import { areaOfPlaces } from '../places.ts';
import { resolveFigure } from '../resolve-figure.ts';
import { solveOrder } from './solve-order.ts';
import { ONE_CELL } from './strap-cells.ts';
import { courseOf } from './strap-course.ts';
import { type LayerShade, strapFigures } from './strap-figures.ts';
import type { StrapLine } from './strap-line.ts';
import { strapNet } from './strap-net.ts';
import { orderRule } from './strap-order.ts';
import type { StrapStyle } from './strap-style.ts';

const SIDE = 20;

const TORUS = boxTorus(SIDE);

/** Hundredths of a millimetre. */
const GRID: Grid = { width: 0, height: 0, pitch: { x: 1, y: 1 }, scale: { x: 100, y: 100 } };

const PLAIN: StrapStyle = { width: 2, gap: 1, ends: 'flat', edges: [], centre: null, dip: null };

/** A strap across and one up that crosses it, the one up on top or beneath; and what each is drawn by. */
function drawn(
  style: StrapStyle,
  corners: readonly (readonly [number, number])[],
  swapped = false,
  run: StrapLine['run'] = 'onward',
) {
  const net = strapNet([strapThrough('0,10 20,10'), strapThrough(corners, { line: 1, run })], TORUS);
  const rule = orderRule(net, { by: 'family' });
  const solved = solveOrder(net.crossings.length, rule, ONE_CELL);
  const course = courseOf(net, rule, solved, { swapped, turned: [] });
  const { layers, fades } = strapFigures(course, [style], [[0, 0]])[0]!;
  const partsOf = (wanted: LayerShade) => layers.find(({ shade }) => shade === wanted)?.parts ?? [];
  return { body: partsOf('body'), edge: partsOf(0), dips: partsOf('dip'), fades };
}

const areaOf = (figure: Parameters<typeof resolveFigure>[0]) =>
  resolveFigure(figure, GRID).reduce((sum, polygon) => sum - areaOfPlaces(polygon), 0) / 1e4;

const UP = [
  [5, 0],
  [5, SIDE],
] as const;

describe('figures of straps', () => {
  it('are whole above, and cut by the width of the other and two gaps beneath', () => {
    const { body } = drawn(PLAIN, UP);
    const [across, up] = body.map(areaOf);
    // Each is drawn further at both ends by its width, under what it goes on in.
    const length = SIDE + 2 * 2;
    expect(up).toBeCloseTo(2 * length, 1);
    expect(across).toBeCloseTo(2 * (length - 2 - 2), 1);
  });

  it('are cut aslant where straps cross aslant', () => {
    const { body } = drawn(PLAIN, [
      [-7, 0],
      [SIDE - 7, SIDE],
    ]);
    // Across a strap of width 2 a cut of 4 at 45° is 4√2 long.
    expect(areaOf(body[0]!)).toBeCloseTo(2 * (SIDE + 4 - 4 * Math.SQRT2), 1);
  });

  it('are narrower under a line at their very edge, which reaches as far as the strap', () => {
    const style = { ...PLAIN, edges: [{ inset: 0, width: 0.5 }] };
    const { body, edge } = drawn(style, UP);
    expect(areaOf(body[1]!)).toBeCloseTo(1.5 * 24, 1);
    expect(areaOf(edge[1]!)).toBeCloseTo(2 * 0.5 * 24, 1);
  });

  it('have lines to both sides of where they go under, to a point or not', () => {
    const lines = (taper: boolean) => {
      const dip = { kind: 'lines', count: 3, length: 3, apart: 0.5, width: 0.2, taper } as const;
      return drawn({ ...PLAIN, dip }, UP).dips.map(areaOf);
    };
    // Three to each side, together; the strap above has none.
    expect(lines(false)).toHaveLength(1);
    expect(lines(false)[0]).toBeCloseTo(6 * 3 * 0.2, 1);
    expect(lines(true)[0]).toBeCloseTo((6 * 3 * 0.2) / 2, 1);
  });

  it('have no such lines beyond an end of theirs', () => {
    const dip = { kind: 'lines', count: 2, length: 6, apart: 0.5, width: 0.2, taper: true } as const;
    const stub = [
      [5, 8],
      [5, 13],
    ] as const;
    // From the cut to the strap's end it is 1, a sixth of the lines.
    const { dips } = drawn({ ...PLAIN, dip }, stub, true, 'open');
    const corners = dips.flatMap((figure) => resolveFigure(figure, GRID)).flat();
    expect(corners.length).toBeGreaterThan(0);
    for (const { y } of corners) {
      expect(-y / 100).toBeGreaterThan(8 - 0.01);
      expect(-y / 100).toBeLessThan(13 + 0.01);
    }
  });

  it('fade from where they go under, and end beneath the fade', () => {
    const { fades, body } = drawn({ ...PLAIN, dip: { kind: 'shade', length: 3 } }, UP);
    expect(fades).toHaveLength(2);
    for (const { figure, way } of fades) {
      expect(areaOf(figure)).toBeCloseTo(2 * 3, 1);
      expect(way).toMatchObject({ kind: 'along' });
    }
    expect(areaOf(body[0]!)).toBeLessThan(2 * (24 - 4) - 1);
  });

  it('exchange places where all are swapped', () => {
    const [across, up] = drawn(PLAIN, UP, true).body.map(areaOf);
    expect(across).toBeGreaterThan(up!);
  });
});
