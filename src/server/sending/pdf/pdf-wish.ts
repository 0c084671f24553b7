import type { Design } from '../../../core/design/design-schema.ts';
import { pixelOf } from '../../../core/design/lay/lay-schema.ts';
import { parseLengthOrNone } from '../../../core/design/tiling/tiling-numbers.ts';
import { type Rational, toNumber } from '../../../core/exact/rational.ts';
import type { Rectangle, Vector } from '../../../core/exact/vector.ts';
import { OVERLAP, type PageWish, type Size } from '../../../core/formats/page/page-plan.ts';
import { parsePaper } from '../../../core/formats/page/paper.ts';
import { sizeOfSheet } from '../../../core/formats/picture-order.ts';
import { nearSize, type RepeatUnit, repeatSize } from '../../../core/repeat/repeat-unit.ts';
import { sheetOf, stretchOf } from '../query-wishes.ts';

/**
 * The pages that a query asks for: `paper`, `bleed`, `marks`, `overlap`, and the size of the cloth as for a sheet. Without a
 * size the cloth fills the paper, and without a paper it is one repeat.
 * @throws CoreError "pdf/paper", or of its lengths
 */
export function pageWishOf(design: Design, unit: RepeatUnit, query: URLSearchParams): PageWish {
  const paper = query.get('paper') ?? '';
  const sheet = sizeOfSheet(unit, sheetOf(design, query));
  const stretch = stretchOf(query);
  const cloth = sheet ?? (paper === '' ? nearSize(repeatSize(unit)!) : undefined);
  return {
    cloth: cloth && grown(cloth, stretch),
    paper: paper === '' ? undefined : sizeOf(parsePaper(paper)),
    bleed: lengthOf(design, query.get('bleed'), 0),
    marks: query.has('marks'),
    overlap: lengthOf(design, query.get('overlap'), OVERLAP),
  };
}

function lengthOf(design: Design, text: string | null, usual: number): number {
  if (text === null || text.trim() === '') return usual;
  return toNumber(parseLengthOrNone(text, pixelOf(design.resolution)));
}

function grown(size: Rectangle, { x, y }: Vector): Size {
  return { width: toNumber(size.width) * toNumber(x), height: toNumber(size.height) * toNumber(y) };
}

function sizeOf({ width, height }: { readonly width: Rational; readonly height: Rational }): Size {
  return { width: toNumber(width), height: toNumber(height) };
}
