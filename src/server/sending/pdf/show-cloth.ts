import type { Box } from '../../../core/formats/page/page-plan.ts';
import { pdfNumber } from '../../../core/formats/pdf/path-operators.ts';
import type { Cloth } from './cloth-pattern.ts';
import { type Document, type Page, PDFDict, PDFName, POINTS } from './pdf-lib.ts';

/** A piece of cloth on a page, in millimetres. */
export interface ShownCloth {
  readonly cloth: Cloth;
  readonly area: Box;
  /** Where the upper left corner of a repeat lies. */
  readonly corner: { readonly x: number; readonly y: number };
}

/** Fills an area of a page with cloth. @param unit  points of one of the page's units */
export function showCloth(
  document: Document,
  page: Page,
  { cloth, area, corner }: ShownCloth,
  unit = 1,
): void {
  const points = (millimetres: number) => (millimetres * POINTS) / unit;
  const { Resources: resources } = page.node.normalizedEntries();
  const known = resources.lookup(PDFName.of('Pattern'));
  const patterns = known instanceof PDFDict ? known : document.context.obj({});
  const name = `Cloth${patterns.keys().length}`;
  patterns.set(PDFName.of(name), cloth.patternAt({ x: points(corner.x), y: points(corner.y) }, unit));
  resources.set(PDFName.of('Pattern'), patterns);
  const box = [area.x, area.y, area.width, area.height].map((each) => pdfNumber(points(each))).join(' ');
  addOperators(document, page, `q /Pattern cs /${name} scn ${box} re f Q\n`);
}

/** Adds operators to a page's content. */
export function addOperators({ context }: Document, page: Page, operators: string): void {
  page.node.addContentStream(context.register(context.flateStream(operators)));
}
