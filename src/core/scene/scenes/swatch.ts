import { polyline } from '../../shape/contour.ts';
import type { Place } from '../../shape/places.ts';
import type { Scene } from '../scene.ts';

/** Depth of a pinked edge's teeth, in millimetres. */
const TOOTH = 3;

/** A piece of cloth with pinked edges. */
export const swatch: Scene = {
  key: 'swatch',
  name: 'Swatch',
  group: 'shape',
  numbers: [
    { key: 'width', label: 'Width', usual: 200, in: 'mm', least: 20, most: 5000 },
    { key: 'height', label: 'Height', usual: 150, in: 'mm', least: 20, most: 5000 },
  ],
  draw: ({ width, height }) => {
    const size = { width: width!, height: height! };
    return {
      size,
      parts: [
        {
          key: 'swatch',
          name: 'Swatch',
          at: { x: 0, y: 0 },
          box: size,
          outline: [polyline(pinked(size.width, size.height), true)],
        },
      ],
      ink: [],
      seams: [],
      dimensions: [
        { from: { x: 0, y: height! }, to: { x: width!, y: height! }, away: 24, number: 'width' },
        { from: { x: 0, y: 0 }, to: { x: 0, y: height! }, away: 24, number: 'height' },
      ],
    };
  },
};

function pinked(width: number, height: number): readonly Place[] {
  const corners: readonly Place[] = [
    { x: 0, y: 0 },
    { x: width, y: 0 },
    { x: width, y: height },
    { x: 0, y: height },
  ];
  return corners.flatMap((from, side) => {
    const to = corners[(side + 1) % 4]!;
    const long = Math.hypot(to.x - from.x, to.y - from.y);
    const way = { x: (to.x - from.x) / long, y: (to.y - from.y) / long };
    const teeth = Math.max(1, Math.round(long / (2 * TOOTH)));
    return Array.from({ length: 2 * teeth }, (_, half) => {
      const along = (long * half) / (2 * teeth);
      // Every second corner lies within the edge.
      const inward = half % 2 === 0 ? 0 : TOOTH;
      return { x: from.x + way.x * along - way.y * inward, y: from.y + way.y * along + way.x * inward };
    });
  });
}
