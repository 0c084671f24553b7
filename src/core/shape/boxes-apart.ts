/** Upright boxes: left, top, right and bottom of each. */
export type Boxes = Float64Array;

/** Boxes in one square of the grid up to which they are compared. */
const MOST = 48;

/** Squares of the grid, beside the boxes' number. */
const SQUARES = 2;

/**
 * What touches nothing else, by the box round each: 1 for what surely does not. Only those in one square of a grid are
 * compared; in a crowded square none is called apart.
 *
 * @param size   of the area, in the unit of the boxes; what lies beyond counts as at its border
 * @param touch  asked of two of which the boxes touch, by their indexes
 */
export function boxesApart(
  boxes: Boxes,
  size: { readonly width: number; readonly height: number },
  touch: (one: number, other: number) => boolean = () => true,
): Uint8Array {
  const count = boxes.length / 4;
  const apart = new Uint8Array(count).fill(1);
  if (count < 2) return apart;
  const side = Math.sqrt((size.width * size.height) / (count * SQUARES));
  const columns = Math.max(1, Math.ceil(size.width / side));
  const rows = Math.max(1, Math.ceil(size.height / side));
  const squareAt = (value: number, most: number) => Math.min(most - 1, Math.max(0, Math.floor(value / side)));
  const eachSquare = (box: number, give: (square: number) => void) => {
    const right = squareAt(boxes[box * 4 + 2]!, columns);
    const bottom = squareAt(boxes[box * 4 + 3]!, rows);
    for (let y = squareAt(boxes[box * 4 + 1]!, rows); y <= bottom; y += 1) {
      for (let x = squareAt(boxes[box * 4]!, columns); x <= right; x += 1) give(y * columns + x);
    }
  };
  // Sorted by squares: counted first, then put in their places.
  const firstIn = new Int32Array(columns * rows + 1);
  for (let box = 0; box < count; box += 1) eachSquare(box, (square) => (firstIn[square + 1]! += 1));
  for (let square = 0; square < columns * rows; square += 1) firstIn[square + 1]! += firstIn[square]!;
  const places = firstIn.slice();
  const sorted = new Int32Array(firstIn.at(-1)!);
  for (let box = 0; box < count; box += 1) eachSquare(box, (square) => (sorted[places[square]!++] = box));
  for (let square = 0; square < columns * rows; square += 1) {
    compare(sorted.subarray(firstIn[square]!, firstIn[square + 1]!), boxes, apart, touch);
  }
  return apart;
}

function compare(
  some: Int32Array,
  boxes: Boxes,
  apart: Uint8Array,
  touch: (one: number, other: number) => boolean,
): void {
  if (some.length > MOST) {
    for (const box of some) apart[box] = 0;
    return;
  }
  for (let at = 1; at < some.length; at += 1) {
    for (let before = 0; before < at; before += 1) {
      const one = some[at]!;
      const other = some[before]!;
      if (apart[one] === 0 && apart[other] === 0) continue;
      if (!boxesTouch(boxes, one * 4, other * 4) || !touch(one, other)) continue;
      apart[one] = 0;
      apart[other] = 0;
    }
  }
}

function boxesTouch(boxes: Boxes, one: number, other: number): boolean {
  return (
    boxes[one]! <= boxes[other + 2]! &&
    boxes[other]! <= boxes[one + 2]! &&
    boxes[one + 1]! <= boxes[other + 3]! &&
    boxes[other + 1]! <= boxes[one + 3]!
  );
}
