import { modulo } from '../exact/modulo.ts';
import { surdToNumber } from '../exact/surd.ts';
import { filledPartition, type Partition } from '../faces/partition.ts';
import { marksOver, partitionIn } from '../repeat/contents.ts';
import type { Content, Plies, RepeatUnit } from '../repeat/repeat-unit.ts';
import { type Painting, type PaintWindow, paintRows, preparePainting } from './painting.ts';
import { fittedTile, isFitted } from './plies/fitted-ply.ts';
import { placePly } from './plies/place-ply.ts';

/** White: whatever a pixel takes of it, it is lighter for. */
const LOUD = { key: 'loud', name: 'Loud', hex: '#ffffff' };

/**
 * For a row, the number of its pixels that leak.
 * @param painted  the row of the unit as it is, where that is known already
 */
export type LeaksInRow = (row: number, painted?: Uint32Array) => number;

/**
 * The hairline test: pixels that let anything through, between faces or with what lies over them. Faces are tested by
 * themselves too, as what lies over them could hide a gap. Clear faces are filled.
 * @returns undefined for cells, which have no edges between them, and plies of nothing else
 */
export function leaksOf(unit: RepeatUnit, tile: PaintWindow['tile']): LeaksInRow | undefined {
  if (unit.content.kind === 'plies') return leaksOfPlies({ ...unit, content: unit.content }, tile);
  const faces = partitionIn(unit);
  if (faces === undefined) return undefined;
  const base = filledPartition(faces);
  const marks = marksOver(unit.content);
  const isFilled = base === faces;
  const between = groundShown({ ...unit, content: base }, tile);
  if (marks.length === 0) return (row, painted) => between(row, isFilled ? painted : undefined);
  const whole = groundShown({ ...unit, content: withBase(unit.content, base) }, tile);
  return (row, painted) => Math.max(between(row), whole(row, isFilled ? painted : undefined));
}

/** Those of every ply by itself, as often as it comes in the row. */
function leaksOfPlies(unit: RepeatUnit<Plies>, tile: PaintWindow['tile']): LeaksInRow | undefined {
  const window: PaintWindow = { tile, width: tile.width, offset: { x: 0, y: 0 }, look: 'flat' };
  const pitch = { x: surdToNumber(unit.pitch.x), y: surdToNumber(unit.pitch.y) };
  const leaks = unit.content.plies
    .filter(({ shown }) => shown)
    .flatMap((ply) => {
      const isOne = isFitted(ply, tile);
      const placed = isOne ? undefined : placePly(ply, window, pitch);
      const own = placed?.window.tile ?? fittedTile(ply, tile);
      const inRow = leaksOf(placed?.unit ?? ply.unit, own);
      const times = isOne ? ply.times.across : tile.width / own.width;
      return inRow === undefined ? [] : [{ inRow, height: own.height, times }];
    });
  if (leaks.length === 0) return undefined;
  return (row) =>
    leaks.reduce((sum, { inRow, height, times }) => sum + times * inRow(modulo(row, height)), 0);
}

function withBase(content: Content, base: Partition): Content {
  return content.kind === 'marks' ? { ...content, base } : base;
}

/** Pixels that are not the same with a loud ground under them as without one. */
export function groundShown(unit: RepeatUnit, tile: PaintWindow['tile']): LeaksInRow {
  const window: PaintWindow = { tile, width: tile.width, offset: { x: 0, y: 0 }, look: 'flat' };
  let without: Painting | undefined;
  const over = preparePainting(unit, { ...window, ground: LOUD });
  const bare = new Uint32Array(tile.width);
  const grounded = new Uint32Array(tile.width);
  return (row, painted) => {
    if (painted === undefined) {
      without ??= preparePainting(unit, window);
      paintRows(without, row, 1, bare);
    }
    const known = painted ?? bare;
    paintRows(over, row, 1, grounded);
    let leaking = 0;
    for (let x = 0; x < known.length; x += 1) if (known[x] !== grounded[x]) leaking += 1;
    return leaking;
  };
}
