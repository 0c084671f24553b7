import { add, divide, floor, multiply, type Rational, rational, subtract } from '../../exact/rational.ts';
import { rationalOf } from '../../exact/surd.ts';
import type { Vector } from '../../exact/vector.ts';
import { type BoxLay, inBoxes, stepsOf } from './arranged.ts';
import type { BoxStand } from './group-blocks.ts';

/** A box of an upright repeat: its lower left in boxes, and how it stands there. */
export interface StandingBox extends Vector {
  readonly stand: BoxStand;
}

/** The boxes of one upright repeat. */
export interface BoxPlaces {
  /** Boxes of the repeat across and up; fractions where ways are. */
  readonly across: Rational;
  readonly up: Rational;
  readonly places: readonly StandingBox[];
  /** The diagonal that every box is mirrored in itself, where half of it is what is copied. */
  readonly half: 'diagonal' | 'other' | undefined;
}

/** @throws CoreError as `stepsOf` */
export function placesOf({ ways, copies }: BoxLay): BoxPlaces {
  const { upright, steps } = stepsOf([inBoxes(ways[0]), inBoxes(ways[1])]);
  const across = rationalOf(upright.width)!;
  const up = rationalOf(upright.height)!;
  const [first] = copies;
  const beside = copies.find(
    (copy) => copy !== first && copy.right === first!.right && copy.up === first!.up,
  );
  const half = beside === undefined ? undefined : (beside.stand as BoxPlaces['half']);
  const seen = new Set<string>();
  const boxes = copies.filter(({ right, up: high }) => {
    const name = `${right} ${high}`;
    if (seen.has(name)) return false;
    seen.add(name);
    return true;
  });
  const places = steps.flatMap(([i, j]) =>
    boxes.map(({ right, up: high, stand }) => ({
      x: into(sumOf(i, ways[0].x, j, ways[1].x, right), across),
      y: into(sumOf(i, ways[0].y, j, ways[1].y, high), up),
      stand,
    })),
  );
  return { across, up, places, half };
}

function sumOf(i: number, one: Rational, j: number, other: Rational, more: number): Rational {
  return add(add(multiply(one, rational(i)), multiply(other, rational(j))), rational(more));
}

/** Moved by whole lengths to 0 … length. */
function into(value: Rational, length: Rational): Rational {
  const times = floor(divide(value, length));
  return subtract(value, multiply(length, rational(times)));
}
