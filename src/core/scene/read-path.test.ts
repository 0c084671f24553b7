import { describe, expect, it } from 'vitest';
import { chordsOf } from '../shape/flatten.ts';
import { areaOfPlaces } from '../shape/places.ts';
import { checkSimple } from './check-simple.ts';
import { MOST_PATH_PIECES, readPath } from './read-path.ts';

function areas(path: string): readonly number[] {
  return readPath(path).map((contour) => Math.abs(areaOfPlaces(chordsOf(contour, 0.001))));
}

describe('path data', () => {
  it.each([
    ['M0 0L10 0L10 20L0 20Z', [200]],
    ['m0,0 h10 v20 h-10 z', [200]],
    ['M0 0H10V20H0ZM30 0h5v5h-5z', [200, 25]],
    // A whole circle of radius 10 in two arcs, and its quarter.
    ['M-10 0A10 10 0 0 1 10 0A10 10 0 0 1 -10 0Z', [100 * Math.PI]],
    ['M0 0L10 0A10 10 0 0 1 0 10Z', [25 * Math.PI]],
    // A parabola's segment is two thirds of the box round it.
    ['M0 0Q5 10 10 0Z', [(2 / 3) * 10 * 5]],
  ])('%s has the area that geometry gives it', (path, expected) => {
    const found = areas(path);
    expect(found.length).toBe(expected.length);
    // Arcs become curves that lie within two parts in ten thousand of them.
    for (const [at, area] of found.entries()) expect(area / expected[at]!).toBeCloseTo(1, 3);
  });

  it('goes on from where a closed outline began', () => {
    const [first, second] = readPath('M5 5h10v10zl-3 0');
    expect(first!.closed).toBe(true);
    expect(second!.start).toEqual({ x: 5, y: 5 });
  });

  it.each([
    ['', 'path/empty'],
    ['   ', 'path/empty'],
    ['heart', 'path/text'],
    ['M0 0L10', 'path/text'],
    [`M0 0${'L1 1'.repeat(MOST_PATH_PIECES)}`, 'path/pieces'],
    [`M0 0${'L1000000 1000000'.repeat(60_000)}`, 'path/long'],
  ])('that is no such thing is refused: %#', (text, code) => {
    expect(() => readPath(text)).toThrow(code);
  });
});

describe('a shape of one’s own', () => {
  const check = (path: string) => () => checkSimple(readPath(path), 0.01);

  it.each(['M0 0H10V10H0Z', 'M0 0H10V10H0ZM2 2V8H8V2Z', 'M0 0C0 8 8 8 8 0Z', 'M0 0H4V4H8V0H12V8H0Z'])(
    'is taken where nothing crosses: %s',
    (path) => {
      expect(check(path)).not.toThrow();
    },
  );

  it.each([
    ['M0 0L10 10L10 0L0 10Z', { x: 5, y: 5 }],
    ['M0 0H10V10H0ZM5 5H15V15H5Z', undefined],
  ])('is refused where lines cross: %s', (path, place) => {
    expect(check(path)).toThrow('path/crosses');
    if (place !== undefined) expect(check(path)).toThrow(expect.objectContaining({ facts: place }));
  });

  it.each([
    ['M0 0H1000V1H0V2H1000V3H0V4H1000V9H-5V0Z', true],
    ['M0 0V1000H1V0H2V1000H3V0H4V1000H9V-5H0Z', true],
    ['M0 0H1000V1H0V2H1000V3H500L500 -5H-5V0Z', false],
    ['M0 0V1000H1V0H2V1000H3V500L-5 500V-5H0Z', false],
  ])('of many long lines is judged whichever way they go: %s', (path, isPlain) => {
    if (isPlain) expect(check(path)).not.toThrow();
    else expect(check(path)).toThrow('path/crosses');
  });

  it('of a hundred thousand chords is refused before they are compared', () => {
    const zigzag = Array.from({ length: 9000 }, (_, at) => `C${at} 400 ${at} -400 ${at + 1} 0`).join('');
    expect(check(`M0 0${zigzag}L9000 -900L0 -900Z`)).toThrow('path/pieces');
  });
});
