import { describe, expect, it } from 'vitest';
import { compile } from '../../core/design/compile-design.ts';
import type { Design } from '../../core/design/design-schema.ts';
import { readDesign } from '../../core/design/read-design.ts';
import { designFromStart } from '../../core/design/starts.ts';
import { parseBend } from '../../core/design/try-on/bend-text.ts';
import { compileTryOn, drawTryOn } from '../../core/design/try-on/compile-try-on.ts';
import { readBend } from '../../core/design/try-on/read-bend.ts';
import { usualTryOn } from '../../core/design/try-on/usual-try-on.ts';
import { rational } from '../../core/exact/rational.ts';
import type { ScenePart } from '../../core/scene/scene.ts';
import { afterBend, handlesOf } from './drawing/bend-handles.ts';
import { flatWay, handText, partAt } from './drawing/hold-scene.ts';
import {
  FITTED,
  pannedBy,
  placeOf,
  scaleText,
  toScene,
  toView,
  zoomedAbout,
} from './drawing/scene-camera.ts';
import {
  bendsOf,
  changeBends,
  changeParts,
  inEachDesign,
  putCloth,
  removeCloth,
  resetPart,
  setScene,
  setSceneNumber,
  takeNewerCloth,
  tryOnOf,
  waysToSee,
} from './try-on-edits.ts';

const gingham: Design = designFromStart('plaid', 'gingham');
const stripe: Design = designFromStart('stripe', 'even');
const SCALE = { step: rational(1), pixel: rational(1, 10) };
const BOX: ScenePart = { key: 'part', name: 'Part', at: { x: 0, y: 0 }, box: { width: 600, height: 400 } };

describe('the camera of a scene', () => {
  const bounds = { left: -50, right: 650, bottom: -20, top: 480 };
  const view = { width: 940, height: 660 };
  const place = placeOf(FITTED, bounds, view);

  it('fits all that is drawn into the view', () => {
    const low = toView(place, { x: bounds.left, y: bounds.bottom });
    const high = toView(place, { x: bounds.right, y: bounds.top });
    expect(low.x).toBeGreaterThanOrEqual(60);
    expect(high.x).toBeLessThanOrEqual(880);
    expect(high.y).toBeGreaterThanOrEqual(60);
    expect(low.y).toBeLessThanOrEqual(600);
    expect((low.x + high.x) / 2).toBeCloseTo(470, 6);
  });

  it('zooms about a point, pans with the hand, and finds places again', () => {
    const point = { x: 200, y: 300 };
    const nearer = placeOf(zoomedAbout(place, point, 2), bounds, view);
    const before = toScene(place, point);
    const after = toScene(nearer, point);
    expect(after.x).toBeCloseTo(before.x, 9);
    expect(after.y).toBeCloseTo(before.y, 9);
    expect(nearer.perMillimetre).toBeCloseTo(2 * place.perMillimetre, 9);
    const panned = placeOf(pannedBy(place, { x: 30, y: -10 }), bounds, view);
    expect(toView(panned, { x: 0, y: 0 }).x).toBeCloseTo(toView(place, { x: 0, y: 0 }).x + 30, 9);
    expect(toView(panned, { x: 0, y: 0 }).y).toBeCloseTo(toView(place, { x: 0, y: 0 }).y - 10, 9);
  });

  it.each([
    [1, 4, '1 : 4'],
    [4, 4, '1 : 1'],
    [8, 4, '2 : 1'],
    [0.3, 3.78, '1 : 12.6'],
  ])('writes the scale of %f CSS pixels a millimetre', (perMillimetre, perTrue, text) => {
    expect(scaleText(perMillimetre, perTrue)).toBe(text);
  });
});

describe('the handles of a bend', () => {
  it.each([
    'arc 40',
    'arc -25',
    'waist -40% 30% 50%',
    'ripple 200mm 30mm',
    'folds 6 50mm',
    'form 90 40',
    'perspective 0,0 600,20 500,380 80,360',
  ])('of %s lie where they leave it as it is', (text) => {
    const spec = parseBend(text);
    const handles = handlesOf(spec, BOX, SCALE);
    expect(handles.length).toBeGreaterThan(0);
    const numbers = (bend: unknown) =>
      (JSON.stringify(bend).match(/-?\d+(\.\d+)?/g) ?? []).map((number) => Number(number));
    for (const { at, moved } of handles) {
      const same = numbers(readBend(moved(at), SCALE));
      const known = numbers(readBend(spec, SCALE));
      expect(same.length).toBe(known.length);
      // By hand numbers are whole tenths.
      for (const [index, number] of same.entries()) {
        expect(Math.abs(number - known[index]!)).toBeLessThanOrEqual(0.06);
      }
    }
  });

  it('follow the hand', () => {
    const [waist] = handlesOf(parseBend('waist 0 50% 50%'), BOX, SCALE);
    expect(waist!.moved({ x: 450, y: 100 })).toMatchObject({ share: '-50%', at: '25%' });
    const corners = handlesOf(parseBend('perspective 0,0 600,0 600,400 0,400'), BOX, SCALE);
    expect(corners.map(({ name }) => name)[2]).toBe('Upper right corner');
    expect(corners[2]!.moved({ x: 480, y: 390 })).toMatchObject({
      corners: [{ x: '0' }, { x: '600' }, { x: '480 mm', y: '390 mm' }, { x: '0' }],
    });
  });

  it('never bend further than can be', () => {
    const [waist] = handlesOf(parseBend('waist 0'), BOX, SCALE);
    expect(waist!.moved({ x: -500, y: -500 })).toMatchObject({ share: '-95%', at: '0%' });
    const [across] = handlesOf(parseBend('form 90 0'), BOX, SCALE);
    expect(across!.moved({ x: -900, y: 0 })).toMatchObject({ across: '180°' });
  });

  it('are carried along by the bends that come after', () => {
    const specs = [parseBend('waist -40%'), parseBend('ripple 200mm 30mm')];
    const { there, back } = afterBend(specs, 0, BOX, SCALE);
    const moved = there({ x: 50, y: 100 });
    expect(moved.y).toBeCloseTo(130, 6);
    expect(back(moved).y).toBeCloseTo(100, 6);
    const last = afterBend(specs, 1, BOX, SCALE);
    expect(last.there({ x: 50, y: 100 })).toEqual({ x: 50, y: 100 });
  });
});

