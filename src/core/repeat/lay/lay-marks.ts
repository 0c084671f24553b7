import { toNumber } from '../../exact/rational.ts';
import { shiftBy, thenMotion } from '../../shape/contour.ts';
import { type Figure, moveFigure } from '../../shape/figure.ts';
import { figureInRepeat, inRepeat } from '../../shape/figure-of-shape.ts';
import type { Place } from '../../shape/places.ts';
import type { Mark } from '../../shape/shape.ts';
import type { Marks } from '../repeat-unit.ts';
import type { BoxLay } from './arranged.ts';
import { placesOf } from './box-places.ts';
import { layPartition } from './lay-faces.ts';
import { standMotion } from './stands.ts';

/**
 * Faces with what lies over them, laid. A mark is what it is in one repeat, cut at its edges, and its copies in all boxes
 * are one shape, so that nothing is seen where they meet.
 * @param pitch  millimetres of a repeat
 */
export function layMarks({ base, marks }: Marks, lay: BoxLay, pitch: Place): Marks {
  const { places, half } = placesOf(lay);
  const motions = places.map(({ x, y, stand }) =>
    thenMotion(standMotion(stand, pitch), shiftBy(toNumber(x) * pitch.x, toNumber(y) * pitch.y)),
  );
  return {
    kind: 'marks',
    base: layPartition(base, lay),
    marks: marks.map(({ shape, ...paint }, piece): Mark => {
      const drawn = shape.kind === 'figure' ? inRepeat([shape.figure], pitch) : figureInRepeat(shape, pitch);
      const box = half === undefined ? drawn : mirroredHalf(drawn, half, pitch);
      const figure: Figure = { kind: 'join', parts: motions.map((motion) => moveFigure(box, motion)) };
      return { ...paint, shape: { kind: 'figure', figure, row: 0, piece, endless: true } };
    }),
  };
}

/** What of a figure lies below a diagonal of the box, and its image in it. */
function mirroredHalf(figure: Figure, mirror: 'diagonal' | 'other', { x, y }: Place): Figure {
  const corners =
    mirror === 'diagonal'
      ? [
          { x: 0, y: 0 },
          { x, y: 0 },
          { x, y },
        ]
      : [
          { x: 0, y: 0 },
          { x, y: 0 },
          { x: 0, y },
        ];
  const [start, ...others] = corners as [Place, Place, Place];
  const triangle: Figure = {
    kind: 'outline',
    contours: [{ start, segments: others.map((to) => ({ kind: 'line', to })), closed: true }],
  };
  const drawn: Figure = { kind: 'overlap', parts: [figure, triangle] };
  return { kind: 'join', parts: [drawn, moveFigure(drawn, standMotion(mirror, { x, y }))] };
}
