import { describe, expect, it } from 'vitest';
import { straight } from '../../bend/along-arc.ts';
import { type Bend, bentInTurn } from '../../bend/bent-by.ts';
import { BYTE_OF_LINEAR, LINEAR_OF_BYTE, LINEAR_ONE } from '../../colour/linear.ts';
import { compile } from '../../design/compile-design.ts';
import type { Design } from '../../design/design-schema.ts';
import { designFromStart } from '../../design/starts.ts';
import { surdToNumber } from '../../exact/surd.ts';
import { repeatSize } from '../../repeat/repeat-unit.ts';
import { paintTile } from '../painting.ts';
import { clothLight } from './cloth-light.ts';
import { type BentOrder, type ClothPlace, paintBent, type SeenCloth } from './paint-bent.ts';

const AS_IT_IS: ClothPlace = { scale: 1, degrees: 0, shift: { x: 0, y: 0 } };
const BOX = { width: 320, height: 240 };

function clothOf(design: Design, side: number): SeenCloth {
  const unit = compile(design);
  const size = repeatSize(unit)!;
  return {
    light: clothLight(paintTile(unit, { width: side, height: side }), side, side),
    size: { x: surdToNumber(size.width), y: surdToNumber(size.height) },
  };
}

const scales = designFromStart('tiling', '4.4.4.4');
const gingham = designFromStart('plaid', 'gingham');

function order(change: Partial<BentOrder>): BentOrder {
  const window = { width: BOX.width, height: BOX.height, perMillimetre: 1, corner: { x: 0, y: BOX.height } };
  return {
    bent: straight,
    box: BOX,
    cloth: clothOf(scales, 64),
    place: AS_IT_IS,
    window,
    shading: 0,
    ...change,
  };
}

/** Mean light of what is painted, 0 … 1. */
function meanLight(bytes: Uint8ClampedArray): number {
  let [sum, count] = [0, 0];
  for (let at = 0; at < bytes.length; at += 4) {
    if (bytes[at + 3] === 0) continue;
    for (let channel = 0; channel < 3; channel += 1)
      sum += LINEAR_OF_BYTE[bytes[at + channel]!]! / LINEAR_ONE;
    count += 3;
  }
  return sum / count;
}

const asByte = (light: number) => BYTE_OF_LINEAR[Math.round(light * LINEAR_ONE)]!;

describe('cloth that is not bent', () => {
  it('is the painted tile again and again, pixel by pixel, where they are as large', () => {
    const unit = compile(gingham);
    const size = repeatSize(unit)!;
    const cloth = clothOf(gingham, 64);
    const perMillimetre = 64 / surdToNumber(size.width);
    const box = { width: cloth.size.x * 3, height: cloth.size.y * 2 };
    const window = { width: 192, height: 128, perMillimetre, corner: { x: 0, y: box.height } };
    const painted = paintBent(order({ cloth, box, window }));
    const tile = paintTile(unit, { width: 64, height: 64 });
    let differing = 0;
    for (let y = 0; y < 128; y += 1) {
      for (let x = 0; x < 192; x += 1) {
        for (let channel = 0; channel < 4; channel += 1) {
          const ours = painted[4 * (y * 192 + x) + channel]!;
          if (ours !== tile[4 * ((y % 64) * 64 + (x % 64)) + channel]!) differing += 1;
        }
      }
    }
    expect(differing).toBe(0);
  });

  it('turned and made smaller is what the painter makes of cloth that is laid so', () => {
    // 3 repeats up on 4 across are 36.87°; a turned square repeats after five sides.
    const slope = { up: 3, across: 4, asked: null };
    const small = { to: 'factor' as const, factor: '3/10', lines: true };
    const laid = compile({ ...scales, lay: { ...scales.lay, slope, scale: small } });
    const side = surdToNumber(repeatSize(laid)!.width);
    const pixels = 256;
    const exact = paintTile(laid, { width: pixels, height: pixels });
    const box = { width: side, height: side };
    const window = { width: pixels, height: pixels, perMillimetre: pixels / side, corner: { x: 0, y: side } };
    const degrees = (Math.atan2(3, 4) * 180) / Math.PI;
    const cloth = clothOf(scales, 256);
    const seen = paintBent(order({ cloth, box, window, place: { ...AS_IT_IS, scale: 0.3, degrees } }));
    const off = exact.map((byte, at) => Math.abs(byte - seen[at]!));
    const sorted = [...off].sort((one, other) => one - other);
    // Inside a shade they are the same; at an edge they differ by how it is smoothed.
    expect(sorted[Math.floor(0.7 * sorted.length)]).toBeLessThanOrEqual(1);
    expect(off.reduce((sum, each) => sum + each, 0) / off.length).toBeLessThan(4);
  });

  it('is clear beyond its edge, and as clear as it is', () => {
    const window = { width: 400, height: 300, perMillimetre: 1, corner: { x: -40, y: BOX.height + 30 } };
    const painted = paintBent(order({ window }));
    const alpha = (x: number, y: number) => painted[4 * (y * 400 + x) + 3];
    expect([alpha(39, 100), alpha(40, 100), alpha(359, 100), alpha(360, 100), alpha(100, 29)]).toEqual([
      0, 255, 255, 0, 0,
    ]);
  });
});

