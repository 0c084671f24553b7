import { compile } from '../../../core/design/compile-design.ts';
import type { Design } from '../../../core/design/design-schema.ts';
import { CoreError } from '../../../core/error.ts';
import { divide, type Rational, rational, toText } from '../../../core/exact/rational.ts';
import { A_PAGE, parseCollectionScale } from '../../../core/formats/page/collection.ts';
import { repeatSize } from '../../../core/repeat/repeat-unit.ts';
import type { Pictures } from '../../../core/shape/picture.ts';
import { parseResolution } from '../../../core/units/resolution.ts';
import { sizeText } from '../../../wording/measures.ts';
import { clothOf } from '../pdf/cloth-blocks.ts';
import { nameDocument } from '../pdf/name-document.ts';
import {
  type Document,
  embedFonts,
  type Fonts,
  type Page,
  PDFDocument,
  POINTS,
  rgb,
  widthOf,
} from '../pdf/pdf-lib.ts';
import { showCloth } from '../pdf/show-cloth.ts';
import { writeText } from '../pdf/ticket-page.ts';
import { PAGE, PLACES } from './collection-plan.ts';

/** Designs that go together, on pages. */
export interface Collection {
  readonly title: string;
  readonly designs: readonly { readonly design: Design; readonly pictures: Pictures }[];
  /** Part of its true size at which all cloth is shown, such as "50%". */
  readonly scale: string;
  readonly at: Date;
}

/** Most designs of one file. */
const MOST = 200;

/** Most shades that are shown of one design. */
const MOST_CHIPS = 14;

const EDGE = 14;

/**
 * A collection sheet: designs on pages at one common scale, so that their densities can be compared, each with its name, number,
 * repeat and shades. A design that does not repeat has its place and says so.
 * @throws CoreError "collection/empty" | "collection/too-many" {most} | "collection/scale" {text}
 */
export async function collectionFile(
  { title, designs, scale, at }: Collection,
  told: (made: number, of: number) => void = () => {},
): Promise<Uint8Array> {
  if (designs.length === 0) throw new CoreError('collection/empty', {});
  if (designs.length > MOST) throw new CoreError('collection/too-many', { most: MOST });
  const part = parseCollectionScale(scale);
  const document = await PDFDocument.create();
  nameDocument(document, { title, at });
  const fonts = await embedFonts(document);
  const pages = Math.ceil(designs.length / A_PAGE);
  let page: Page | undefined;
  for (const [index, { design, pictures }] of designs.entries()) {
    if (page === undefined || index % A_PAGE === 0) {
      page = document.addPage([PAGE.width * POINTS, PAGE.height * POINTS]);
      addHead(page, fonts, {
        title,
        scale: `${toText(scaled(part, 100))} % of true size`,
        sheet: Math.floor(index / A_PAGE) + 1,
        pages,
      });
    }
    addDesign(document, page, fonts, { design, pictures, part, place: index % A_PAGE });
    told(index + 1, designs.length);
  }
  return document.save({ useObjectStreams: true });
}

function scaled(part: Rational, times: number): Rational {
  return divide(part, rational(1, times));
}

interface Head {
  readonly title: string;
  readonly scale: string;
  readonly sheet: number;
  readonly pages: number;
}

function addHead(page: Page, fonts: Fonts, { title, scale, sheet, pages }: Head): void {
  const y = (PAGE.height - EDGE) * POINTS - 14;
  writeText(page, fonts.strong, title, { x: EDGE * POINTS, y, size: 18 });
  const words = `${scale}, sheet ${sheet} of ${pages}`;
  const x = (PAGE.width - EDGE) * POINTS - widthOf(fonts.text, words, 9);
  writeText(page, fonts.text, words, { x, y, size: 9, hex: '#6b7472' });
}

interface Placed {
  readonly design: Design;
  readonly pictures: Pictures;
  readonly part: Rational;
  readonly place: number;
}

function addDesign(
  document: Document,
  page: Page,
  fonts: Fonts,
  { design, pictures, part, place }: Placed,
): void {
  const box = PLACES[place]!;
  const x = box.x * POINTS;
  let y = box.y * POINTS;
  const size = addCloth(document, page, { design, pictures, part, place });
  y -= 13;
  writeText(page, fonts.strong, design.name, { x, y, size: 10.5 });
  y -= 11;
  const facts = [design.number, size ?? 'does not repeat'].filter((text) => text !== '').join(' · ');
  writeText(page, fonts.text, facts.replace('≈', 'about'), { x, y, size: 8, hex: '#6b7472' });
  y -= 15;
  design.shades.slice(0, MOST_CHIPS).forEach(({ hex }, at) => {
    const channel = (from: number) => Number.parseInt(hex.slice(from, from + 2), 16) / 255;
    const color = rgb(channel(1), channel(3), channel(5));
    page.drawRectangle({ x: x + at * 16, y, width: 12, height: 12, color });
  });
}

/** @returns the repeat's size in words; undefined where there is none */
function addCloth(
  document: Document,
  page: Page,
  { design, pictures, part, place }: Placed,
): string | undefined {
  const box = PLACES[place]!;
  try {
    const unit = compile(design, pictures);
    const cloth = clothOf(document, unit, {
      scale: { dpi: parseResolution(design.resolution) },
      look: { look: 'flat', mixing: 'light' },
      stretch: { x: part, y: part },
    });
    showCloth(document, page, { cloth, area: box, corner: { x: box.x, y: box.y + box.height } });
    return sizeText(repeatSize(unit)!, design.lay.unit);
  } catch (error) {
    if (!(error instanceof CoreError)) throw error;
    return undefined;
  }
}
