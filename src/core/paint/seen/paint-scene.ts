import { rgbOf } from '../../colour/hex.ts';
import { BYTE_OF_LINEAR, LINEAR_OF_BYTE, LINEAR_ONE } from '../../colour/linear.ts';
import { polyline, shiftBy } from '../../shape/contour.ts';
import { type Figure, moveFigure } from '../../shape/figure.ts';
import { type Grid, SUBPIXELS } from '../../shape/grid.ts';
import { resolveFigure } from '../../shape/resolve-figure.ts';
import { coverOf } from '../figure-rows.ts';
import { emptySums } from '../row-sums.ts';
import { standAlone } from '../stand-alone.ts';
import { SEEN_CHANNELS, type SeenRows, type SeenWindow } from './seen-window.ts';

/** Something that a drawing shows: a figure in millimetres of the drawing, and its light. */
export interface SeenLayer {
  readonly figure: Figure;
  /** One colour, or light of its own at each pixel. */
  readonly paint: { readonly hex: string } | { readonly rows: SeenRows };
}

/** A drawing made ready; rows are asked for from the top. */
export interface ScenePainting {
  /** Paints rows of pixels of four bytes, sRGB and opacity. */
  readonly paintRows: (from: number, count: number, out: Uint8ClampedArray) => void;
}

/** A layer as far as it lies in the window. */
interface CoveredLayer {
  readonly left: number;
  readonly top: number;
  readonly across: number;
  readonly down: number;
  readonly coverAt: (row: number, shares: Float64Array) => void;
  readonly rows: SeenRows;
}

/**
 * Layers over each other, in linear light. Where two share an edge, each keeps what it covers of a pixel, so that no ground
 * comes through between them.
 * Source: the "disjoint over" of the X Rendering Extension, §7 (K. Packard and others): what lies below keeps what is left.
 */
export function prepareScene(layers: readonly SeenLayer[], window: SeenWindow): ScenePainting {
  const { width } = window;
  const covered = layers.flatMap((layer) => coveredLayer(layer, window));
  const line = new Float32Array(SEEN_CHANNELS * width);
  const light = new Float32Array(SEEN_CHANNELS * width);
  const shares = new Float64Array(width + 2);
  return {
    paintRows: (first, count, out) => {
      for (let row = first; row < first + count; row += 1) {
        line.fill(0);
        for (const layer of covered) {
          if (row < layer.top || row >= layer.top + layer.down) continue;
          layLayer(layer, row, { line, light, shares });
        }
        packRow(line, out, (row - first) * width * 4);
      }
    },
  };
}

interface Room {
  readonly line: Float32Array;
  readonly light: Float32Array;
  readonly shares: Float64Array;
}

/** Lays one row of a layer over what is there. A hot loop. */
function layLayer(layer: CoveredLayer, row: number, { line, light, shares }: Room): void {
  const { left, across } = layer;
  layer.coverAt(row - layer.top, shares);
  let from = 0;
  while (from < across && shares[from] === 0) from += 1;
  let to = across;
  while (to > from && shares[to - 1] === 0) to -= 1;
  if (from === to) return;
  layer.rows(row, left + from, left + to, light);
  for (let x = from; x < to; x += 1) {
    const share = shares[x]!;
    if (share === 0) continue;
    const at = SEEN_CHANNELS * (left + x);
    const opacity = light[at + 3]!;
    const below = line[at + 3]!;
    // What is covered of the pixel lies over what has no room beside it.
    const kept = below > 1 - share ? (1 - share) / below : 1;
    const through = kept + (1 - kept) * (1 - opacity);
    line[at] = line[at]! * through + light[at]! * share;
    line[at + 1] = line[at + 1]! * through + light[at + 1]! * share;
    line[at + 2] = line[at + 2]! * through + light[at + 2]! * share;
    line[at + 3] = below * through + opacity * share;
  }
}

/** Turns a row of light into pixels; most of it is opaque or clear. A hot loop. */
function packRow(line: Float32Array, out: Uint8ClampedArray, start: number): void {
  for (let at = 0; at < line.length; at += SEEN_CHANNELS) {
    const opacity = line[at + 3]!;
    const to = start + at;
    // What rounds to clear has no colour; a half goes to the even number.
    if (opacity * 255 <= 0.5) {
      out[to] = 0;
      out[to + 1] = 0;
      out[to + 2] = 0;
      out[to + 3] = 0;
      continue;
    }
    const times = opacity === 1 ? LINEAR_ONE : LINEAR_ONE / opacity;
    out[to] = BYTE_OF_LINEAR[Math.min(LINEAR_ONE, (line[at]! * times + 0.5) | 0)]!;
    out[to + 1] = BYTE_OF_LINEAR[Math.min(LINEAR_ONE, (line[at + 1]! * times + 0.5) | 0)]!;
    out[to + 2] = BYTE_OF_LINEAR[Math.min(LINEAR_ONE, (line[at + 2]! * times + 0.5) | 0)]!;
    out[to + 3] = opacity * 255;
  }
}

/** None where it lies outside the window. */
function coveredLayer({ figure, paint }: SeenLayer, window: SeenWindow): readonly CoveredLayer[] {
  const { width, height, perMillimetre, corner } = window;
  const low = corner.y - height / perMillimetre;
  const scale = perMillimetre * SUBPIXELS;
  const grid: Grid = {
    width: width * SUBPIXELS,
    height: height * SUBPIXELS,
    pitch: { x: width / perMillimetre, y: height / perMillimetre },
    scale: { x: scale, y: scale },
  };
  const { x, y } = grid.pitch;
  const seen: Figure = {
    kind: 'overlap',
    parts: [
      moveFigure(figure, shiftBy(-corner.x, -low)),
      {
        kind: 'outline',
        contours: [
          polyline(
            [
              { x: 0, y: 0 },
              { x, y: 0 },
              { x, y },
              { x: 0, y },
            ],
            true,
          ),
        ],
      },
    ],
  };
  const polygons = resolveFigure(seen, grid);
  if (polygons.length === 0) return [];
  const standing = standAlone(polygons);
  const cover = coverOf(standing, emptySums(standing.across));
  const { left, top, across, down } = standing;
  const rows = 'rows' in paint ? paint.rows : plainRows(paint.hex);
  return [{ left, top, across, down, coverAt: cover.rowAt, rows }];
}

function plainRows(hex: string): SeenRows {
  const [red, green, blue] = rgbOf(hex).map((byte) => LINEAR_OF_BYTE[byte]! / LINEAR_ONE);
  return (_, from, to, out) => {
    for (let at = SEEN_CHANNELS * from; at < SEEN_CHANNELS * to; at += SEEN_CHANNELS) {
      out[at] = red!;
      out[at + 1] = green!;
      out[at + 2] = blue!;
      out[at + 3] = 1;
    }
  };
}
