import { rgbOf } from '../colour/hex.ts';
import { BYTE_OF_LINEAR, LINEAR_OF_BYTE } from '../colour/linear.ts';
import type { Shade } from '../colour/shade.ts';
import { toNumber } from '../exact/rational.ts';
import { SHARPEST } from '../paint/layer-sides.ts';
import { copiesIn } from '../tiling/copies.ts';
import type { FadeLayer, GapsLayer, Layer, LineEnds, LinesLayer } from '../tiling/stack.ts';
import { type Place, placesOf, roundedFace } from '../tiling/taken-in.ts';
import { lengthText } from './partition-svg.ts';

const JOINS: Readonly<Record<LineEnds, string>> = { round: 'round', sharp: 'miter', flat: 'bevel' };
const CAPS: Readonly<Record<LineEnds, string>> = { round: 'round', sharp: 'square', flat: 'butt' };

/**
 * A layer of one repeat, in millimetres from its upper left corner.
 * @param index  its place among the layers
 * @param pitch  lengths of one repeat in millimetres
 */
export function drawLayer(layer: Layer, index: number, shades: readonly Shade[], pitch: Place): string {
  switch (layer.kind) {
    case 'lines':
      return drawLines(layer, shades, pitch);
    case 'gaps':
      return drawGaps(layer, shades, pitch);
    case 'fade':
      return drawFade(layer, `fade-${index}`, shades, pitch);
    default:
      return layer satisfies never;
  }
}

function drawLines(
  { paths, width, ends, shade }: LinesLayer,
  shades: readonly Shade[],
  pitch: Place,
): string {
  const wide = toNumber(width);
  const reach = (wide / 2) * (ends === 'sharp' ? SHARPEST : 1);
  const d = paths.flatMap(({ points, closed }) => {
    const places = turned(placesOf(points, pitch), pitch);
    return copiesIn(places, pitch, reach).map((copy) => `${pathOf(copy)}${closed ? 'z' : ''}`);
  });
  return (
    `<path fill="none" stroke="${shades[shade]!.hex}" stroke-width="${lengthText(wide)}" stroke-linejoin="${JOINS[ends]}" ` +
    `stroke-linecap="${CAPS[ends]}" stroke-miterlimit="${SHARPEST}" d="${d.join('')}"/>`
  );
}

/** The whole repeat, and in it the faces as holes. */
function drawGaps({ faces, by, corner, shade }: GapsLayer, shades: readonly Shade[], pitch: Place): string {
  const [distance, round] = [toNumber(by), toNumber(corner)];
  const holes = faces.flatMap((corners) => {
    const { middles, radius } = roundedFace(corners, pitch, distance, round);
    return copiesIn(turned(middles, pitch), pitch, radius).map((copy) => holeOf(copy, radius));
  });
  const box = `M0 0H${lengthText(pitch.x)}V${lengthText(pitch.y)}H0z`;
  return `<path fill="${shades[shade]!.hex}" fill-rule="evenodd" d="${box}${holes.join('')}"/>`;
}

/** A face whose corners are arcs round some places, which run clockwise as they are seen. */
function holeOf(middles: readonly Place[], radius: number): string {
  if (radius === 0) return `${pathOf(middles)}z`;
  const sides = middles.map((from, at) => {
    const to = middles[(at + 1) % middles.length]!;
    const length = Math.hypot(to.x - from.x, to.y - from.y);
    // What runs counterclockwise with y upward has its outside, with y downward, to the right of its way turned so.
    const out = { x: (-(to.y - from.y) * radius) / length, y: ((to.x - from.x) * radius) / length };
    return [from, to].map(({ x, y }) => `${lengthText(x + out.x)} ${lengthText(y + out.y)}`) as [
      string,
      string,
    ];
  });
  return `${sides
    .map(([from, to], at) =>
      at === 0 ? `M${from}L${to}` : `A${lengthText(radius)} ${lengthText(radius)} 0 0 0 ${from}L${to}`,
    )
    .join('')}A${lengthText(radius)} ${lengthText(radius)} 0 0 0 ${sides[0]![0]}z`;
}

/** Stops between two shades: viewers mix as bytes, not as light, between those that are given. */
const STOPS = 16;

function drawFade(layer: FadeLayer, id: string, shades: readonly Shade[], pitch: Place): string {
  const stops = stopsOf(layer.shades.map((shade) => shades[shade]!.hex));
  const steps = stops
    .map((hex, at) => `<stop offset="${lengthText(at / (stops.length - 1))}" stop-color="${hex}"/>`)
    .join('');
  const faces = layer.faces.flatMap(({ corners, from, to }) => {
    const outline = turned(placesOf(corners, pitch), pitch);
    const [start, end] = [from, to].map(({ x, y }) => ({ x: x * pitch.x, y: (1 - y) * pitch.y })) as [
      Place,
      Place,
    ];
    return copiesIn([...outline, start, end], pitch, 0);
  });
  return faces
    .map((places, at) => {
      const [start, end] = places.slice(-2) as [Place, Place];
      return (
        `<linearGradient id="${id}-${at}" gradientUnits="userSpaceOnUse" x1="${lengthText(start.x)}" y1="${lengthText(start.y)}" ` +
        `x2="${lengthText(end.x)}" y2="${lengthText(end.y)}">${steps}</linearGradient>` +
        `<path fill="url(#${id}-${at})" d="${pathOf(places.slice(0, -2))}z"/>`
      );
    })
    .join('\n');
}

/** Shades and what lies between them in linear light, at even steps. */
function stopsOf(hexes: readonly string[]): readonly string[] {
  const light = hexes.map((hex) => rgbOf(hex).map((byte) => LINEAR_OF_BYTE[byte]!));
  const between = light.slice(0, -1).flatMap((one, at) =>
    Array.from({ length: STOPS }, (_, step) =>
      one.map((from, channel) => {
        const to = light[at + 1]![channel]!;
        return from + ((to - from) * step) / STOPS;
      }),
    ),
  );
  return [...between, light.at(-1)!].map(
    (channels) =>
      `#${channels.map((value) => BYTE_OF_LINEAR[Math.round(value)]!.toString(16).padStart(2, '0')).join('')}`,
  );
}

/** Places from the upper left corner of the repeat, y downward. */
function turned(places: readonly Place[], pitch: Place): readonly Place[] {
  return places.map(({ x, y }) => ({ x, y: pitch.y - y }));
}

function pathOf(places: readonly Place[]): string {
  return places.map(({ x, y }, at) => `${at === 0 ? 'M' : 'L'}${lengthText(x)} ${lengthText(y)}`).join('');
}
