import { proveNumbers } from '../src/core/design/check-design.ts';
import { compile } from '../src/core/design/compile-design.ts';
import type { Design } from '../src/core/design/design-schema.ts';
import { designFromText } from '../src/core/design/exchange/counts-text.ts';
import { ALL_LAYS } from '../src/core/design/lay/lay-offers.ts';
import type { Arrangement } from '../src/core/design/lay/lay-schema.ts';
import { usualPiece } from '../src/core/design/motif/usual-piece.ts';
import { newMotif } from '../src/core/design/new-design.ts';
import { designFromStart } from '../src/core/design/starts.ts';
import { CoreError } from '../src/core/error.ts';
import { surdToNumber } from '../src/core/exact/surd.ts';
import { paintRows, preparePainting } from '../src/core/paint/painting.ts';
import { repeatSize } from '../src/core/repeat/repeat-unit.ts';
import { line, race } from './timing.ts';

/** A motif of 200 pieces laid and proven by p6mm, against the same laid straight, which has 24 times fewer figures. */
const PIECES = 200;
const motif = newMotif({
  name: 'Many',
  shades: [{ key: 'A', name: 'A', hex: '#203040' }],
  box: { width: '40', height: '40' },
  pieces: Array.from({ length: PIECES }, (_, at) =>
    usualPiece(
      at + 1,
      { kind: 'rectangle', width: '1', height: '1/2', radii: '0' },
      `${1 + ((at * 7) % 38)}`,
      `${1 + Math.floor(at / 6)}`,
      { shade: 'A' },
    ),
  ),
});

function laid(design: Design, arrangement: Arrangement): Design {
  return { ...design, lay: { ...design.lay, arrangement } };
}

function layAndProve(design: Design): void {
  proveNumbers(design, compile(design));
}

const sixths = laid(motif, { kind: 'group', group: 'p6mm', way: 'across' });
const times = race(5, { straight: () => layAndProve(motif), sixths: () => layAndProve(sixths) });
console.log(`\n${PIECES} pieces laid and proven (straight ${times.straight.toFixed(1)} ms)`);
line('by p6mm, as times of straight', times.sixths / times.straight, 'under 2');
line('the same a figure, of which it has 24 times as many', times.sixths / times.straight / 24, 'under 2');

/** Thumbnails of every lay, 136 × 84 px, three boxes across, as the Lay step paints them. */
const WIDTH = 136;
const HEIGHT = 84;
const out = new Uint32Array(WIDTH * HEIGHT);

function thumbnails(design: Design): void {
  const built = repeatSize(compile(design))!;
  const perMillimetre = WIDTH / (3 * surdToNumber(built.width));
  for (const arrangement of ALL_LAYS) {
    try {
      const unit = compile(laid(design, arrangement));
      const { width, height } = repeatSize(unit)!;
      const pixels = (side: number) => Math.max(1, Math.round(side * perMillimetre));
      const tile = { width: pixels(surdToNumber(width)), height: pixels(surdToNumber(height)) };
      const painting = preparePainting(unit, { tile, width: WIDTH, offset: { x: 0, y: 0 }, look: 'flat' });
      paintRows(painting, 0, HEIGHT, out);
    } catch (error) {
      if (!(error instanceof CoreError)) throw error;
    }
  }
}

const sett = Array.from({ length: 40 }, (_, at) => `${'ABCD'[at % 4]}${6 + (at % 9)}`).join(' ');
const work = {
  'a plaid of 396 threads': designFromText(`warp: ${sett}\nweave: 2/2Z\ndensity: 24/in`, 'Plaid'),
  'a floor of kites': designFromStart('tiling', 'kites'),
  'an argyle': designFromStart('motif', 'argyle'),
};
console.log(`\nThumbnails of all ${ALL_LAYS.length} lays`);
for (const [name, design] of Object.entries(work)) {
  const { all } = race(3, { all: () => thumbnails(design) });
  line(`${name}, as parts of a second`, all / 1000, 'under 1');
}
