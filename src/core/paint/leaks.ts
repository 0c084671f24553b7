import { facesOf, type RepeatUnit } from '../repeat/repeat-unit.ts';
import { type Painting, type PaintWindow, paintRows, preparePainting } from './painting.ts';

/** White: whatever a pixel takes of it, it is lighter for. */
const LOUD = { key: 'loud', name: 'Loud', hex: '#ffffff' };

/** For a row, the number of its pixels that leak. */
export type LeaksInRow = (row: number) => number;

/**
 * The hairline test: pixels between faces that let anything through. Clear faces are filled, and what lies over the
 * faces is left out, as it could hide a gap.
 * @returns undefined for cells, which have no edges between them
 */
export function leaksOf(unit: RepeatUnit, tile: PaintWindow['tile']): LeaksInRow | undefined {
  if (unit.content.kind === 'cells') return undefined;
  const faces = facesOf(unit.content);
  return groundShown({ ...unit, content: { ...faces, clear: faces.clear.map(() => false) } }, tile);
}

/** Pixels that are not the same with a loud ground under them as without one. */
export function groundShown(unit: RepeatUnit, tile: PaintWindow['tile']): LeaksInRow {
  const window: PaintWindow = { tile, width: tile.width, offset: { x: 0, y: 0 }, look: 'flat' };
  const [without, over] = [null, LOUD].map((ground) => preparePainting({ ...unit, ground }, window)) as [
    Painting,
    Painting,
  ];
  const [bare, grounded] = [new Uint32Array(tile.width), new Uint32Array(tile.width)];
  return (row) => {
    paintRows(without, row, 1, bare);
    paintRows(over, row, 1, grounded);
    let leaking = 0;
    for (let x = 0; x < bare.length; x += 1) if (bare[x] !== grounded[x]) leaking += 1;
    return leaking;
  };
}
