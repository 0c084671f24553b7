import { type Contour, ellipse, polyline } from '../../shape/contour.ts';
import { rectangle } from '../drawn.ts';
import type { Dimension, Scene, SceneNumber } from '../scene.ts';

const length = (key: string, label: string, usual: number): SceneNumber => ({
  key,
  label,
  usual,
  in: 'mm',
  least: 5,
  most: 20_000,
});

/** A scene of one shape that fills a box. */
function shapeScene(
  key: string,
  name: string,
  numbers: readonly SceneNumber[],
  draw: (numbers: Readonly<Record<string, number>>) => {
    readonly width: number;
    readonly height: number;
    readonly outline: readonly Contour[];
    /** The numbers that its width and height are; left out, its lengths are written. */
    readonly across?: string;
    readonly up?: string;
  },
): Scene {
  return {
    key,
    name,
    group: 'shape',
    numbers,
    draw: (values) => {
      const { width, height, outline, across, up } = draw(values);
      const away = Math.max(width, height) / 12;
      const dimensions: Dimension[] = [
        {
          from: { x: 0, y: height },
          to: { x: width, y: height },
          away,
          ...(across === undefined ? {} : { number: across }),
        },
      ];
      if (up !== across) {
        dimensions.push({
          from: { x: 0, y: 0 },
          to: { x: 0, y: height },
          away,
          ...(up === undefined ? {} : { number: up }),
        });
      }
      return {
        size: { width, height },
        parts: [{ key, name, at: { x: 0, y: 0 }, box: { width, height }, outline }],
        ink: [],
        seams: [],
        dimensions,
      };
    },
  };
}

export const plainRectangle = shapeScene(
  'rectangle',
  'Rectangle',
  [length('width', 'Width', 600), length('height', 'Height', 400)],
  ({ width, height }) => ({
    width: width!,
    height: height!,
    outline: [rectangle({ x: 0, y: 0 }, { width: width!, height: height! })],
    across: 'width',
    up: 'height',
  }),
);

export const disc = shapeScene('disc', 'Disc', [length('diameter', 'Diameter', 500)], ({ diameter }) => {
  const half = diameter! / 2;
  return {
    width: diameter!,
    height: diameter!,
    outline: [ellipse({ x: half, y: half }, half, half)],
    across: 'diameter',
    up: 'diameter',
  };
});

export const plainEllipse = shapeScene(
  'ellipse',
  'Ellipse',
  [length('width', 'Width', 600), length('height', 'Height', 400)],
  ({ width, height }) => ({
    width: width!,
    height: height!,
    outline: [ellipse({ x: width! / 2, y: height! / 2 }, width! / 2, height! / 2)],
    across: 'width',
    up: 'height',
  }),
);

export const ring = shapeScene(
  'ring',
  'Ring',
  [length('outer', 'Outer diameter', 500), length('inner', 'Inner diameter', 250)],
  ({ outer, inner }) => {
    const half = outer! / 2;
    // A hole as large as the ring would leave nothing of it.
    const hole = Math.min(inner!, 0.98 * outer!) / 2;
    const middle = { x: half, y: half };
    return {
      width: outer!,
      height: outer!,
      outline: [ellipse(middle, half, half), ellipse(middle, hole, -hole)],
      across: 'outer',
      up: 'outer',
    };
  },
);

export const regularPolygon = shapeScene(
  'polygon',
  'Polygon',
  [
    { key: 'sides', label: 'Sides', usual: 6, in: 'count', least: 3, most: 60 },
    length('diameter', 'Across its corners', 500),
  ],
  ({ sides, diameter }) => {
    const count = Math.round(sides!);
    // It stands on a side.
    const from = -Math.PI / 2 - Math.PI / count;
    const round = Array.from({ length: count }, (_, at) => {
      const angle = from + (2 * Math.PI * at) / count;
      return { x: (diameter! / 2) * Math.cos(angle), y: (diameter! / 2) * Math.sin(angle) };
    });
    const left = Math.min(...round.map(({ x }) => x));
    const low = Math.min(...round.map(({ y }) => y));
    const corners = round.map(({ x, y }) => ({ x: x - left, y: y - low }));
    return {
      width: Math.max(...corners.map(({ x }) => x)),
      height: Math.max(...corners.map(({ y }) => y)),
      outline: [polyline(corners, true)],
    };
  },
);
