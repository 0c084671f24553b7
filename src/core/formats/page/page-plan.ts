import { CoreError } from '../../error.ts';

/** Millimetres. */
export interface Size {
  readonly width: number;
  readonly height: number;
}

/** A rectangle on a page, in millimetres from its lower left corner, y upward. */
export interface Box extends Size {
  readonly x: number;
  readonly y: number;
}

/** What is wished of the pages. All in millimetres. */
export interface PageWish {
  /** The piece of cloth that is printed; left out, as large as the paper. */
  readonly cloth: Size | undefined;
  /** Left out, a page is as large as the cloth and what lies around it. */
  readonly paper: Size | undefined;
  /** How far the cloth goes on beyond where it is cut. */
  readonly bleed: number;
  /** Whether marks show where it is cut. */
  readonly marks: boolean;
  /** By how much pages that are put together lie over each other. */
  readonly overlap: number;
}

/** One page. */
export interface PlannedPage {
  readonly size: Size;
  /** Where it is cut, or where the next page goes on. */
  readonly trim: Box;
  /** How far the cloth is printed. */
  readonly bleed: Box;
  /** Where the upper left corner of the whole cloth lies; beyond the page for most of several. */
  readonly corner: { readonly x: number; readonly y: number };
  /** Which of several it is, from the upper left, from 1; undefined for a single page. */
  readonly part: { readonly row: number; readonly column: number } | undefined;
}

/** How many pages, across and down, and each of them. */
export interface PagePlan {
  readonly across: number;
  readonly down: number;
  readonly pages: readonly PlannedPage[];
}

/** Room beside the bleed for crop marks: a gap, and the mark. */
const MARK_GAP = 2;
const MARK_LENGTH = 6;

/** What printers at home leave empty along a page's edges (common practice). */
const EDGE = 10;

/** What pages that are put together lie over each other by when nothing is said. */
export const OVERLAP = 10;

/** Most pages of one file. */
const MOST_PAGES = 400;

/**
 * How cloth is set on pages. Cloth that is larger than the paper is laid over several, which lie over each other by the
 * overlap when they are put together; they need no bleed between them.
 *
 * @throws CoreError "pdf/bleed" {bleed} | "pdf/small" {least} | "pdf/pages" {pages, most}
 */
export function planPages({ cloth, paper, bleed, marks, overlap }: PageWish): PagePlan {
  if (!(bleed >= 0)) throw new CoreError('pdf/bleed', { bleed });
  const around = bleed + (marks ? MARK_GAP + MARK_LENGTH : 0);
  const trim = cloth ?? paper;
  if (trim === undefined) throw new Error('neither cloth nor paper');
  if (2 * bleed >= Math.min(paper?.width ?? trim.width, paper?.height ?? trim.height)) {
    throw new CoreError('pdf/bleed', { bleed });
  }
  if (paper === undefined || cloth === undefined) {
    const size = { width: trim.width + 2 * around, height: trim.height + 2 * around };
    return single(size, trim, bleed);
  }
  const fitting = [paper, turned(paper)].find(
    ({ width, height }) => cloth.width + 2 * around <= width && cloth.height + 2 * around <= height,
  );
  if (fitting !== undefined) return single(fitting, cloth, bleed);
  const upright = several(cloth, paper, bleed, overlap);
  const lying = several(cloth, turned(paper), bleed, overlap);
  const fewer = lying.pages.length < upright.pages.length ? lying : upright;
  if (fewer.pages.length > MOST_PAGES) {
    throw new CoreError('pdf/pages', { pages: fewer.pages.length, most: MOST_PAGES });
  }
  return fewer;
}

function turned({ width, height }: Size): Size {
  return { width: height, height: width };
}

/** One page, the cloth in its middle. */
function single(size: Size, cloth: Size, bleed: number): PagePlan {
  const trim = {
    x: (size.width - cloth.width) / 2,
    y: (size.height - cloth.height) / 2,
    width: cloth.width,
    height: cloth.height,
  };
  const corner = { x: trim.x, y: trim.y + trim.height };
  return { across: 1, down: 1, pages: [{ size, trim, bleed: grown(trim, bleed), corner, part: undefined }] };
}

