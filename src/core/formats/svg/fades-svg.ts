import { cornerAt } from '../../faces/check-partition.ts';
import type { Partition } from '../../faces/partition.ts';
import { shiftsInto } from '../../shape/copies.ts';
import { type Place, placesOf } from '../../shape/places.ts';
import { tracePolygon } from '../../shape/trace.ts';
import { gradientStops } from './gradient-stops.ts';
import { lengthText } from './length-text.ts';
import { turnedDown, writePath } from './svg-path.ts';

/** The faded faces of one repeat, each with a gradient of its own, in millimetres from the upper left corner. */
export function* drawFades(partition: Partition, pitch: Place): Iterable<string> {
  const down = ({ x, y }: Place) => ({ x: x * pitch.x, y: (1 - y) * pitch.y });
  let count = 0;
  for (const { fill, corners } of partition.faces) {
    if (fill.kind !== 'fade') continue;
    const steps = gradientStops(fill.shades.map((shade) => partition.shades[shade]!.hex));
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
