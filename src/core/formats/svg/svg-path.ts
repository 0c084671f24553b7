import type { Place } from '../../shape/places.ts';
import { onArc, type Sink } from '../../shape/sink.ts';
import { lengthText } from './length-text.ts';

/**
 * What is traced, as the data of a path in millimetres from the repeat's upper left corner, y downward.
 * @param pitch  lengths of one repeat in millimetres
 * @param shift  by which all of it is moved, y downward
 */
export function writePath(pitch: Place, shift: Place, trace: (sink: Sink) => void): string {
  let path = '';
  const text = ({ x, y }: Place) => `${lengthText(x + shift.x)} ${lengthText(pitch.y - y + shift.y)}`;
  trace({
    move: (place) => {
      path += `M${text(place)}`;
    },
    line: (place) => {
      path += `L${text(place)}`;
    },
    // With y downward, counterclockwise is the way of falling angles, which SVG's sweep flag 0 stands for.
    arc: (arc) => {
      const radius = lengthText(arc.radius);
      path += `A${radius} ${radius} 0 0 0 ${text(onArc(arc, arc.to))}`;
    },
    close: () => {
      path += 'z';
    },
  });
  return path;
}

/** Places from the upper left corner of the repeat, y downward. */
export function turnedDown(places: readonly Place[], pitch: Place): readonly Place[] {
  return places.map(({ x, y }) => ({ x, y: pitch.y - y }));
}
