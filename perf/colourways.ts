import { coloured } from '../src/core/design/colourway.ts';
import { compileUnit } from '../src/core/design/compile-design.ts';
import type { PlaidDesign } from '../src/core/design/design-schema.ts';
import { designFromStart } from '../src/core/design/starts.ts';
import { paintRows, preparePainting } from '../src/core/paint/painting.ts';
import { line, race } from './timing.ts';

/** Thirty-six colourways of one design side by side, against painting one of them thirty-six times. */
const TIMES = 36;
const SIDE = 300;
const start = designFromStart('plaid', 'glen');
const colourways = Array.from({ length: TIMES }, (_, at) => {
  const hex = (shift: number) => `#${((at * 391_939 + shift) & 0xffffff).toString(16).padStart(6, '0')}`;
  const colours = { K: hex(0x102030), W: hex(0xe0d0c0) };
  return { ...start, shades: coloured(start, { name: String(at), colours }) };
});
const out = new Uint32Array(SIDE * SIDE);

function paint(design: PlaidDesign): void {
  const unit = compileUnit(design);
  const tile = { width: unit.content.width * 2, height: unit.content.height * 2 };
  const window = { tile, width: SIDE, offset: { x: 0, y: 0 }, look: 'flat' as const };
  paintRows(preparePainting(unit, window), 0, SIDE, out);
}

const times = race(9, {
  all: () => {
    for (const design of colourways) paint(design);
  },
  one: () => {
    for (let time = 0; time < TIMES; time += 1) paint(start);
  },
});
console.log(`\n${TIMES} colourways of ${SIDE} × ${SIDE} px (${times.all.toFixed(1)} ms)`);
line('time, as a multiple of painting one as often', times.all / times.one, 'at most 1');
