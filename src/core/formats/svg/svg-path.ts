import type { Place } from '../../shape/places.ts';
import { type Arc, onArc, type Sink } from '../../shape/sink.ts';
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
    arc: (arc) => {
      path += arcText(arc, (angle) => text(onArc(arc, angle)));
    },
    curve: ({ leave, arrive, to }) => {
      path += `C${text(leave)} ${text(arrive)} ${text(to)}`;
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

/** Most that one arc of a path goes round: three quarters, so that it never ends near where it begins. */
const MOST_TURN = 1.5 * Math.PI;

/**
 * An arc, in pieces where it goes far round. With y downward, a way that is counterclockwise with y upward is the one
 * of falling angles, which SVG's sweep flag 0 stands for.
 */
function arcText({ across, up, from, to }: Arc, at: (angle: number) => string): string {
  const radii = `${lengthText(Math.hypot(across.x, across.y))} ${lengthText(Math.hypot(up.x, up.y))}`;
  const turned = (-Math.atan2(across.y, across.x) * 180) / Math.PI;
  const isRising = across.x * up.y - across.y * up.x > 0 === to > from;
  const pieces = Math.max(1, Math.ceil(Math.abs(to - from) / MOST_TURN));
  const step = (to - from) / pieces;
  const flags = `${Math.abs(step) > Math.PI ? 1 : 0} ${isRising ? 0 : 1}`;
  return Array.from(
    { length: pieces },
    (_, piece) => `A${radii} ${lengthText(turned)} ${flags} ${at(from + step * (piece + 1))}`,
  ).join('');
}
