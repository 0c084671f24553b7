import { describe, expect, it } from 'vitest';
import { compileUnit } from '../../core/design/compile-design.ts';
import { newTiling, type TilingOrder } from '../../core/design/new-design.ts';
import { formOf } from '../../core/design/tiling/form-of.ts';
import type { FormSpec } from '../../core/design/tiling/form-schema.ts';
import { surdToNumber } from '../../core/exact/surd.ts';
import { partitionIn } from '../../core/repeat/contents.ts';
import { buildTiling } from '../../core/tiling/tiling-form.ts';
import { familyHandles } from './family-handles.ts';
import { blockByHand, resizedBlock, withFaceShade } from './tiling-edits.ts';
import { laidPlaces, placeAt, sidesRound } from './tiling-places.ts';

const SHADES = ['#203040', '#f0e8d0', '#a03020', '#607050'].map((hex, at) => ({
  key: 'ABCD'[at]!,
  name: hex,
  hex,
}));

function tiling(form: FormSpec, more: Partial<TilingOrder> = {}) {
  return newTiling({ name: 'Floor', shades: SHADES, size: '10', form, ...more });
}

describe('what is pointed at on a tiling', () => {
  const places = laidPlaces(tiling({ kind: 'regular', name: '4.8.8' }, { faces: ['A', 'B'] }));

  it.each([
    ['face', 5, 10, 0.5],
    ['side', 5, 0.2, 0.5],
    ['corner', 0.1, 0.1, 0.5],
  ] as const)('is a %s', (kind, x, y, reach) => {
    expect(placeAt(places, { x, y }, reach)?.kind).toBe(kind);
  });

  it('is found in every repeat, and told which one', () => {
    const here = placeAt(places, { x: 5, y: 10 }, 0.5)!;
    const far = placeAt(places, { x: 5 + 3 * places.width, y: 10 - 2 * places.height }, 0.5);
    expect(far).toEqual({ ...here, across: here.across + 3, up: here.up - 2 });
  });

  it('has the faces round it that its name says', () => {
    const corner = placeAt(places, { x: 0.1, y: 0.1 }, 0.5)!;
    expect([...sidesRound(places, corner)].sort()).toEqual([4, 8, 8]);
    const side = placeAt(places, { x: 5, y: 0.2 }, 0.5)!;
    expect(sidesRound(places, side)).toEqual([8, 8]);
  });
});

describe('colouring by hand', () => {
  const hexagons = tiling(
    { kind: 'regular', name: '6.6.6' },
    { faces: ['A', 'B', 'C'], colours: 'neighbours' },
  );

  it('keeps the colours that there are, but for the one face', () => {
    const { construction } = hexagons;
    const colours = withFaceShade(construction, { face: 0, cell: [0, 0] }, 'D');
    const used = (order: Partial<TilingOrder>) => {
      const { faces } = partitionIn(compileUnit(tiling(construction.form, order)));
      return [0, 1, 2, 3].map(
        (shade) => faces.filter((face) => face.fill.shade === shade).length / faces.length,
      );
    };
    expect(used({ faces: ['A', 'B', 'C'], colours: 'neighbours' })).toEqual([1 / 3, 1 / 3, 1 / 3, 0]);
    // A block of nine cells, one of which has another shade.
    expect(used({ colours }).toSorted()).toEqual([1 / 9, 2 / 9, 1 / 3, 1 / 3]);
  });

  it('goes on over a larger block as it was', () => {
    const block = blockByHand(hexagons.construction, 3, 3);
    const construction = { ...hexagons.construction, colours: block };
    const larger = resizedBlock(construction, { across: 6 });
    expect(larger).toMatchObject({ across: 6, up: 3 });
    expect(larger.shades.slice(0, 6)).toEqual([...block.shades.slice(0, 3), ...block.shades.slice(0, 3)]);
  });
});

describe('corners of families', () => {
  const forms: readonly FormSpec[] = [
    { kind: 'bricks', height: '1/2', step: '1/4' },
    { kind: 'rhombus', across: '3', up: '4' },
    { kind: 'angled', rise: 2 },
    { kind: 'squares', small: '1/2' },
    { kind: 'octagons', slant: '1/2' },
    { kind: 'triangles', height: '1', tip: '1/4' },
    { kind: 'hexagons', across: '1', up: '1/2' },
    { kind: 'parallelograms', height: '1', lean: '1/4' },
    { kind: 'kites', above: '1', below: '3/2' },
    { kind: 'pentagons', half: '1/4' },
    { kind: 'herringbone', width: '1/4' },
    { kind: 'hexagons-triangles', other: '1/2' },
  ];

  it.each(forms.map((form) => [form.kind, form] as const))(
    '%s lie where a corner is, and stay there when they are put there',
    (_, form) => {
      if (form.kind === 'grown') throw new Error('expected a family');
      const corners = buildTiling(formOf(form)).faces.flat();
      for (const { at, moved } of familyHandles(form)) {
        const near = corners.some(
          ({ x, y }) => Math.hypot(surdToNumber(x) - at.x, surdToNumber(y) - at.y) < 1e-9,
        );
        expect(near).toBe(true);
        expect(moved(at)).toEqual(form);
      }
      expect(familyHandles(form).length).toBeGreaterThan(0);
    },
  );

  it('of a rhombus keep its side, and follow the way of the hand; arrows reach every angle', () => {
    const [ratio] = familyHandles({ kind: 'rhombus', across: '3', up: '4' });
    expect(ratio!.moved({ x: 2, y: 2 })).toEqual({ kind: 'rhombus', across: '3', up: '3' });
    for (const rise of [1, 2, 3, 4, 5]) {
      const { at, moved, step } = familyHandles({ kind: 'angled', rise })[0]!;
      expect(moved({ x: at.x, y: at.y + step! })).toEqual({ kind: 'angled', rise: Math.min(5, rise + 1) });
      expect(moved({ x: at.x + step!, y: at.y })).toEqual({ kind: 'angled', rise: Math.max(1, rise - 1) });
    }
  });

  it.each(forms.map((form) => [form.kind, form] as const))(
    '%s take no numbers that they do not have',
    (_, form) => {
      for (const { moved } of familyHandles(form)) {
        for (const [x, y] of [
          [-9, -9],
          [99, 99],
          [0, 0],
          [-3, 50],
        ] as const) {
          const next = moved({ x, y });
          if (next.kind === 'grown') throw new Error('expected a family');
          expect(() => buildTiling(formOf(next))).not.toThrow();
        }
      }
    },
  );
});
