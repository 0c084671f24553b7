import type { Design } from '../../../core/design/design-schema.ts';
import { type Document, type Face, type Fonts, type Page, POINTS, rgb, runsOf, widthOf } from './pdf-lib.ts';

/** A line of the ticket: what it is, and what it is of this design. */
export type TicketLine = readonly [name: string, value: string];

/** A5, in points. */
const WIDTH = 148 * POINTS;
const HEIGHT = 210 * POINTS;
const EDGE = 14 * POINTS;
const CHIP = 6 * POINTS;
const ROW = 9 * POINTS;

const INK = '#20292b';
const ASH = '#6b7472';

/** Most shades that are shown. */
const MOST_SHADES = 32;

/** A page with what travels with a design: its name and number, its measures, its shades. */
export function addTicket(
  document: Document,
  fonts: Fonts,
  design: Design,
  lines: readonly TicketLine[],
): void {
  const page = document.addPage([WIDTH, HEIGHT]);
  let y = HEIGHT - EDGE - 16;
  writeText(page, fonts.strong, design.name, { x: EDGE, y, size: 18 });
  y -= 16;
  if (design.number !== '') writeText(page, fonts.text, design.number, { x: EDGE, y, size: 10, hex: ASH });
  y -= 22;
  for (const [name, value] of lines) {
    writeText(page, fonts.text, name, { x: EDGE, y, size: 9, hex: ASH });
    writeText(page, fonts.numbers, value, { x: EDGE + 34 * POINTS, y, size: 9 });
    y -= 14;
  }
  y -= ROW;
  design.shades.slice(0, MOST_SHADES).forEach(({ name, hex }, at) => {
    const column = at % 2;
    const x = EDGE + column * (WIDTH / 2 - EDGE);
    const low = y - Math.floor(at / 2) * ROW;
    page.drawRectangle({ x, y: low, width: CHIP, height: CHIP, color: colour(hex) });
    writeText(page, fonts.text, name, { x: x + CHIP + 6, y: low + CHIP - 7, size: 9 });
    writeText(page, fonts.numbers, hex, { x: x + CHIP + 6, y: low + 1, size: 7, hex: ASH });
  });
}

/** Text on a page, no wider than the page is. */
export function writeText(
  page: Page,
  face: Face,
  text: string,
  {
    x,
    y,
    size,
    hex = INK,
  }: { readonly x: number; readonly y: number; readonly size: number; readonly hex?: string },
): void {
  const room = page.getWidth() - x - 8;
  let shown = [...text];
  while (shown.length > 1 && widthOf(face, shown.join(''), size) > room) shown = [...shown.slice(0, -2), '…'];
  let at = x;
  for (const { font, text: part } of runsOf(face, shown.join(''))) {
    page.drawText(part, { x: at, y, size, font, color: colour(hex) });
    at += font.widthOfTextAtSize(part, size);
  }
}

function colour(hex: string) {
  const part = (at: number) => Number.parseInt(hex.slice(at, at + 2), 16) / 255;
  return rgb(part(1), part(3), part(5));
}
