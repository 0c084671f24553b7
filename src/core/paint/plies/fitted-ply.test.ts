import { describe, expect, it } from 'vitest';
import { compile } from '../../design/compile-design.ts';
import { asPlies, layOver } from '../../design/plies/lay-over.ts';
import { weaveTexture } from '../../design/plies/weave-texture.ts';
import { designFromStart } from '../../design/starts.ts';
import { ORIGIN } from '../../exact/plane.ts';
import { ONE } from '../../exact/rational.ts';
import { surd, surdToNumber } from '../../exact/surd.ts';
import { closeNumbers } from '../../repeat/contents.ts';
import type { Ply, RepeatUnit } from '../../repeat/repeat-unit.ts';
import { parseWeave } from '../../thread/weaves/weave-text.ts';
import { paintRoll } from '../paint-roll.ts';
import { type PaintWindow, paintRows, paintTile, preparePainting } from '../painting.ts';
import { isFitted, paintFitted } from './fitted-ply.ts';

function ply(unit: RepeatUnit, times: number, change: Partial<Ply> = {}): Ply {
  const look = { blend: 'normal', strength: ONE, clip: null, shown: true } as const;
  return { unit, times: { across: times, down: times }, shift: ORIGIN, ...look, ...change };
}

/** A fitted ply in a window; the common repeat is as large in millimetres as its tile in pixels. */
function painted(one: Ply, window: PaintWindow): Uint32Array {
  const pitch = { x: window.tile.width, y: window.tile.height };
  const out = new Uint32Array(window.width * window.tile.height);
  paintRows(paintFitted(one, window, { pitch, prepare: preparePainting }), 0, window.tile.height, out);
  return out;
}

function windowOf(side: number, change: Partial<PaintWindow> = {}): PaintWindow {
  return {
    tile: { width: side, height: side },
    width: side,
    offset: { x: 0, y: 0 },
    look: 'flat',
    ...change,
  };
}

const scales = compile(designFromStart('motif', 'fish-scale'));
const same = (one: Uint32Array, other: Uint32Array) =>
  Buffer.compare(Buffer.from(one.buffer), Buffer.from(other.buffer)) === 0;

describe('a ply whose repeats are fitted into whole pixels', () => {
  it('is its own tile again and again where they come out whole', () => {
    const tile = new Uint32Array(paintTile(scales, { width: 24, height: 24 }).buffer);
    const all = painted(ply(scales, 4), windowOf(96));
    const expected = all.map((_, at) => tile[(Math.floor(at / 96) % 24) * 24 + ((at % 96) % 24)]!);
    expect(same(all, expected)).toBe(true);
  });

  it.each([
    [97, 7],
    [101, 30],
    [64, 100],
    [5, 1000],
  ])(
    'fills %i pixels with %i repeats: moved by any number of pixels it is the same, rolled',
    (side, times) => {
      const still = painted(ply(scales, times), windowOf(side));
      for (const [x, y] of [
        [1, 0],
        [side - 2, 3],
        [Math.floor(side / 2), Math.floor(side / 2)],
      ] as const) {
        const rolled = painted(ply(scales, times), windowOf(side, { offset: { x, y } }));
        const expected = rolled.map(
          (_, at) => still[((Math.floor(at / side) + y) % side) * side + (((at % side) + x) % side)]!,
        );
        expect(same(rolled, expected)).toBe(true);
      }
    },
  );

  it('has every repeat within half a pixel of where it is', () => {
    // A stripe that begins each repeat: its first pixel is where the repeat begins.
    const stripe = compile(designFromStart('stripe', 'pencil'));
    const [side, times] = [331, 17];
    const row = painted(ply(stripe, times), windowOf(side)).subarray(0, side);
    const begins = [...row.keys()].filter((at) => row[at] !== row[(at + side - 1) % side]);
    for (let repeat = 0; repeat < times; repeat += 1) {
      const there = (repeat * side) / times;
      expect(Math.min(...begins.map((at) => Math.abs(at - there)))).toBeLessThanOrEqual(0.5);
    }
  });

  it('is shifted by whole pixels, to the right and up', () => {
    const still = painted(ply(scales, 7), windowOf(97));
    const moved = painted(ply(scales, 7, { shift: { x: surd(5), y: surd(2) } }), windowOf(97));
    const expected = still.map((_, at) => {
      const x = ((((at % 97) - 5) % 97) + 97) % 97;
      const y = (Math.floor(at / 97) + 2) % 97;
      return still[y * 97 + x]!;
    });
    expect(same(moved, expected)).toBe(true);
  });
});

describe('a texture over a cloth of real size', () => {
  const bands = Array.from({ length: 50 }, (_, at) => ({ shade: 'ABC'[(at * 2) % 3]!, count: 8 }));
  const gingham = designFromStart('plaid', 'gingham');
  const plaid = {
    ...gingham,
    shades: [
      { key: 'A', name: 'Green', hex: '#24402f' },
      { key: 'B', name: 'Cream', hex: '#efe6cf' },
      { key: 'C', name: 'Red', hex: '#8c2f25' },
    ],
    construction: { ...gingham.construction, warp: { bands, mirror: 'none' as const } },
  };
  const texture = weaveTexture(parseWeave('2/2Z'), 'Twill');
  const look = { blend: 'multiply', strength: '20%', scale: { to: 'count', count: '100' } } as const;
  const unit = compile(layOver(asPlies(plaid, null), texture, null, look));

  it('closes, and is painted without a seam where a thread of it is no whole number of pixels', () => {
    expect(closeNumbers(unit).closed).toBe(true);
    const tile = { width: 613, height: 613 };
    const plies = unit.content.kind === 'plies' ? unit.content.plies : [];
    expect(plies.map((each) => isFitted(each, tile))).toEqual([false, true]);
    expect(surdToNumber(unit.pitch.x)).toBeGreaterThan(400);
    expect(paintRoll(unit, tile)).toMatchObject({ differingBytes: 0, leakingPixels: 0 });
  });
});
