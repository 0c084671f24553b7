import { shiftBy } from '../../shape/contour.ts';
import { type Figure, moveFigure } from '../../shape/figure.ts';
import type { Mark } from '../../shape/shape.ts';
import type { LayerShade, StrapFigures, StrapLayer } from '../../shape/straps/strap-figures.ts';
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
  { layers, fades }: StrapFigures,
  spec: StrapSpec,
  paint: StrapPaint,
  piece: number,
): readonly Mark[] {
  const { shadow, body, shadeOf } = paint;
  const [straps, ...others] = layerMarks(layers, spec, paint, piece + 1 / MOST_LAYERS);
  if (straps === undefined) return [];
  const beneath = layers[0]!.parts.map((figure) =>
    moveFigure(figure, shiftBy(shadow?.x ?? 0, shadow?.y ?? 0)),
  );
  return [
    ...(shadow === undefined ? [] : [{ shape: endless(beneath, piece), ...shadow.paint }]),
    straps,
    ...fades.map(({ figure, way }): Mark => {
      const shades = [shadeOf(spec.dip!.shade), body.shade!];
      return { shape: placed(figure, piece + 1.5 / MOST_LAYERS), shade: shades[0]!, fade: { shades, way } };
    }),
    ...others,
  ];
}

/** What of straps is painted once more after all others. @param piece  after all others */
export function patchMarks(
  { patches }: StrapFigures,
  spec: StrapSpec,
  paint: StrapPaint,
  piece: number,
): readonly Mark[] {
  return layerMarks(patches, spec, paint, piece);
}

/** More than all layers of a strap. Each is a piece of its own: in every repeat it lies over those before it. */
const MOST_LAYERS = 16;

function layerMarks(
  layers: readonly StrapLayer[],
  { edges, centre, dip }: StrapSpec,
  { body, shadeOf }: StrapPaint,
  piece: number,
): readonly Mark[] {
  const paintOf = (shade: LayerShade): Omit<Mark, 'shape'> => {
    if (shade === 'body') return body;
    const of = shade === 'dip' ? dip! : shade === 'centre' ? centre! : edges[shade]!;
    return { shade: shadeOf(of.shade) };
  };
  return layers.flatMap(({ shade, parts }, at): readonly Mark[] =>
    parts.length === 0 ? [] : [{ shape: endless(parts, piece + at / MOST_LAYERS), ...paintOf(shade) }],
  );
}

function endless(parts: readonly Figure[], piece: number): Mark['shape'] {
  return { kind: 'figure', figure: { kind: 'join', parts }, row: 0, piece, endless: true };
}

function placed(figure: Figure, piece: number): Mark['shape'] {
  return { kind: 'figure', figure, row: 0, piece, endless: false };
}
