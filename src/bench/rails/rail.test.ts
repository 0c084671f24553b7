import { describe, expect, it } from 'vitest';
import type { Bands } from '../../core/thread/edit-bands.ts';
import { layOut, type Mirror } from '../../core/thread/sequence.ts';
import { dragEdge, dropBand, dropPlace } from './band-drag.ts';
import { bandAt, edgeAt, placeBand, threadsAt } from './rail-geometry.ts';
import { pressRailKey, type RailKey } from './rail-keys.ts';

const BANDS: Bands = [
  { shade: 'A', count: 4 },
  { shade: 'B', count: 2 },
  { shade: 'C', count: 6 },
];

function laid(mirror: Mirror) {
  return layOut({ bands: BANDS, mirror });
}

function text(bands: Bands): string {
  return bands.map(({ shade, count }) => `${shade}${count}`).join(' ');
}

function press(key: string, band = 1, more: Partial<RailKey> & { typed?: string; direction?: 'weft' } = {}) {
  const { typed = '', direction = 'warp', ...held } = more;
  return pressRailKey(
    BANDS,
    band,
    { key, code: '', shift: false, alt: false, ...held },
    { direction, typed, keys: ['A', 'B', 'C'] },
  );
}

describe('keys on a rail', () => {
  it.each([
    ['+', {}, 'A4 B3 C6', 1],
    ['-', {}, 'A4 B1 C6', 1],
    ['+', { shift: true, code: 'Equal' }, 'A4 B12 C6', 1],
    ['_', { shift: true, code: 'Minus' }, 'A4 B1 C6', 1],
    ['=', { code: 'Equal' }, 'A4 B3 C6', 1],
    ['5', {}, 'A4 B5 C6', 1],
    ['2', { typed: '1' }, 'A4 B12 C6', 1],
    ['0', {}, 'A4 B2 C6', 1],
    ['Delete', {}, 'A4 C6', 1],
    ['Enter', {}, 'A4 B1 B1 C6', 1],
    ['ArrowRight', {}, 'A4 B2 C6', 2],
    ['ArrowLeft', {}, 'A4 B2 C6', 0],
    ['ArrowRight', { alt: true }, 'A4 C6 B2', 2],
    ['ArrowUp', { direction: 'weft' as const }, 'A4 B2 C6', 2],
    ['Home', {}, 'A4 B2 C6', 0],
    ['End', {}, 'A4 B2 C6', 2],
    ['c', {}, 'A4 C2 C6', 1],
  ])('%s with %o', (key, more, bands, band) => {
    const result = press(key, 1, more);
    expect(text(result!.bands)).toBe(bands);
    expect(result!.band).toBe(band);
  });

  it('mean nothing when they are not for a rail', () => {
    expect(press('ArrowUp')).toBeUndefined();
    expect(press('z')).toBeUndefined();
    expect(press('Escape')).toBeUndefined();
  });

  it('stay on the rail at its ends', () => {
    expect(press('ArrowLeft', 0)!.band).toBe(0);
    expect(press('ArrowRight', 2)!.band).toBe(2);
    expect(press('Delete', 2)!.band).toBe(1);
  });
});

describe('places on a rail', () => {
  const warp = { direction: 'warp', anchor: 100, step: 5 } as const;
  const weft = { direction: 'weft', anchor: 100, step: 5 } as const;

  it('run to the right for the warp and upward for the weft', () => {
    const band = laid('none')[1]!;
    expect(placeBand(warp, band)).toEqual({ start: 120, length: 10 });
    expect(placeBand(weft, band)).toEqual({ start: 70, length: 10 });
    expect([threadsAt(warp, 125), threadsAt(weft, 75)]).toEqual([5, 5]);
  });

  it('find the band and the edge under a place', () => {
    const bands = laid('shared');
    expect(bandAt(bands, 5)?.source).toBe(1);
    expect(bandAt(bands, 13)).toMatchObject({ source: 1, reflected: true });
    expect(bandAt(bands, 20)).toBeUndefined();
    expect(bandAt(bands, -1)).toBeUndefined();
    expect(edgeAt(bands, 4.3, 0.5)).toMatchObject({ before: { source: 0 }, after: { source: 1 } });
    expect(edgeAt(bands, 2, 0.5)).toBeUndefined();
    expect(edgeAt(bands, 14, 0.5)).toMatchObject({ before: { reflected: true }, after: undefined });
  });
});

describe('drags on a rail', () => {
  it('trade threads with the neighbour, or grow the whole', () => {
    const edge = edgeAt(laid('none'), 4, 1)!;
    expect(text(dragEdge(BANDS, edge, 1, false))).toBe('A5 B1 C6');
    expect(text(dragEdge(BANDS, edge, -2, false))).toBe('A2 B4 C6');
    expect(text(dragEdge(BANDS, edge, 3, true))).toBe('A7 B2 C6');
  });

  it('grow the last band at the end, and a pivot that meets itself', () => {
    expect(text(dragEdge(BANDS, edgeAt(laid('none'), 12, 1)!, 2, false))).toBe('A4 B2 C8');
    expect(text(dragEdge(BANDS, edgeAt(laid('doubled'), 12, 1)!, 2, false))).toBe('A4 B2 C8');
  });

  it('drop a band where it is let go', () => {
    expect(text(dropBand(BANDS, 0, laid('none'), 11))).toBe('B2 C6 A4');
    expect(text(dropBand(BANDS, 2, laid('shared'), 1))).toBe('C6 A4 B2');
    expect(dropPlace(laid('none'), -40)).toBe(0);
    expect(dropPlace(laid('none'), 400)).toBe(2);
  });
});
