import { CoreError } from '../../error.ts';
import { type Contour, moveContour, shiftBy } from '../../shape/contour.ts';
import { boxOfFigure } from '../../shape/figure-box.ts';
import { letters } from '../../shape/letters/letters.ts';
import { checkSimple } from '../check-simple.ts';
import { drawn } from '../drawn.ts';
import { readPath } from '../read-path.ts';
import type { Dimension, Scene } from '../scene.ts';
import { united } from '../united.ts';

/** Letters of a shipped font, as high as their capitals. */
export const lettersScene: Scene = {
  key: 'letters',
  name: 'Letters',
  group: 'shape',
  needs: 'letters',
  numbers: [{ key: 'height', label: 'Height of the capitals', usual: 300, in: 'mm', least: 2, most: 5000 }],
  draw: ({ height }, { letters: { text, font } }) => {
    const figure = letters(text, font, height!);
    const contours = united(figure.kind === 'outline' ? figure.contours : []);
    return alone('letters', 'Letters', contours, [{ axis: 'up', number: 'height', long: height! }]);
  },
};

/** A path of one's own, as wide as is typed. */
export const pathScene: Scene = {
  key: 'path',
  name: 'Path',
  group: 'shape',
  needs: 'path',
  numbers: [{ key: 'width', label: 'Width', usual: 400, in: 'mm', least: 5, most: 20_000 }],
  draw: ({ width }, { path }) => {
    const read = readPath(path);
    if (read.some(({ closed }) => !closed)) throw new CoreError('path/open', {});
    const { left, right, bottom, top } = boxOfFigure({ kind: 'outline', contours: read });
    if (!(right > left && top > bottom)) throw new CoreError('path/flat', {});
    const scale = width! / (right - left);
    // As it is read, from its left and its top edge.
    const corner = shiftBy(-left * scale, -bottom * scale);
    checkSimple(
      drawn(path, scale, scale).map((each) => moveContour(each, corner)),
      width! / 2000,
    );
    // SVG's y goes downward.
    const contours = drawn(path, scale, -scale);
    return alone('path', 'Shape', contours, [{ axis: 'across', number: 'width', long: width! }]);
  },
};

/** A scene of outlines alone, moved to its corner. */
function alone(
  key: string,
  name: string,
  contours: readonly Contour[],
  measured: readonly { readonly axis: 'across' | 'up'; readonly number: string; readonly long: number }[],
) {
  const { left, right, bottom, top } = boxOfFigure({ kind: 'outline', contours });
  const size = { width: right - left, height: top - bottom };
  const away = Math.max(size.width, size.height) / 12;
  return {
    size,
    parts: [
      {
        key,
        name,
        at: { x: 0, y: 0 },
        box: size,
        outline: contours.map((each) => moveContour(each, shiftBy(-left, -bottom))),
      },
    ],
    ink: [],
    seams: [],
    dimensions: measured.map(
      ({ axis, number, long }): Dimension =>
        axis === 'across'
          ? { from: { x: 0, y: size.height }, to: { x: long, y: size.height }, away, number }
          : // Capitals stand on their line, below which other letters reach.
            { from: { x: 0, y: -bottom - long / 2 }, to: { x: 0, y: long / 2 - bottom }, away, number },
    ),
  };
}
