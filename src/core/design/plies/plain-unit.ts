import type { Shade } from '../../colour/shade.ts';
import { ONE, rational } from '../../exact/rational.ts';
import { surdToNumber, ZERO_SURD } from '../../exact/surd.ts';
import type { Partition } from '../../faces/partition.ts';
import type { RepeatUnit, TrueSize } from '../../repeat/repeat-unit.ts';
import { fadeAlong } from '../../shape/fade-way.ts';
import type { Fill } from '../../shape/fill.ts';

/** One face that covers a repeat of any size, filled. */
export function plainUnit(size: TrueSize, shades: readonly Shade[], fill: Fill): RepeatUnit<Partition> {
  const zero = rational(0);
  return {
    lattice: [
      { x: ONE, y: zero },
      { x: zero, y: ONE },
    ],
    repeat: { width: ONE, height: ONE },
    pitch: { x: size.width, y: size.height },
    grid: { step: 'mm' },
    content: {
      kind: 'partition',
      shades,
      vertices: [{ x: ZERO_SURD, y: ZERO_SURD }],
      faces: [
        {
          fill,
          corners: [
            { vertex: 0, across: 0, up: 0 },
            { vertex: 0, across: 1, up: 0 },
            { vertex: 0, across: 1, up: 1 },
            { vertex: 0, across: 0, up: 1 },
          ],
        },
      ],
    },
  };
}

/**
 * A fade over all of a repeat, from the corner that lies furthest back along its angle to the one furthest on.
 * @param degrees  counterclockwise from the right
 */
export function fadeOver(size: TrueSize, shades: readonly number[], degrees: number): Fill {
  const width = surdToNumber(size.width);
  const height = surdToNumber(size.height);
  const corners = [0, width].flatMap((x) => [0, height].map((y) => ({ x, y })));
  const way = fadeAlong(corners, degrees, null);
  if (way.kind !== 'along') throw new Error('expected a fade along a way');
  const inRepeats = ({ x, y }: { readonly x: number; readonly y: number }) => ({
    x: x / width,
    y: y / height,
  });
  return { kind: 'fade', shade: shades[0]!, shades, from: inRepeats(way.from), to: inRepeats(way.to) };
}
