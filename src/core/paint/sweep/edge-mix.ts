import { WHOLE } from '../row-sums.ts';

/**
 * The shades on both sides of an edge, ready to be mixed. Light of a pixel of which k / WHOLE lies right of the edge is
 * `red` + k · `redChange`, …, half a level included, so that cutting off rounds a half up; exact in doubles.
 */
export class EdgeMix {
  // Every field begins as the kind of number that it holds: the compiler keeps one that began whole as such.
  /** Shades: left of the edge and right of it. */
  back = 0;
  ahead = 0;
  /** A whole pixel of what lies right of it. */
  pixel = 0;
  red = 0.5;
  green = 0.5;
  blue = 0.5;
  redChange = 0.5;
  greenChange = 0.5;
  blueChange = 0.5;
}

/** @param light  three levels a shade */
export function edgeMix(back: number, ahead: number, light: Float64Array, pixel: number): EdgeMix {
  const mix = new EdgeMix();
  const from = back * 3;
  const to = ahead * 3;
  mix.back = back;
  mix.ahead = ahead;
  mix.pixel = pixel;
  mix.red = light[from]! + 0.5;
  mix.green = light[from + 1]! + 0.5;
  mix.blue = light[from + 2]! + 0.5;
  mix.redChange = (light[to]! - light[from]!) / WHOLE;
  mix.greenChange = (light[to + 1]! - light[from + 1]!) / WHOLE;
  mix.blueChange = (light[to + 2]! - light[from + 2]!) / WHOLE;
  return mix;
}