describe('a hand on a scene', () => {
  const { parts } = drawTryOn(gingham, usualTryOn('shirt'));

  it('finds the uppermost part under it, and none beside', () => {
    expect(partAt(parts, { x: 352, y: 540 })!.drawn.part.key).toBe('pocket');
    expect(partAt(parts, { x: 352, y: 300 })!.drawn.part.key).toBe('left-front');
    expect(partAt(parts, { x: 5, y: 740 })).toBeUndefined();
  });

  it('finds no part in a hole', () => {
    const ring = drawTryOn(gingham, usualTryOn('ring')).parts;
    expect(partAt(ring, { x: 250, y: 250 })).toBeUndefined();
    expect(partAt(ring, { x: 30, y: 250 })!.drawn.part.key).toBe('ring');
  });

  it('moves as much cloth as lies under its way', () => {
    const [curtain] = drawTryOn(gingham, usualTryOn('curtain')).parts;
    const { bent, part } = curtain!.drawn;
    const way = flatWay(bent, part.at, { x: 200, y: 900 }, { x: 300, y: 850 })!;
    // Folds take up more cloth than is seen.
    expect(way.x).toBeGreaterThan(110);
    expect(way.y).toBeCloseTo(-50, 9);
    expect(handText(-0.04)).toBe('0 mm');
    expect(handText(12.345)).toBe('12.3 mm');
  });
});

describe('edits of a scene', () => {
  it('begin it, and leave a design as it is where nothing is new', () => {
    const begun = setScene('curtain')(gingham);
    expect(begun.tryOn!.scene).toBe('curtain');
    expect(setScene('curtain')(begun)).toBe(begun);
    expect({ ...begun, tryOn: null }).toEqual(gingham);
  });

  it('hold numbers only while they are not the usual ones', () => {
    const wider = setSceneNumber('width', '900 mm', 700)(setScene('curtain')(gingham));
    expect(tryOnOf(wider).numbers).toEqual({ width: '900 mm' });
    expect(tryOnOf(setSceneNumber('width', '700', 700)(wider)).numbers).toEqual({});
  });

  it('make the scene’s bends a part’s own before they change them, and give them back', () => {
    const begun = setScene('curtain')(gingham);
    const [left, right] = drawTryOn(begun, tryOnOf(begun)).drawing.parts as [ScenePart, ScenePart];
    expect(bendsOf(tryOnOf(begun), left)).toEqual([{ kind: 'folds', count: '6', depth: '60 mm' }]);
    const bent = changeBends(left, (bends) => [...bends, parseBend('arc 10')])(begun);
    expect(bendsOf(tryOnOf(bent), left)).toHaveLength(2);
    expect(bendsOf(tryOnOf(bent), right)).toHaveLength(1);
    expect(tryOnOf(resetPart('left')(bent)).parts).toEqual({});
  });

  it('take a design of the shelf once, newer on request, and out again', () => {
    const begun = setScene('compartment')(gingham);
    const from = { id: 'a', version: 1 };
    const one = putCloth(['carpet'], stripe, from)(begun);
    const two = putCloth(['left-curtain'], stripe, from)(one);
    expect(tryOnOf(two).cloths).toHaveLength(1);
    expect(tryOnOf(two).parts['left-curtain']!.cloth).toBe(0);
    const other = putCloth(['right-curtain'], gingham, { id: 'b', version: 4 })(two);
    const newer = takeNewerCloth(0, { ...stripe, name: 'Newer' }, { id: 'a', version: 2 })(other);
    expect(tryOnOf(newer).cloths.map(({ design }) => design.name)).toEqual(['Newer', gingham.name]);
    expect(inEachDesign(newer).map(({ name }) => name)).toEqual([gingham.name, 'Newer', gingham.name]);
    const without = removeCloth(0)(newer);
    expect(tryOnOf(without).parts['carpet']!.cloth).toBe('design');
    expect(tryOnOf(without).parts['right-curtain']!.cloth).toBe(0);
    expect(readDesign(without)).toEqual(without);
    const { parts } = compileTryOn(without, tryOnOf(without), { unitOf: (each) => compile(each) });
    expect(parts.length).toBe(7);
  });

  it('offer to see it side by side where there is more than one to see', () => {
    const begun = setScene('curtain')(gingham);
    expect(waysToSee(begun)).toEqual(['one']);
    const more = putCloth(['left'], stripe, { id: 'a', version: 1 })(begun);
    expect(waysToSee(more)).toEqual(['one', 'designs']);
    const coloured = { ...more, colourways: [{ name: 'Night', colours: {} }] };
    expect(waysToSee(coloured)).toEqual(['one', 'colourways', 'designs']);
  });

  it('lay several parts alike in one step', () => {
    const begun = setScene('curtain')(gingham);
    const turned = changeParts(['left', 'right'], () => ({ turn: '45°' }))(begun);
    expect(Object.values(tryOnOf(turned).parts).map(({ turn }) => turn)).toEqual(['45°', '45°']);
  });
});
