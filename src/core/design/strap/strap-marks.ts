import { shiftBy } from '../../shape/contour.ts';
import { type Figure, moveFigure } from '../../shape/figure.ts';
import type { Mark } from '../../shape/shape.ts';
import type { StrapFigures } from '../../shape/straps/strap-figures.ts';
import type { StrapSpec } from './strap-schema.ts';

/** What straps of one style are painted with; shades by their indexes. */
export interface StrapPaint {
  readonly body: Omit<Mark, 'shape'>;
  /** A soft copy beneath. */
  readonly shadow?:
    | { readonly paint: Omit<Mark, 'shape'>; readonly x: number; readonly y: number }
    | undefined;
  readonly shadeOf: (key: string) => number;
}

/**
 * The marks of straps, cut where they go under, in their order: shadow, straps, where they go under, edges, middle.
 * @param piece  that they are part of, in painting order
 */
export function strapMarks(
  figures: StrapFigures,
  { edges, centre, dip }: StrapSpec,
  paint: StrapPaint,
  piece: number,
): readonly Mark[] {
  const { shadow, body, shadeOf } = paint;
  const all = (layer: number, parts: readonly Figure[], how: Omit<Mark, 'shape'>): readonly Mark[] =>
    parts.length === 0 ? [] : [{ shape: endless(parts, piece + layer / MOST_LAYERS), ...how }];
  const beneath = shadow && figures.body.map((figure) => moveFigure(figure, shiftBy(shadow.x, shadow.y)));
  return [
    ...(shadow === undefined ? [] : all(0, beneath!, shadow.paint)),
    ...all(1, figures.body, body),
    ...figures.fades.map(({ figure, way }): Mark => {
      const shades = [shadeOf(dip!.shade), body.shade!];
      return { shape: placed(figure, piece + 2 / MOST_LAYERS), shade: shades[0]!, fade: { shades, way } };
    }),
    ...(dip === null ? [] : all(2, figures.dips, { shade: shadeOf(dip.shade) })),
    ...edges.flatMap(({ shade }, at) => all(3 + at, figures.edges[at]!, { shade: shadeOf(shade) })),
    ...(centre === null ? [] : all(3 + edges.length, figures.centre, { shade: shadeOf(centre.shade) })),
  ];
}

/** More than all layers of a strap. Each is a piece of its own: in every repeat it lies over those before it. */
const MOST_LAYERS = 16;

/** What of straps is painted once more after all others. @param piece  after all others */
export function patchMarks(
  { patches }: StrapFigures,
  { edges, centre }: StrapSpec,
  { body, shadeOf }: StrapPaint,
  piece: number,
): readonly Mark[] {
  const all = (layer: number, parts: readonly Figure[], how: Omit<Mark, 'shape'>): readonly Mark[] =>
    parts.length === 0 ? [] : [{ shape: endless(parts, piece + layer / MOST_LAYERS), ...how }];
  return [
    ...all(0, patches.body, body),
    ...edges.flatMap(({ shade }, at) => all(1 + at, patches.edges[at]!, { shade: shadeOf(shade) })),
    ...(centre === null ? [] : all(1 + edges.length, patches.centre, { shade: shadeOf(centre.shade) })),
  ];
}

function endless(parts: readonly Figure[], piece: number): Mark['shape'] {
  return { kind: 'figure', figure: { kind: 'join', parts }, row: 0, piece, endless: true };
}

function placed(figure: Figure, piece: number): Mark['shape'] {
  return { kind: 'figure', figure, row: 0, piece, endless: false };
}
