import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { FlatBox } from '../../bend/bent.ts';
import type { Bend } from '../../bend/bent-by.ts';
import { BYTE_OF_LINEAR, LINEAR_OF_BYTE, LINEAR_ONE } from '../../colour/linear.ts';
import { compile } from '../../design/compile-design.ts';
import type { Design } from '../../design/design-schema.ts';
import { designFromStart } from '../../design/starts.ts';
import { surdToNumber } from '../../exact/surd.ts';
import { repeatSize } from '../../repeat/repeat-unit.ts';
import { drawPart } from '../../scene/draw-part.ts';
import type { ClothPlace } from '../../scene/seam-fit.ts';
import { polyline } from '../../shape/contour.ts';
import { paintTile } from '../painting.ts';
import { bentRows, type SeenCloth } from './bent-rows.ts';
import { clothLight } from './cloth-light.ts';
import { prepareScene, type SeenLayer } from './paint-scene.ts';
import type { SeenWindow } from './seen-window.ts';

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

interface Order {
  readonly bends: readonly Bend[];
  readonly box: FlatBox;
  readonly cloth: SeenCloth;
  readonly place: ClothPlace;
  readonly window: SeenWindow;
  readonly shading: number;
  readonly finest: number;
}

/** One part in a scene, as it is painted. */
function paintBent({ bends, box, window, ...order }: Order): Uint8ClampedArray {
  const { bent, outline } = drawPart({ key: 'part', name: 'Part', at: { x: 0, y: 0 }, box, bends });
  const figure = { kind: 'outline' as const, contours: outline.map(({ places }) => polyline(places, true)) };
  return paintLayers([{ figure, paint: { rows: bentRows({ ...order, bent, window }) } }], window);
}

function paintLayers(layers: readonly SeenLayer[], window: SeenWindow): Uint8ClampedArray {
  const out = new Uint8ClampedArray(4 * window.width * window.height);
  prepareScene(layers, window).paintRows(0, window.height, out);
  return out;
}

function order(change: Partial<Order>): Order {
  const window = { width: BOX.width, height: BOX.height, perMillimetre: 1, corner: { x: 0, y: BOX.height } };
  return {
    bends: [],
    box: BOX,
    cloth: clothOf(scales, 64),
    place: AS_IT_IS,
    window,
    shading: 0,
    finest: 0,
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
    const bent = meanLight(paintBent(order({ box, window, bends })));
    expect(Math.abs(asByte(bent) - asByte(flat))).toBeLessThanOrEqual(1);
  });

  it('has light and shade as strongly as is wished', () => {
    const bends: readonly Bend[] = [{ kind: 'folds', count: 4, depth: 60 }];
    const spread = (shading: number) => {
      const painted = paintBent(order({ bends, shading }));
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
    const painted = paintBent(
      order({ box, bends: [{ kind: 'perspective', corners }], cloth: clothOf(gingham, 64) }),
    );
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
    // A form of half a cylinder goes round as wide as its box; nothing of it is seen beyond.
    const window = { width: 340, height: BOX.height, perMillimetre: 1, corner: { x: -10, y: BOX.height } };
    const painted = paintBent(order({ window, bends: [{ kind: 'form', across: 180, up: 0 }] }));
    const alpha = (x: number) => painted[4 * (100 * 340 + x) + 3];
    expect([alpha(5), alpha(170), alpha(335)]).toEqual([0, 255, 0]);
  });

  it('that gets wider downward is the same whether its rows are asked for in turn or each by itself', () => {
    const bends: readonly Bend[] = [{ kind: 'waist', share: -0.6, at: 1, reach: 1 }];
    const { bent, outline } = drawPart({ key: 'part', name: 'Part', at: { x: 0, y: 0 }, box: BOX, bends });
    const figure = {
      kind: 'outline' as const,
      contours: outline.map(({ places }) => polyline(places, true)),
    };
    const { window, ...rest } = order({});
    const painting = () =>
      prepareScene([{ figure, paint: { rows: bentRows({ ...rest, bent, window }) } }], window);
    const inTurn = new Uint8ClampedArray(4 * window.width * window.height);
    painting().paintRows(0, window.height, inTurn);
    const alone = new Uint8ClampedArray(inTurn.length);
    for (let row = 0; row < window.height; row += 7) {
      const line = alone.subarray(4 * window.width * row, 4 * window.width * (row + 1));
      painting().paintRows(row, 1, line);
      const same = Buffer.from(line).equals(
        Buffer.from(inTurn.subarray(4 * window.width * row, 4 * window.width * (row + 1))),
      );
      expect(same).toBe(true);
    }
  });

  it('from afar loses what the eye does not part, and keeps its light', () => {
    // A check of 3.2 mm is a line of 64 threads; from so far that 8 mm run together it is one colour.
    const size = clothOf(gingham, 64).size.x;
    const spread = (finest: number) => {
      const painted = paintBent(order({ cloth: clothOf(gingham, 64), finest }));
      const row = Array.from({ length: 200 }, (_, x) => painted[4 * (100 * BOX.width + 60 + x)]!);
      return { spread: Math.max(...row) - Math.min(...row), mean: meanLight(painted) };
    };
    const far = spread(4 * size);
    expect(spread(0).spread).toBeGreaterThan(60);
    expect(far.spread).toBeLessThanOrEqual(3);
    const [red, green, blue] = clothOf(gingham, 64).light.at(-1)!.light;
    expect(Math.abs(asByte(far.mean) - asByte((red! + green! + blue!) / 3))).toBeLessThanOrEqual(1);
  });
});

describe('layers', () => {
  const window = { width: 40, height: 40, perMillimetre: 1, corner: { x: 0, y: 40 } };
  const quarter = (...numbers: readonly number[]): SeenLayer['figure'] => ({
    kind: 'outline',
    contours: [
      polyline(
        Array.from({ length: numbers.length / 2 }, (_, at) => ({
          x: numbers[2 * at]!,
          y: numbers[2 * at + 1]!,
        })),
        true,
      ),
    ],
  });

  it('that share a slanting edge let no ground through, whatever the slant', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 400 }), fc.integer({ min: 0, max: 400 }), (low, high) => {
        const left = quarter(0, 0, low / 10, 0, high / 10, 40, 0, 40);
        const right = quarter(low / 10, 0, 40, 0, 40, 40, high / 10, 40);
        const painted = paintLayers(
          [
            { figure: left, paint: { hex: '#203040' } },
            { figure: right, paint: { hex: '#c0a080' } },
          ],
          window,
        );
        const clear = painted.filter((byte, at) => at % 4 === 3 && byte < 254).length;
        expect(clear).toBe(0);
      }),
    );
  });

  it('lie over each other in their order', () => {
    const under = { figure: quarter(0, 0, 40, 0, 40, 40, 0, 40), paint: { hex: '#203040' } };
    const over = { figure: quarter(10, 10, 30, 10, 30, 30, 10, 30), paint: { hex: '#c0a080' } };
    const painted = paintLayers([under, over], window);
    const at = (x: number, y: number) => [...painted.subarray(4 * (y * 40 + x), 4 * (y * 40 + x) + 4)];
    expect(at(5, 5)).toEqual([0x20, 0x30, 0x40, 255]);
    expect(at(20, 20)).toEqual([0xc0, 0xa0, 0x80, 255]);
    expect(at(30, 30)).toEqual([0x20, 0x30, 0x40, 255]);
  });
});
