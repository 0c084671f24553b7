import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { picturesOf } from '../../../tests/pictures-of.ts';
import { SOME_OF } from '../../../tests/sample-design.ts';
import { compile } from '../design/compile-design.ts';
import { KINDS } from '../design/constructions.ts';
import type { Design } from '../design/design-schema.ts';
import { CoreError } from '../error.ts';
import { contentKind } from '../repeat/contents.ts';
import type { RepeatUnit } from '../repeat/repeat-unit.ts';
import { packLight } from './light-rows.ts';
import { lightPainters, type PaintWindow, paintRows, preparePainting } from './painting.ts';

const SIDE = fc.integer({ min: 1, max: 60 });
const SHIFT = fc.integer({ min: -70, max: 70 });

/** A window of one repeat and somewhat more. */
const someWindow: fc.Arbitrary<PaintWindow> = fc
  .tuple(SIDE, SIDE, SHIFT, SHIFT)
  .map(([width, height, x, y]) => ({
    tile: { width, height },
    width: width + 3,
    offset: { x, y },
    look: 'flat',
  }));

function pixelsOf(unit: RepeatUnit, window: PaintWindow): Uint32Array {
  const out = new Uint32Array(window.width * window.tile.height);
  paintRows(preparePainting(unit, window), 0, window.tile.height, out);
  return out;
}

function packed(unit: RepeatUnit, window: PaintWindow): Uint32Array {
  const paintRow = packLight(
    lightPainters(unit, window),
    window,
    contentKind(unit.content).isClear(unit.content),
  );
  const out = new Uint32Array(window.width * window.tile.height);
  paintRows({ width: window.width, paintRow }, 0, window.tile.height, out);
  return out;
}

/** Compares many designs of a kind; those that make no repeat are passed over. */
function compareAll(designs: fc.Arbitrary<Design>): void {
  let compared = 0;
  fc.assert(
    fc.property(designs, someWindow, (design, window) => {
      let unit: RepeatUnit;
      try {
        unit = compile(design, picturesOf(design));
      } catch (error) {
        if (error instanceof CoreError) return;
        throw error;
      }
      compared += 1;
      expect(packed(unit, window)).toEqual(pixelsOf(unit, window));
    }),
    { numRuns: 60 },
  );
  expect(compared).toBeGreaterThan(30);
}

describe.each(Object.keys(KINDS) as (keyof typeof KINDS)[])('the light of any %s', (kind) => {
  it('makes the very pixels that the fast way makes', () => compareAll(SOME_OF[kind]));
});
