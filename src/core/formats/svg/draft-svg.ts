import type { Interlacing } from '../../thread/weave.ts';
import { draftSize } from '../../thread/weaves/draft.ts';
import { type Draft, MAX_TREADLES } from '../../thread/weaves/weave-spec.ts';
import { escapeXml } from './escape-xml.ts';

/** What is drawn on squared paper. */
export interface DraftDrawing {
  readonly structure: Interlacing;
  /** Left out, only the structure is drawn. */
  readonly draft?: Draft | undefined;
  /** One colour an end and a pick, "#rrggbb"; left out, none are drawn. */
  readonly colours?: { readonly warp: readonly string[]; readonly weft: readonly string[] } | undefined;
  readonly title: string;
}

/** Millimetres of a square. */
const SQUARE = 3;

/** Squares between two parts. */
const GAP = 1;

/**
 * A structure on squared paper, a heavier line every eight squares from the lower left, with threading above, treadling
 * beside and the tie-up in the corner, or the lift plan beside where it has more lifts than treadles: the trade's usual
 * places. One user unit is one square.
 */
export function draftToSvg({ structure, draft, colours, title }: DraftDrawing): string {
  const { ends, picks } = structure;
  const size = draft === undefined ? { shafts: 0, treadles: 0 } : draftSize(draft);
  const strip = colours === undefined ? 0 : 1.5;
  const top = strip + (draft === undefined ? 0 : size.shafts + GAP);
  const right = ends + GAP;
  const byLifts = size.treadles > MAX_TREADLES;
  const beside = byLifts ? size.shafts : size.treadles;
  const width = ends + (draft === undefined ? 0 : GAP + beside) + strip;
  const height = top + picks;
  const filled: string[] = [];
  structure.up.forEach((up, at) => {
    if (up === 1) filled.push(square(at % ends, top + picks - 1 - Math.floor(at / ends)));
  });
  const parts = [paper(0, top, ends, picks), path('#20292b', filled)];
  if (draft !== undefined) {
    const shaftRow = (shaft: number) => strip + size.shafts - shaft;
    parts.push(
      paper(0, strip, ends, size.shafts),
      path(
        '#20292b',
        draft.threading.map((shaft, end) => square(end, shaftRow(shaft))),
      ),
    );
    const pickRow = (pick: number) => top + picks - 1 - pick;
    if (byLifts) {
      const lifted = draft.treadling.flatMap((treadle, pick) =>
        draft.tieup[treadle - 1]!.map((shaft) => square(right + shaft - 1, pickRow(pick))),
      );
      parts.push(paper(right, top, beside, picks), path('#20292b', lifted));
    } else {
      const ties = draft.tieup.flatMap((lifted, treadle) =>
        lifted.map((shaft) => square(right + treadle, shaftRow(shaft))),
      );
      const trod = draft.treadling.map((treadle, pick) => square(right + treadle - 1, pickRow(pick)));
      parts.push(
        paper(right, strip, beside, size.shafts),
        path('#2c5f7c', ties),
        paper(right, top, beside, picks),
        path('#20292b', trod),
      );
    }
  }
  if (colours !== undefined) {
    const last = width - 1;
    parts.push(
      ...colours.warp.map((hex, end) => `<rect x="${end}" y="0" width="1" height="1" fill="${hex}"/>`),
      ...colours.weft.map(
        (hex, pick) => `<rect x="${last}" y="${top + picks - 1 - pick}" width="1" height="1" fill="${hex}"/>`,
      ),
    );
  }
  // Lines on the outer edges need half their breadth of room.
  return (
    `<svg xmlns="http://www.w3.org/2000/svg" width="${millimetres(width)}mm" height="${millimetres(height)}mm" ` +
    `viewBox="-0.1 -0.1 ${width + 0.2} ${height + 0.2}">\n<title>${escapeXml(title)}</title>\n${parts.join('\n')}\n</svg>\n`
  );
}

function square(x: number, y: number): string {
  return `M${x} ${y}h1v1h-1z`;
}

function path(fill: string, squares: readonly string[]): string {
  return squares.length === 0 ? '' : `<path fill="${fill}" d="${squares.join('')}"/>`;
}

function paper(left: number, top: number, columns: number, rows: number): string {
  const lines = (heavy: boolean) => {
    const across = Array.from({ length: columns + 1 }, (_, column) => column)
      .filter((column) => (column % 8 === 0 || column === columns) === heavy)
      .map((column) => `M${left + column} ${top}v${rows}`);
    const down = Array.from({ length: rows + 1 }, (_, row) => row)
      .filter((row) => (row % 8 === 0 || row === rows) === heavy)
      .map((row) => `M${left} ${top + rows - row}h${columns}`);
    return [...across, ...down].join('');
  };
  return (
    `<path fill="none" stroke="#b9b3a4" stroke-width="0.04" d="${lines(false)}"/>` +
    `<path fill="none" stroke="#20292b" stroke-width="0.08" d="${lines(true)}"/>`
  );
}

/** So many squares and a margin, in millimetres of at most three places. */
function millimetres(squares: number): string {
  return String(Number(((squares + 0.2) * SQUARE).toFixed(3)));
}
