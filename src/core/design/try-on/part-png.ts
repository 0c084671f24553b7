import { encodePng } from '../../formats/png/encode-png.ts';
import type { Compressor } from '../../formats/png/png-image.ts';
import { prepareScene, type SeenLayer } from '../../paint/seen/paint-scene.ts';
import type { SeenWindow } from '../../paint/seen/seen-window.ts';
import { polyline } from '../../shape/contour.ts';
import type { TriedPart } from './compile-try-on.ts';
import { type LightOf, partRows } from './try-on-layers.ts';

/** Rows that are painted before they are handed on. */
const BAND = 32;

/** All of a window, as a figure. */
export function windowFigure({ width, height, perMillimetre, corner }: SeenWindow): SeenLayer['figure'] {
  const right = corner.x + width / perMillimetre;
  const low = corner.y - height / perMillimetre;
  return {
    kind: 'outline',
    contours: [
      polyline(
        [
          { x: corner.x, y: low },
          { x: right, y: low },
          { x: right, y: corner.y },
          { x: corner.x, y: corner.y },
        ],
        true,
      ),
    ],
  };
}

/** Layers as a picture, band by band. @param channels  4 keeps what is clear */
export function layersPng(
  layers: readonly SeenLayer[],
  window: SeenWindow,
  {
    channels,
    pixelsPerMetre,
    compressor,
  }: { readonly channels: 3 | 4; readonly pixelsPerMetre: number; readonly compressor: Compressor },
): AsyncIterable<Uint8Array> {
  const { width, height } = window;
  const painting = prepareScene(layers, window);
  const rows = function* () {
    const band = new Uint8ClampedArray(4 * width * BAND);
    for (let from = 0; from < height; from += BAND) {
      const count = Math.min(BAND, height - from);
      painting.paintRows(from, count, band);
      for (let row = 0; row < count; row += 1) {
        yield withChannels(band.subarray(4 * width * row, 4 * width * (row + 1)), channels);
      }
    }
  };
  const resolution = { x: pixelsPerMetre, y: pixelsPerMetre };
  return encodePng(
    {
      width,
      height,
      pixelsPerMetre: resolution,
      channels,
      palette: undefined,
      opacity: undefined,
      period: { across: width, down: height },
      rows,
    },
    compressor,
  );
}

/** The cloth of one part in all of a window, without its outline. */
export function partPng(
  part: TriedPart,
  window: SeenWindow,
  {
    finest,
    lightOf,
    compressor,
  }: { readonly finest: number; readonly lightOf: LightOf; readonly compressor: Compressor },
): AsyncIterable<Uint8Array> {
  const rows = partRows(part, { window, finest, lightOf });
  const layers: readonly SeenLayer[] =
    rows === undefined ? [] : [{ figure: windowFigure(window), paint: { rows } }];
  const pixelsPerMetre = Math.round(1000 * window.perMillimetre);
  return layersPng(layers, window, { channels: 4, pixelsPerMetre, compressor });
}

function withChannels(pixels: Uint8ClampedArray, channels: 3 | 4): Uint8Array {
  if (channels === 4) return Uint8Array.from(pixels);
  const line = new Uint8Array((pixels.length / 4) * 3);
  for (let from = 0, to = 0; from < pixels.length; from += 4, to += 3) {
    line[to] = pixels[from]!;
    line[to + 1] = pixels[from + 1]!;
    line[to + 2] = pixels[from + 2]!;
  }
  return line;
}
