import { describe, expect, it } from 'vitest';
import { polyline } from '../shape/contour.ts';
import { chordsOf } from '../shape/flatten.ts';
import { SUBPIXELS } from '../shape/grid.ts';
import { areaOfPlaces, type Place } from '../shape/places.ts';
import { resolveFigure } from '../shape/resolve-figure.ts';
import { drawPart } from './draw-part.ts';
import { person } from './person.ts';
import type { Scene, SceneDrawing } from './scene.ts';
import { SCENES, sceneOf } from './scenes.ts';
import { wholeDrawing } from './whole-drawing.ts';

const SHAPES = {
  letters: { text: 'Lark', font: 'bricolage-bold' as const },
  path: 'M0 0H40V30H0Z',
};

function drawnWith(scene: Scene, pick: 'usual' | 'least' | 'most'): SceneDrawing {
  const numbers = Object.fromEntries(scene.numbers.map((number) => [number.key, number[pick]]));
  return scene.draw(numbers, SHAPES);
}

function pathLength(places: readonly Place[]): number {
  return places
    .slice(1)
    .reduce((sum, { x, y }, at) => sum + Math.hypot(x - places[at]!.x, y - places[at]!.y), 0);
}

describe.each(SCENES.map((scene) => [scene.key, scene] as const))('the scene %s', (_, scene) => {
  it.each(['usual', 'least', 'most'] as const)('is drawn by its %s numbers', (pick) => {
    const drawing = drawnWith(scene, pick);
    const parts = drawing.parts.map((part) => drawPart(part));
    expect(parts.length).toBeGreaterThan(0);
    for (const { part, outline } of parts) {
      expect(part.box.width).toBeGreaterThan(0);
      expect(part.box.height).toBeGreaterThan(0);
      const places = outline.flatMap((each) => each.places);
      expect(places.every(({ x, y }) => Number.isFinite(x) && Number.isFinite(y))).toBe(true);
      const area = Math.abs(outline.reduce((sum, each) => sum + areaOfPlaces(each.places), 0));
      expect(area).toBeGreaterThan(0);
    }
  });

  it('has parts and numbers of names of their own', () => {
    const { parts } = drawnWith(scene, 'usual');
    for (const names of [parts.map(({ key }) => key), scene.numbers.map(({ key }) => key)]) {
      expect(new Set(names).size).toBe(names.length);
    }
    for (const { least, usual, most } of scene.numbers) {
      expect(least).toBeLessThanOrEqual(usual);
      expect(usual).toBeLessThanOrEqual(most);
    }
  });

  it('measures what its numbers say', () => {
    for (const pick of ['usual', 'most'] as const) {
      const numbers = Object.fromEntries(scene.numbers.map((number) => [number.key, number[pick]]));
      for (const { from, to, number } of scene.draw(numbers, SHAPES).dimensions) {
        if (number === undefined) continue;
        const length = Math.hypot(to.x - from.x, to.y - from.y);
        // A window that would not fit into its wall is as large as the wall lets it be.
        if (scene.key === 'wall' && pick === 'most' && number.startsWith('window')) continue;
        expect(length / numbers[number]!).toBeCloseTo(1, 2);
      }
    }
  });

  it('sews parts together along lines as long as each other, on the edge of both', () => {
    const { parts, seams } = drawnWith(scene, 'usual');
    for (const { parts: keys, lines } of seams) {
      expect(lines[0].length).toBe(lines[1].length);
      expect(lines[0].length).toBeGreaterThan(2);
      const [one, other] = lines.map(pathLength);
      expect(one! / other!).toBeCloseTo(1, 2);
      for (const [at, key] of keys.entries()) {
        const part = parts.find((each) => each.key === key)!;
        expect(part).toBeDefined();
        for (const { x, y } of lines[at]!) {
          const { width, height } = part.box;
          const near = 0.02 * Math.max(width, height);
          expect(x).toBeGreaterThan(-near);
          expect(x).toBeLessThan(width + near);
          expect(y).toBeGreaterThan(-near);
          expect(y).toBeLessThan(height + near);
        }
      }
    }
  });
});

describe('scenes', () => {
  it.each(SCENES.map((scene) => [scene.key, scene] as const))(
    'have outlines that are plain, none of which winds twice round anything: %s',
    (_, scene) => {
      const { parts } = drawnWith(scene, 'usual');
      for (const part of parts) {
        const { outline } = drawPart(part, []);
        const signed = Math.abs(outline.reduce((sum, each) => sum + areaOfPlaces(each.places), 0));
        const grid = {
          width: 4096 * SUBPIXELS,
          height: 4096 * SUBPIXELS,
          pitch: { x: 4096, y: 4096 },
          scale: { x: SUBPIXELS, y: SUBPIXELS },
        };
        const contours = outline.map(({ places }) => polyline(places, true));
        const resolved = resolveFigure({ kind: 'outline', contours }, grid);
        const area = Math.abs(resolved.reduce((sum, each) => sum + areaOfPlaces(each), 0)) / SUBPIXELS ** 2;
        expect(area / signed).toBeCloseTo(1, 2);
      }
    },
  );

  it('are as many as are asked for, and found by their keys', () => {
    expect(SCENES.length).toBeGreaterThanOrEqual(22);
    expect(sceneOf('curtain').name).toBe('Curtain');
    expect(() => sceneOf('sail')).toThrow('scene/unknown');
  });

  it('have a person beside them as tall as is said, on the same ground', () => {
    const drawing = drawnWith(sceneOf('cushion'), 'usual');
    const parts = drawing.parts.map((part) => drawPart(part));
    const whole = wholeDrawing(drawing, parts, 1650);
    const places = whole.person!.places;
    expect(Math.max(...places.map(({ y }) => y))).toBeCloseTo(1650, 6);
    expect(Math.min(...places.map(({ y }) => y))).toBeGreaterThanOrEqual(-1);
    expect(Math.min(...places.map(({ x }) => x))).toBeGreaterThan(450);
    expect(whole.bounds.right).toBeGreaterThan(Math.max(...places.map(({ x }) => x)));
    expect(whole.dimensions.at(-1)!.length).toBeCloseTo(1650, 9);
  });

  it('draw a person whose two sides are each other’s mirror image', () => {
    const places = chordsOf(person(1720), 0.5);
    const left = places.reduce((sum, { x }) => Math.min(sum, x), 0);
    const right = places.reduce((sum, { x }) => Math.max(sum, x), 0);
    expect(left).toBeCloseTo(-right, 6);
  });
});
