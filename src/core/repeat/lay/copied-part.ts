import type { Place } from '../../shape/places.ts';
import type { Arranged } from './arranged.ts';
import { placesOf } from './box-places.ts';

/**
 * The part of the plane that a lay copies, in the unit of the size, counterclockwise: all of the box, half of it beside a
 * diagonal, or a part of a cell of 60°.
 * @param size  of the box
 */
export function copiedPart(arranged: Arranged, { x, y }: Place): readonly Place[] {
  const corner = { x: 0, y: 0 };
  if (arranged.kind === 'boxes') {
    const { half } = placesOf(arranged);
    if (half === 'diagonal') return [corner, { x, y: 0 }, { x, y }];
    if (half === 'other') return [corner, { x, y: 0 }, { x: 0, y }];
    return [corner, { x, y: 0 }, { x, y }, { x: 0, y }];
  }
  // The middles of the triangles above and below the cell's lower side are centres of third turns.
  const far = { x, y: 0 };
  const above = { x: x / 2, y: x / (2 * Math.sqrt(3)) };
  const below = { x: x / 2, y: -above.y };
  switch (arranged.group) {
    case 'p3':
      return [corner, below, far, above];
    case 'p3m1':
      return [corner, below, above];
    case 'p31m':
    case 'p6':
      return [corner, far, above];
    case 'p6mm':
      return [corner, { x: x / 2, y: 0 }, above];
    default:
      return arranged.group satisfies never;
  }
}
