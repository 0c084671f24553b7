import type { Design } from '../../../core/design/design-schema.ts';
import {
  type Box,
  cropMarks,
  joinMarks,
  type MarkLine,
  type PagePlan,
  type PageWish,
  type PlannedPage,
} from '../../../core/formats/page/page-plan.ts';
import { pdfNumber } from '../../../core/formats/pdf/path-operators.ts';
import type { RepeatUnit } from '../../../core/repeat/repeat-unit.ts';
import { type Cloth, type ClothLook, clothOf } from './cloth-blocks.ts';
import { nameDocument } from './name-document.ts';
import {
  type Document,
  embedFonts,
  type Fonts,
  type Page,
  PDFDocument,
  PDFName,
  PDFNumber,
  POINTS,
} from './pdf-lib.ts';
import { addOperators, showCloth } from './show-cloth.ts';
import { addTicket, type TicketLine, writeText } from './ticket-page.ts';

/** A PDF as it is asked for. */
export interface PdfOrder {
  /** As its ticket shows it. */
  readonly design: Design;
  readonly unit: RepeatUnit;
  readonly plan: PagePlan;
  /** As the pages were planned by. */
  readonly wish: PageWish;
  readonly look: ClothLook;
  /** Lines of the ticket page; undefined for none. */
  readonly ticket: ((kind: Cloth['kind'], plan: PagePlan) => readonly TicketLine[]) | undefined;
  /** When it is made. */
  readonly at: Date;
}

/** Longest side of a page without a unit of its own, in points. Source: ISO 32000-1, annex C. */
const MOST_POINTS = 14_400;

/**
 * Cloth at true size on pages, a block of repeats once, set side by side.
 * @param told  hears how many pages there are
 * @throws CoreError as `clothOf`
 */
export async function writePdf(
  order: PdfOrder,
  told: (made: number, of: number) => void,
): Promise<Uint8Array> {
  const { design, unit, plan, wish, look, ticket, at } = order;
  const document = await PDFDocument.create();
  nameDocument(document, { title: design.name, number: design.number, at });
  const fonts = await embedFonts(document);
  const cloth = clothOf(document, unit, look);
  plan.pages.forEach((planned, index) => {
    addPage(document, planned, { cloth, fonts, plan, wish });
    told(index + 1, plan.pages.length);
  });
  if (ticket !== undefined) addTicket(document, fonts, design, ticket(cloth.kind, plan));
  return document.save({ useObjectStreams: true });
}

interface PageRoom {
  readonly cloth: Cloth;
  readonly fonts: Fonts;
  readonly plan: PagePlan;
  readonly wish: PageWish;
}

function addPage(document: Document, planned: PlannedPage, { cloth, fonts, plan, wish }: PageRoom): void {
  const { width, height } = planned.size;
  // A very large page is measured in a longer unit. Source: ISO 32000-1, 14.11.2.
  const unit = Math.max(1, Math.ceil((Math.max(width, height) * POINTS) / MOST_POINTS));
  const points = (millimetres: number) => (millimetres * POINTS) / unit;
  const page = document.addPage([points(width), points(height)]);
  if (unit > 1) page.node.set(PDFName.of('UserUnit'), PDFNumber.of(unit));
  const box = ({ x, y, width: wide, height: high }: Box) =>
    [points(x), points(y), points(wide), points(high)] as const;
  page.setTrimBox(...box(planned.trim));
  page.setBleedBox(...box(planned.bleed));
  const { corner, bleed } = planned;
  showCloth(document, page, { cloth, area: bleed, corner }, unit);
  const marks = [...(wish.marks ? cropMarks(planned) : []), ...joinMarks(planned, plan, wish.overlap)];
  const lines = marks.map((line) => lineOf(line, points)).join('');
  addOperators(document, page, `q 0 0 0 RG ${pdfNumber(points(0.1))} w ${lines}Q\n`);
  if (planned.part !== undefined) label(page, fonts, planned.part, plan);
}

function lineOf([fromX, fromY, toX, toY]: MarkLine, points: (millimetres: number) => number): string {
  const at = (x: number, y: number) => `${pdfNumber(points(x))} ${pdfNumber(points(y))}`;
  return `${at(fromX, fromY)} m ${at(toX, toY)} l S `;
}

function label(
  page: Page,
  fonts: Fonts,
  { row, column }: NonNullable<PlannedPage['part']>,
  plan: PagePlan,
): void {
  const text = `row ${row} of ${plan.down}, column ${column} of ${plan.across} · print at 100 %`;
  writeText(page, fonts.text, text, { x: 12 * POINTS, y: 3 * POINTS, size: 7 });
}
