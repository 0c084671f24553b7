import { A_PAGE, ACROSS, DOWN } from '../../../core/formats/page/collection.ts';
import type { Box, Size } from '../../../core/formats/page/page-plan.ts';

/** A4, in millimetres. Source: ISO 216. */
export const PAGE: Size = { width: 210, height: 297 };

const EDGE = 14;
const HEAD = 16;
const GAP = 8;

/** Room under each picture of cloth for what is said of it. */
const CAPTION = 25;

/** Where the cloth of each design of a page lies, from the upper left, row by row. In millimetres, y upward. */
export const PLACES: readonly Box[] = Array.from({ length: A_PAGE }, (_, at) => {
  const width = (PAGE.width - 2 * EDGE - (ACROSS - 1) * GAP) / ACROSS;
  const whole = (PAGE.height - 2 * EDGE - HEAD - (DOWN - 1) * GAP) / DOWN;
  const column = at % ACROSS;
  const row = Math.floor(at / ACROSS);
  const height = whole - CAPTION;
  return {
    x: EDGE + column * (width + GAP),
    y: PAGE.height - EDGE - HEAD - row * (whole + GAP) - height,
    width,
    height,
  };
});
