import type { Box } from '../../../core/formats/page/page-plan.ts';
import { pdfNumber } from '../../../core/formats/pdf/path-operators.ts';
import type { Cloth } from './cloth-blocks.ts';
import { type Document, type Page, PDFDict, PDFName, POINTS } from './pdf-lib.ts';

/** A piece of cloth on a page, in millimetres. */
export interface ShownCloth {
  readonly cloth: Cloth;
  readonly area: Box;
  /** Where the upper left corner of a repeat lies. */
  readonly corner: { readonly x: number; readonly y: number };
}

/**
 * Fills an area of a page with cloth, block by block, each at its true place: readers round what a pattern repeats by, and
 * are millimetres off a metre further on.
 * @param unit  points of one of the page's units
 */
export function showCloth(
  document: Document,
  page: Page,
  { cloth, area, corner }: ShownCloth,
  unit = 1,
): void {
  const { Resources: resources } = page.node.normalizedEntries();
  const known = resources.lookup(PDFName.of('XObject'));
  const shown = known instanceof PDFDict ? known : document.context.obj({});
  const name = `Cloth${shown.keys().length}`;
  shown.set(PDFName.of(name), cloth.shown);
  resources.set(PDFName.of('XObject'), shown);
  const show = cloth.operators.replace('/Block', `/${name}`);
  const points = (millimetres: number) => millimetres * POINTS;
  const left = points(corner.x);
  const top = points(corner.y);
  const blocks = (from: number, length: number, side: number) => ({
    first: Math.floor(from / side),
    last: Math.ceil((from + length) / side) - 1,
  });
  const across = blocks(points(area.x) - left, points(area.width), cloth.width);
  const down = blocks(top - points(area.y + area.height), points(area.height), cloth.height);
  const box = [area.x, area.y, area.width, area.height].map((each) => pdfNumber(points(each) / unit));
  const parts = [`q ${box.join(' ')} re W n ${pdfNumber(1 / unit)} 0 0 ${pdfNumber(1 / unit)} 0 0 cm\n`];
  for (let y = down.first; y <= down.last; y += 1) {
    for (let x = across.first; x <= across.last; x += 1) {
      const place = [left + x * cloth.width, top - (y + 1) * cloth.height].map(pdfNumber).join(' ');
      parts.push(`q 1 0 0 1 ${place} cm ${show} Q\n`);
    }
  }
  addOperators(document, page, `${parts.join('')}Q\n`);
}

/** Adds operators to a page's content. */
export function addOperators({ context }: Document, page: Page, operators: string): void {
  page.node.addContentStream(context.register(context.flateStream(operators)));
}
