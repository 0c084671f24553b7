import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { rational } from '../../core/exact/rational.ts';
import {
  centre,
  covers,
  firstWidth,
  fitThree,
  layGeometry,
  nextLevel,
  pickRatio,
  pieceFor,
  reanchor,
  tileCorner,
  zoomAbout,
} from './cloth-camera.ts';

const VIEW = { width: 900, height: 620 };
const REPEAT = { ends: 36, picks: 24 };

describe('the cloth’s camera', () => {
  it('lays repeats on whole device pixels', () => {
    const geometry = layGeometry({ ends: 7, picks: 3 }, 1 / 3, 1, 2);
    expect(geometry.tile).toEqual({ width: 5, height: 2 });
    expect(geometry.stepX * 7 * 2).toBeCloseTo(5, 12);
    expect(layGeometry({ ends: 1, picks: 1 }, 1 / 16, 1, 1).tile).toEqual({ width: 1, height: 1 });
  });

  it('makes picks as high as their density says', () => {
    expect(pickRatio({ x: rational(1, 24), y: rational(1, 20) })).toBe(1.2);
  });

  it('keeps what lies under the pointer when it zooms', () => {
    const before = { x: 40, y: 500, perEnd: 5 };
    const point = { x: 300, y: 200 };
    const after = zoomAbout(before, point, 8);
    expect((point.x - after.x) / after.perEnd).toBeCloseTo((point.x - before.x) / before.perEnd, 9);
    expect((point.y - after.y) / after.perEnd).toBeCloseTo((point.y - before.y) / before.perEnd, 9);
  });

  it('goes from level to level and stops at the ends', () => {
    expect([nextLevel(5, 1, 1), nextLevel(5, -1, 1), nextLevel(5.3, -1, 1)]).toEqual([6, 4, 5]);
    expect([nextLevel(48, 1, 1), nextLevel(1 / 16, -1, 1)]).toEqual([48, 1 / 16]);
    expect(nextLevel(1, 1, 2)).toBe(1.5);
  });

  it('works on the repeat that holds the middle, moved by whole repeats', () => {
    const coordinate = fc.double({ min: -5000, max: 5000, noNaN: true });
    fc.assert(
      fc.property(coordinate, coordinate, (x, y) => {
        const geometry = layGeometry(REPEAT, 5, 1.2, 1);
        const moved = reanchor({ x, y, perEnd: 5 }, VIEW, geometry, REPEAT);
        const across = (moved.x - x) / (REPEAT.ends * geometry.stepX);
        const up = (moved.y - y) / (REPEAT.picks * geometry.stepY);
        expect(across).toBeCloseTo(Math.round(across), 6);
        expect(up).toBeCloseTo(Math.round(up), 6);
        expect(moved.x).toBeLessThanOrEqual(VIEW.width / 2 + 1e-6);
        expect(moved.x + REPEAT.ends * geometry.stepX).toBeGreaterThan(VIEW.width / 2 - 1e-6);
        expect(moved.y).toBeGreaterThanOrEqual(VIEW.height / 2 - 1e-6);
      }),
    );
  });

  it('fits three repeats at whole pixels a thread', () => {
    expect(fitThree(VIEW, REPEAT, 1, 1)).toBe(8);
    expect(fitThree(VIEW, { ends: 1200, picks: 1200 }, 1, 1)).toBeCloseTo(620 / 3600, 9);
    const camera = centre(VIEW, REPEAT, 8, 1);
    expect([camera.x + (36 * 8) / 2, camera.y - (24 * 8) / 2]).toEqual([450, 310]);
  });

  it('opens at a size at which threads are seen', () => {
    expect(firstWidth(VIEW, REPEAT, 1, 36)).toBe(5);
    expect(firstWidth(VIEW, { ends: 88, picks: 88 }, 1, 88)).toBe(2);
    expect(firstWidth(VIEW, { ends: 1388, picks: 1388 }, 1, 347)).toBe(2);
    expect(firstWidth(VIEW, { ends: 5000, picks: 5000 }, 1, 5000)).toBe(1);
  });

  it('paints whole small tiles, and a window with a margin of large ones', () => {
    const small = layGeometry(REPEAT, 5, 1, 1);
    const camera = { x: 10, y: 600, perEnd: 5 };
    expect(pieceFor(camera, VIEW, small, 1)).toEqual({ x: 0, y: 0, width: 180, height: 120 });
    expect(tileCorner(camera, small.tile, 1)).toEqual([10, 480]);
    const large = layGeometry({ ends: 4000, picks: 4000 }, 5, 1, 1);
    const far = { x: -9000, y: 12_000, perEnd: 5 };
    const piece = pieceFor(far, VIEW, large, 1);
    expect(piece).toEqual({ x: 8840, y: 7840, width: 1220, height: 940 });
    expect(covers(piece, far, VIEW, large.tile, 1)).toBe(true);
    expect(covers(piece, { ...far, x: far.x + 100 }, VIEW, large.tile, 1)).toBe(true);
    expect(covers(piece, { ...far, x: far.x + 200 }, VIEW, large.tile, 1)).toBe(false);
  });
});
