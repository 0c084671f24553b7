import { cornerAt } from '../../faces/check-partition.ts';
import type { Partition } from '../../faces/partition.ts';
import { isVaried } from '../../shape/fill.ts';
import { type Place, placesOf } from '../../shape/places.ts';
import { tracePolygon } from '../../shape/trace.ts';
import { type DrawnWindow, shiftsIntoWindow } from './drawn-window.ts';
import { gradientStops } from './gradient-stops.ts';
import { lengthText } from './length-text.ts';
import type { PicturesSvg } from './picture-svg.ts';
import { turnedDown, writePath } from './svg-path.ts';

/**
 * The faces of one repeat that fade, each with a gradient of its own, and those that show a picture, in millimetres from
 * the upper left corner.
 */
export function* drawVaried(
  partition: Partition,
  { pitch, window }: { readonly pitch: Place; readonly window: DrawnWindow },
  pictures: PicturesSvg,
): Iterable<string> {
  const down = ({ x, y }: Place) => ({ x: x * pitch.x, y: (1 - y) * pitch.y });
  let count = 0;
  for (const { fill, corners } of partition.faces) {
    if (!isVaried(fill)) continue;
    const places = placesOf(
      corners.map((corner) => cornerAt(partition, corner)),
      pitch,
    );
    if (fill.kind === 'picture') {
      for (const shift of shiftsIntoWindow(turnedDown(places, pitch), pitch, window, 0)) {
        const outline = writePath(pitch, shift, (sink) => tracePolygon(places, sink));
        yield* pictures.draw(fill, outline, (place) => {
          const { x, y } = down(place);
          return { x: x + shift.x, y: y + shift.y };
        });
      }
      continue;
    }
    const steps = gradientStops(fill.shades.map((shade) => partition.shades[shade]!.hex));
    const start = down(fill.from);
    const end = down(fill.to);
    for (const shift of shiftsIntoWindow([...turnedDown(places, pitch), start, end], pitch, window, 0)) {
      yield `<linearGradient id="fade-0-${count}" gradientUnits="userSpaceOnUse" ` +
        `x1="${lengthText(start.x + shift.x)}" y1="${lengthText(start.y + shift.y)}" ` +
        `x2="${lengthText(end.x + shift.x)}" y2="${lengthText(end.y + shift.y)}">${steps}</linearGradient>` +
        `<path fill="url(#fade-0-${count})" d="${writePath(pitch, shift, (sink) => tracePolygon(places, sink))}"/>\n`;
      count += 1;
    }
  }
}
