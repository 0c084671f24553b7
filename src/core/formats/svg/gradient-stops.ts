import { rgbOf } from '../../colour/hex.ts';
import { BYTE_OF_LINEAR, LINEAR_OF_BYTE } from '../../colour/linear.ts';
import { lengthText } from './length-text.ts';

/** Stops between two shades: viewers mix as bytes, not as light, between those that are given. */
const STOPS = 16;

/** The stops of a gradient through colours at even steps. */
export function gradientStops(hexes: readonly string[]): string {
  const stops = stopsOf(hexes);
  return stops
    .map((hex, at) => `<stop offset="${lengthText(at / (stops.length - 1))}" stop-color="${hex}"/>`)
    .join('');
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
