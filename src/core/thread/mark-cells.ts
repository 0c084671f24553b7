import { hexOf, type Rgb, rgbOf } from '../colour/hex.ts';
import type { Cells } from './cells.ts';
import type { Interlacing } from './weave.ts';
import { markLongFloats } from './weaves/float-counts.ts';
import { layersOf } from './weaves/layers.ts';

/** What is marked on a cloth that is looked at; it changes nothing of the design. */
export interface ClothMarks {
  /** Floats that are longer are marked; 0 marks none. */
  readonly floatLimit: number;
  /** Whether threads that come away from the largest piece are marked. */
  readonly layers: boolean;
}

export const NO_MARKS: ClothMarks = { floatLimit: 0, layers: false };

/** What marked threads are tinted with, and how strongly. */
const TINT: Rgb = [176, 68, 47];
const STRENGTH = 0.72;

/**
 * One byte a cell of a structure, pick by pick: 1 where the thread on top is to be marked.
 */
export function marksOf(structure: Interlacing, { floatLimit, layers }: ClothMarks): Uint8Array {
  const marks = floatLimit > 0 ? markLongFloats(structure, floatLimit) : new Uint8Array(structure.up.length);
  if (layers) {
    const { ends, up } = structure;
    const away = threadsAway(structure);
    up.forEach((face, at) => {
      const top = face === 1 ? away.ends[at % ends] : away.picks[Math.floor(at / ends)];
      if (top === 1) marks[at] = 1;
    });
  }
  return marks;
}

/** Threads outside the piece that has the most of them; the lower of two that are equally large. */
function threadsAway(structure: Interlacing): { readonly ends: Uint8Array; readonly picks: Uint8Array } {
  const layers = layersOf(structure);
  const size = (at: number) => layers[at]!.ends.length + layers[at]!.picks.length;
  const largest = layers.reduce((best, _, at) => (size(at) >= size(best) ? at : best), 0);
  const away = { ends: new Uint8Array(structure.ends), picks: new Uint8Array(structure.picks) };
  layers.forEach((layer, at) => {
    if (at === largest) return;
    for (const end of layer.ends) away.ends[end] = 1;
    for (const pick of layer.picks) away.picks[pick] = 1;
  });
  return away;
}

/** The cells of a cloth with those marked whose place in its structure is; the same object where none is. */
export function markCells(cells: Cells, structure: Interlacing, wish: ClothMarks): Cells {
  const marks = marksOf(structure, wish);
  if (!marks.includes(1)) return cells;
  const { ends, picks } = structure;
  const plain = cells.shades.length;
  const rows: Uint16Array[] = [];
  const over: Uint8Array[] = [];
  const known = new Map<string, number>();
  const rowAt = cells.rowAt.map((row, y) => {
    const pick = (cells.height - 1 - y) % picks;
    const name = `${row} ${pick}`;
    let marked = known.get(name);
    if (marked === undefined) {
      marked = rows.length;
      known.set(name, marked);
      rows.push(
        cells.rows[row]!.map((shade, end) => shade + (marks[pick * ends + (end % ends)] === 1 ? plain : 0)),
      );
      over.push(cells.over![row]!);
    }
    return marked;
  });
  const tinted = cells.shades.map((shade) => ({ ...shade, hex: tint(shade.hex) }));
  return { ...cells, shades: [...cells.shades, ...tinted], rows, over, rowAt };
}

function tint(hex: string): string {
  const mixed = rgbOf(hex).map((byte, part) => Math.round(byte * (1 - STRENGTH) + TINT[part]! * STRENGTH));
  return hexOf(mixed as unknown as Rgb);
}
