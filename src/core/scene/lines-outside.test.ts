import { describe, expect, it } from 'vitest';
import type { BentLine } from './bent-outline.ts';
import { drawPart } from './draw-part.ts';
import { linesOutside } from './lines-outside.ts';
import type { SceneDrawing } from './scene.ts';
import { sceneOf } from './scenes.ts';
import { wholeDrawing } from './whole-drawing.ts';

function open(...numbers: readonly number[]): BentLine {
  const places = Array.from({ length: numbers.length / 2 }, (_, at) => ({
    x: numbers[2 * at]!,
    y: numbers[2 * at + 1]!,
  }));
  return { places, closed: false };
}

const closed = (...numbers: readonly number[]): BentLine => ({ ...open(...numbers), closed: true });

/** Length of all lines, the closing one too. */
function lengthOf(lines: readonly BentLine[]): number {
  return lines.reduce((sum, { places, closed: isClosed }) => {
    const ends = isClosed ? [...places, places[0]!] : places;
    return (
      sum + ends.slice(1).reduce((all, { x, y }, at) => all + Math.hypot(x - ends[at]!.x, y - ends[at]!.y), 0)
    );
  }, 0);
}

const SQUARE = closed(0, 0, 10, 0, 10, 10, 0, 10);

describe('lines outside of what lies over them', () => {
  it.each<[string, BentLine, number]>([
    ['far away', open(20, 0, 30, 0), 10],
    ['across', open(-5, 5, 15, 5), 10],
    ['within', open(2, 5, 8, 5), 0],
    ['round it', closed(-5, -5, 15, -5, 15, 15, -5, 15), 80],
    ['half over its corner', closed(5, 5, 15, 5, 15, 15, 5, 15), 30],
  ])('%s keep what is seen of them', (_, line, length) => {
    expect(lengthOf(linesOutside([line], [SQUARE]))).toBeCloseTo(length, 2);
  });

  it('are the same lines where nothing is hidden, closed ones too', () => {
    const line = closed(-5, -5, 15, -5, 15, 15, -5, 15);
    expect(linesOutside([line], [SQUARE])).toEqual([line]);
    expect(linesOutside([line], [])).toEqual([line]);
  });

  it('in a hole of what lies over them are seen', () => {
    const hole = closed(2, 2, 2, 8, 8, 8, 8, 2);
    expect(lengthOf(linesOutside([open(-5, 5, 15, 5)], [SQUARE, hole]))).toBeCloseTo(16, 2);
  });

  it('hide the ends of a scarf under its loop, unless that is bare', () => {
    const numbers = { width: 180, hang: 760 };
    const shapes = { letters: { text: 'A', font: 'mono' as const }, path: '' };
    const drawing: SceneDrawing = sceneOf('scarf').draw(numbers, shapes);
    const parts = drawing.parts.map((part) => drawPart(part));
    const inked = (bare: readonly string[]) =>
      lengthOf(wholeDrawing(drawing, parts, undefined, new Set(bare)).ink.flatMap(({ lines }) => lines));
    expect(inked(['loop']) - inked([])).toBeGreaterThan(150);
  });
});
