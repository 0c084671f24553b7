import { rgbOf } from '../../colour/hex.ts';
import { BYTE_OF_LINEAR, LINEAR_OF_BYTE } from '../../colour/linear.ts';
import { cornerAt } from '../../faces/check-partition.ts';
import type { Partition } from '../../faces/partition.ts';
import { shiftsInto } from '../../shape/copies.ts';
import { type Place, placesOf } from '../../shape/places.ts';
import { tracePolygon } from '../../shape/trace.ts';
import { lengthText } from './length-text.ts';
import { turnedDown, writePath } from './svg-path.ts';

/** Stops between two shades: viewers mix as bytes, not as light, between those that are given. */
const STOPS = 16;

/** The faded faces of one repeat, each with a gradient of its own, in millimetres from the upper left corner. */
export function* drawFades(partition: Partition, pitch: Place): Iterable<string> {
  const down = ({ x, y }: Place) => ({ x: x * pitch.x, y: (1 - y) * pitch.y });
  let count = 0;
  for (const { fill, corners } of partition.faces) {
    if (fill.kind !== 'fade') continue;
    const stops = stopsOf(fill.shades.map((shade) => partition.shades[shade]!.hex));
    const steps = stops
      .map((hex, at) => `<stop offset="${lengthText(at / (stops.length - 1))}" stop-color="${hex}"/>`)
      .join('');
    const places = placesOf(
      corners.map((corner) => cornerAt(partition, corner)),
      pitch,
    );
    const start = down(fill.from);
    const end = down(fill.to);
    for (const shift of shiftsInto([...turnedDown(places, pitch), start, end], pitch, 0)) {
      yield `<linearGradient id="fade-0-${count}" gradientUnits="userSpaceOnUse" ` +
        `x1="${lengthText(start.x + shift.x)}" y1="${lengthText(start.y + shift.y)}" ` +
        `x2="${lengthText(end.x + shift.x)}" y2="${lengthText(end.y + shift.y)}">${steps}</linearGradient>` +
        `<path fill="url(#fade-0-${count})" d="${writePath(pitch, shift, (sink) => tracePolygon(places, sink))}"/>\n`;
      count += 1;
    }
  }
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