describe('bent cloth', () => {
  it.each<[string, readonly Bend[]]>([
    ['rippled', [{ kind: 'ripple', length: 80, height: 12 }]],
    [
      'rippled twice',
      [
        { kind: 'ripple', length: 80, height: 12 },
        { kind: 'ripple', length: 50, height: -6 },
      ],
    ],
  ])('that is %s, where areas stay, is as light on the whole as flat cloth within one level', (_, bends) => {
    const box = { width: 320, height: 320 };
    const window = { width: 320, height: 480, perMillimetre: 1, corner: { x: 0, y: 400 } };
    const flat = meanLight(paintBent(order({ box, window })));
    const bent = meanLight(paintBent(order({ box, window, bent: bentInTurn(bends, box) })));
    expect(Math.abs(asByte(bent) - asByte(flat))).toBeLessThanOrEqual(1);
  });

  it('has light and shade as strongly as is wished', () => {
    const bent = bentInTurn([{ kind: 'folds', count: 4, depth: 60 }], BOX);
    const spread = (shading: number) => {
      const painted = paintBent(order({ bent, shading }));
      const row = Array.from({ length: BOX.width }, (_, x) => painted[4 * (100 * BOX.width + x)]!);
      return Math.max(...row) - Math.min(...row);
    };
    expect(spread(1)).toBeGreaterThan(spread(0.5));
    expect(spread(0.5)).toBeGreaterThan(spread(0));
  });

  it('in perspective shows its far stripes as their mean, without moiré', () => {
    const box = { width: 2000, height: 20_000 };
    const corners = [
      { x: 0, y: 0 },
      { x: 320, y: 0 },
      { x: 170, y: 230 },
      { x: 150, y: 230 },
    ] as const;
    const bent = bentInTurn([{ kind: 'perspective', corners }], box);
    const painted = paintBent(order({ box, bent, cloth: clothOf(gingham, 64) }));
    const mean = meanLight(painted);
    expect(mean).toBeGreaterThan(0);
    // Near the horizon a pixel sees many repeats.
    const far = Array.from({ length: 16 }, (_, x) =>
      painted.subarray(4 * (12 * 320 + 152 + x), 4 * (12 * 320 + 153 + x)),
    );
    const flat = clothOf(gingham, 64).light.at(-1)!.light;
    for (const pixel of far) {
      for (let channel = 0; channel < 3; channel += 1) {
        expect(Math.abs(pixel[channel]! - asByte(flat[channel]!))).toBeLessThanOrEqual(3);
      }
    }
  });

  it('beyond a form or a horizon is clear', () => {
    const bent = bentInTurn([{ kind: 'form', across: 180, up: 0 }], BOX);
    const painted = paintBent(order({ bent }));
    expect(painted[3]).toBe(0);
    expect(painted[4 * (100 * BOX.width + 160) + 3]).toBe(255);
  });
});
