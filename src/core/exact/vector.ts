import type { Rational } from './rational.ts';

/** An exact point or displacement: x to the right, y upward. */
export interface Vector {
  readonly x: Rational;
  readonly y: Rational;
}

/** An exact size. */
export interface Rectangle {
  readonly width: Rational;
  readonly height: Rational;
}
