import type { Compressor } from '../../formats/png/png-image.ts';
import type { TriedScene } from './compile-try-on.ts';
import { behindLayers, inkLayers, PAPER } from './ink-layers.ts';
import { orderTryOn, type TryOnOrder } from './order-try-on.ts';
import { layersPng, windowFigure } from './part-png.ts';
import { clothLayers, type LightOf } from './try-on-layers.ts';

/** A scene as a picture, band by band. @throws CoreError as `orderTryOn` */
export function tryOnPng(
  tried: TriedScene,
  order: TryOnOrder,
  { compressor, lightOf }: { readonly compressor: Compressor; readonly lightOf: LightOf },
): AsyncIterable<Uint8Array> {
  const { drawing, window, line, pixelsPerMetre } = orderTryOn(tried, order);
  const cloth = clothLayers(tried, window, lightOf);
  const paper = { figure: windowFigure(window), paint: { hex: PAPER } };
  const layers = order.drawn
    ? [paper, ...behindLayers(drawing, line), ...cloth, ...inkLayers(drawing, line)]
    : cloth;
  return layersPng(layers, window, { channels: order.drawn ? 3 : 4, pixelsPerMetre, compressor });
}
