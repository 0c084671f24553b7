import { modulo } from '../../exact/modulo.ts';
import { leftBorder, startOf } from '../left-border.ts';
import type { PaintWindow } from '../painting.ts';
import type { Walked } from '../partition-edges.ts';
import { ActiveEdges } from './active-edges.ts';
import type { CoverRuns } from './cover-runs.ts';
import { CoverSweeper } from './cover-sweeper.ts';
import { edgesByStart } from './edges-by-start.ts';
import { isSmall } from './is-small.ts';
import { sweepShades } from './sweep-shades.ts';

/** As light: a pixel inside is covered, one outside is not. */
const LIGHTS = Float64Array.of(1, 1, 1, 1, 0, 0, 0, 0);

/** Nothing is made a pixel of. */
const NO_BYTES = new Uint8Array(2);

/**
 * What an outline covers in each row, the same until the next is asked for.
 * @returns undefined where numbers are too large for the sweep
 */
export function coverRows(
  { edges, held }: Walked,
  { tile, width }: Pick<PaintWindow, 'tile' | 'width'>,
): ((row: number) => CoverRuns) | undefined {
  if (!isSmall(edges)) return undefined;
  const across = Math.min(width, tile.width);
  const left = leftBorder(edges, LIGHTS, startOf(held, LIGHTS));
  const active = new ActiveEdges(edgesByStart(edges, sweepShades(LIGHTS, NO_BYTES), tile.height), across);
  const sweeper = new CoverSweeper(active, (row) => left(row)[0]!, across);
  return (row) => {
    sweeper.goTo(modulo(row, tile.height));
    return sweeper.runs;
  };
}
