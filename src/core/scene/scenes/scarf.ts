import type { Contour } from '../../shape/contour.ts';
import { drawn, ink, line } from '../drawn.ts';
import { placed } from '../placed.ts';
import type { Scene } from '../scene.ts';

/** Millimetres from one thread of a fringe to the next, and how long they are. */
const FRINGE = 9;
const LONG = 60;

/** A scarf: a loop round the neck and two ends that hang. */
export const scarf: Scene = {
  key: 'scarf',
  name: 'Scarf',
  group: 'garment',
  numbers: [
    { key: 'width', label: 'Width, folded', usual: 180, in: 'mm', least: 40, most: 600 },
    { key: 'hang', label: 'How far it hangs', usual: 760, in: 'mm', least: 100, most: 2000 },
  ],
  draw: ({ width, hang }) => {
    const wide = width!;
    const low = LONG + 40;
    const top = low + hang!;
    const loop = { width: 3.6 * wide, height: 0.78 * wide };
    const middle = 2.2 * wide;
    const leftEnd = drawn(
      `M${middle - 1.06 * wide} ${low}L${middle - 0.06 * wide} ${low + 14}L${middle + 0.06 * wide} ${top}L${middle - 0.8 * wide} ${top}Z`,
    );
    const rightEnd = drawn(
      `M${middle + 0.1 * wide} ${low - 40}L${middle + 1.1 * wide} ${low - 54}L${middle + 0.8 * wide} ${top}L${middle - 0.04 * wide} ${top}Z`,
    );
    return {
      size: { width: 4.4 * wide, height: top + 1.05 * wide },
      parts: [
        placed({ key: 'left-end', name: 'Left end', contours: leftEnd, grain: -3 }),
        placed({ key: 'right-end', name: 'Right end', contours: rightEnd, grain: 4 }),
        {
          key: 'loop',
          name: 'Loop',
          at: { x: middle - loop.width / 2, y: top - 0.36 * wide },
          box: loop,
          grain: 90,
          bends: [
            { kind: 'form', across: 0, up: 110 },
            { kind: 'arc', degrees: -190 },
          ],
          ink: [
            ink(
              'detail',
              ...drawn(
                `M${0.5 * wide} ${0.3 * wide}C${1.2 * wide} ${0.2 * wide} ${2 * wide} ${0.26 * wide} ${2.9 * wide} ${0.4 * wide}`,
              ),
            ),
            ink(
              'detail',
              ...drawn(
                `M${0.9 * wide} ${0.56 * wide}C${1.6 * wide} ${0.5 * wide} ${2.2 * wide} ${0.6 * wide} ${2.7 * wide} ${0.58 * wide}`,
              ),
            ),
          ],
        },
      ],
      ink: [
        ink('detail', ...fringe(middle - 1.06 * wide, middle - 0.06 * wide, low, low + 14)),
        ink('detail', ...fringe(middle + 0.1 * wide, middle + 1.1 * wide, low - 40, low - 54)),
        ink(
          'detail',
          ...drawn(
            `M${middle - 0.52 * wide} ${low + 0.7 * hang!}C${middle - 0.6 * wide} ${low + 0.5 * hang!} ${middle - 0.56 * wide} ${low + 0.3 * hang!} ${middle - 0.6 * wide} ${low + 0.12 * hang!}M${middle + 0.42 * wide} ${low + 0.66 * hang!}C${middle + 0.5 * wide} ${low + 0.4 * hang!} ${middle + 0.5 * wide} ${low + 0.2 * hang!} ${middle + 0.62 * wide} ${low}`,
          ),
        ),
      ],
      seams: [],
      dimensions: [
        {
          from: { x: middle + 1.1 * wide, y: low - 54 },
          to: { x: middle + 0.1 * wide, y: low - 54 },
          away: LONG + 20,
          number: 'width',
        },
        {
          from: { x: middle - 1.06 * wide, y: low },
          to: { x: middle - 1.06 * wide, y: top },
          away: 50,
          number: 'hang',
        },
      ],
    };
  },
};

/** Threads that hang from an edge, in bundles. */
function fringe(left: number, right: number, leftUp: number, rightUp: number): readonly Contour[] {
  const count = Math.max(3, Math.round((right - left) / FRINGE));
  return Array.from({ length: count }, (_, at) => {
    const part = (at + 0.5) / count;
    const x = left + part * (right - left);
    const y = leftUp + part * (rightUp - leftUp);
    return line(x, y, x + (at % 3 === 0 ? -2 : 2), y - LONG + (at % 4) * 3);
  });
}
