import { CoreError } from '../../error.ts';
import { toNumber } from '../../exact/rational.ts';
import { shiftBy, thenMotion } from '../../shape/contour.ts';
import { type Figure, moveFigure } from '../../shape/figure.ts';
import { figureInRepeat, inRepeat } from '../../shape/figure-of-shape.ts';
import type { Place } from '../../shape/places.ts';
import type { Mark } from '../../shape/shape.ts';
import type { Marks } from '../repeat-unit.ts';
import type { BoxLay } from './arranged.ts';
import { placesOf } from './box-places.ts';
import { copiedPart } from './copied-part.ts';
import { layPartition } from './lay-faces.ts';
import { laySixty } from './lay-sixty.ts';
import { type SixtyGroup, sixtyMotions } from './sixty-groups.ts';
import { standMotion } from './stands.ts';

/**
 * Faces with what lies over them, laid. A mark is what it is in one repeat, cut at its edges, and its copies in all boxes
 * are one shape, so that nothing is seen where they meet.
 * @param pitch  millimetres of a repeat
 * @throws CoreError "lay/copied-fade" for a mark whose fade or picture would have to be another in each copy
 */
export function layMarks({ base, marks }: Marks, lay: BoxLay, pitch: Place): Marks {
  marks.forEach(checkPlain);
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

/** The same by third and sixth turns, of what lies in the part that is copied. @throws CoreError as `layMarks` */
export function laySixtyMarks({ base, marks }: Marks, group: SixtyGroup, pitch: Place): Marks {
  marks.forEach(checkPlain);
  const part = polygon(copiedPart({ kind: 'sixty', group }, pitch));
  const motions = sixtyMotions(group).flatMap((motion) => [
    motion,
    thenMotion(motion, shiftBy(pitch.x / 2, pitch.y / 2)),
  ]);
  return {
    kind: 'marks',
    base: laySixty(base, group),
    marks: marks.map(({ shape, ...paint }, piece): Mark => {
      const drawn = shape.kind === 'figure' ? inRepeat([shape.figure], pitch) : figureInRepeat(shape, pitch);
      // The part reaches below the repeat, where the cloth is as it is at its top.
      const around: Figure = { kind: 'join', parts: [drawn, moveFigure(drawn, shiftBy(0, -pitch.y))] };
      const copied: Figure = { kind: 'overlap', parts: [around, part] };
      const figure: Figure = { kind: 'join', parts: motions.map((motion) => moveFigure(copied, motion)) };
      return { ...paint, shape: { kind: 'figure', figure, row: 0, piece, endless: true } };
    }),
  };
}

/** @throws CoreError "lay/copied-fade" */
function checkPlain({ fade, picture }: Mark): void {
  if (fade !== undefined || picture !== undefined) throw new CoreError('lay/copied-fade', {});
}

function polygon([start, ...others]: readonly Place[]): Figure {
  const segments = others.map((to) => ({ kind: 'line', to }) as const);
  return { kind: 'outline', contours: [{ start: start!, segments, closed: true }] };
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
  const triangle = polygon(corners);
  const drawn: Figure = { kind: 'overlap', parts: [figure, triangle] };
  return { kind: 'join', parts: [drawn, moveFigure(drawn, standMotion(mirror, { x, y }))] };
}