/** Pages from the upper left, row by row. The cloth's bleed is part of what they show. */
function several(cloth: Size, paper: Size, bleed: number, overlap: number): PagePlan {
  const room = { width: paper.width - 2 * EDGE, height: paper.height - 2 * EDGE };
  const step = { width: room.width - overlap, height: room.height - overlap };
  if (!(overlap >= 0 && step.width > 0 && step.height > 0)) {
    throw new CoreError('pdf/small', { least: 2 * EDGE + overlap });
  }
  const shown = { width: cloth.width + 2 * bleed, height: cloth.height + 2 * bleed };
  const count = (side: 'width' | 'height') =>
    Math.max(1, Math.ceil((shown[side] - overlap) / step[side] - 1e-9));
  const across = count('width');
  const down = count('height');
  if (across * down > MOST_PAGES)
    throw new CoreError('pdf/pages', { pages: across * down, most: MOST_PAGES });
  const pages = Array.from({ length: Math.min(across * down, MOST_PAGES + 1) }, (_, at): PlannedPage => {
    const column = at % across;
    const row = Math.floor(at / across);
    const from = { x: column * step.width, y: row * step.height };
    const width = Math.min(room.width, shown.width - from.x);
    const height = Math.min(room.height, shown.height - from.y);
    const box = { x: EDGE, y: paper.height - EDGE - height, width, height };
    const corner = { x: EDGE - from.x + bleed, y: paper.height - EDGE + from.y - bleed };
    return {
      size: paper,
      trim: common(box, { x: corner.x, y: corner.y - cloth.height, ...cloth }),
      bleed: box,
      corner,
      part: { row: row + 1, column: column + 1 },
    };
  });
  return { across, down, pages };
}

/** What lies in both of two boxes. */
function common(one: Box, other: Box): Box {
  const x = Math.max(one.x, other.x);
  const y = Math.max(one.y, other.y);
  const width = Math.max(0, Math.min(one.x + one.width, other.x + other.width) - x);
  const height = Math.max(0, Math.min(one.y + one.height, other.y + other.height) - y);
  return { x, y, width, height };
}

function grown({ x, y, width, height }: Box, by: number): Box {
  return { x: x - by, y: y - by, width: width + 2 * by, height: height + 2 * by };
}

/** A line on a page, in millimetres from its lower left corner. */
export type MarkLine = readonly [fromX: number, fromY: number, toX: number, toY: number];

/** Crop marks: two lines at each corner of where the page is cut, outside its bleed. */
export function cropMarks({ trim, bleed }: PlannedPage): readonly MarkLine[] {
  const lines: MarkLine[] = [];
  const left = bleed.x - MARK_GAP;
  const right = bleed.x + bleed.width + MARK_GAP;
  const low = bleed.y - MARK_GAP;
  const high = bleed.y + bleed.height + MARK_GAP;
  for (const y of [trim.y, trim.y + trim.height]) {
    lines.push([left, y, left - MARK_LENGTH, y], [right, y, right + MARK_LENGTH, y]);
  }
  for (const x of [trim.x, trim.x + trim.width]) {
    lines.push([x, low, x, low - MARK_LENGTH], [x, high, x, high + MARK_LENGTH]);
  }
  return lines;
}

/** Marks in the empty edge of a page of several, where the next page's cloth begins. */
export function joinMarks(
  { bleed, part }: PlannedPage,
  plan: PagePlan,
  overlap: number,
): readonly MarkLine[] {
  if (part === undefined) return [];
  const lines: MarkLine[] = [];
  const right = bleed.x + bleed.width;
  const high = bleed.y + bleed.height;
  if (part.column < plan.across) {
    const x = right - overlap;
    lines.push([x, high + 1, x, high + MARK_LENGTH], [x, bleed.y - 1, x, bleed.y - MARK_LENGTH]);
  }
  if (part.row < plan.down) {
    const y = bleed.y + overlap;
    lines.push([bleed.x - 1, y, bleed.x - MARK_LENGTH, y], [right + 1, y, right + MARK_LENGTH, y]);
  }
  return lines;
}
