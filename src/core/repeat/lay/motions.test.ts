import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { disc, motifOf } from '../../../../tests/motif-of.ts';
import { sampleDesign } from '../../../../tests/sample-design.ts';
import { compile, compileUnit } from '../../design/compile-design.ts';
import type { Design } from '../../design/design-schema.ts';
import { boxOnCloth } from '../../design/lay/laid-box.ts';
import { turnOffers } from '../../design/lay/turn-offers.ts';
import { laidPlaid } from '../../design/plaid/laid-plaid.ts';
import { paintMotions } from '../../paint/paint-motions.ts';
import { inverseMotion, mirrorIn, movePlace, thenMotion, turnAbout } from '../../shape/contour.ts';
import { placesOfFigure } from '../../shape/figure-places.ts';
import { areaOfPlaces } from '../../shape/places.ts';
import { scaleFigure } from '../../shape/scale-figure.ts';
import { cellAt } from '../../thread/cells.ts';
import { byGroup } from './arranged.ts';
import { copiedPart } from './copied-part.ts';
import { gridMotions } from './grid-motions.ts';
import { BOX_GROUPS } from './group-blocks.ts';
import { SIXTY_GROUPS, sixtyMotions } from './sixty-groups.ts';

const place = fc.record({ x: fc.integer({ min: -50, max: 50 }), y: fc.integer({ min: -50, max: 50 }) });

describe('motions', () => {
  it('are taken back by their inverses', () => {
    fc.assert(
      fc.property(
        place,
        place,
        fc.integer({ min: 0, max: 23 }),
        fc.boolean(),
        (about, at, step, mirrored) => {
          const motion = mirrored ? mirrorIn(about, step * 15) : turnAbout(about, step * 15);
          const back = movePlace(movePlace(at, motion), inverseMotion(motion));
          expect(back.x).toBeCloseTo(at.x, 9);
          expect(back.y).toBeCloseTo(at.y, 9);
          const none = thenMotion(motion, inverseMotion(motion));
          expect([none.a, none.b, none.mirrored]).toEqual([
            expect.closeTo(1, 9),
            expect.closeTo(0, 9),
            false,
          ]);
        },
      ),
    );
  });

  it('of a group fill the plane with the part that is copied: its area times their number is that of a cell', () => {
    const box = { x: 6, y: 6 };
    for (const group of BOX_GROUPS) {
      const arranged = byGroup(group, 'across');
      const [one, other] = arranged.ways;
      const cell = Number(one.x.n * other.y.n - one.y.n * other.x.n) * box.x * box.y;
      expect(areaOfPlaces(copiedPart(arranged, box)) * arranged.copies.length).toBeCloseTo(Math.abs(cell), 9);
    }
    for (const group of SIXTY_GROUPS) {
      const part = copiedPart({ kind: 'sixty', group }, box);
      const cell = (box.x * box.x * Math.sqrt(3)) / 2;
      expect(areaOfPlaces(part) * sixtyMotions(group).length).toBeCloseTo(cell, 9);
    }
  });

  it('that a cloth does not have are found in the picture', () => {
    const plain = compile(sampleDesign('warp: A3 B2 C1\nweft: B2 A4\nweave: 2/1Z\ndensity: 20/in'));
    const { width, height } = compileUnit(
      sampleDesign('warp: A3 B2 C1\nweft: B2 A4\nweave: 2/1Z\ndensity: 20/in'),
    ).content;
    // The unit itself is no cloth that was mirrored.
    const motions = gridMotions(
      byGroup('p2mm', 'across'),
      { width: width / 2, height: height / 2 },
      plain,
      'doubled',
    );
    expect(paintMotions(plain, motions!).differingBytes).toBeGreaterThan(0);
  });
});

describe('the box on the cloth', () => {
  const turned = (lay: Partial<Design['lay']>) => {
    const design = motifOf([{ shape: disc('3') }]);
    const laid = { ...design, lay: { ...design.lay, ...lay } };
    return boxOnCloth(laid, compile(laid));
  };

  it('is as large as it is scaled and turned as it is turned, its lattice with it', () => {
    const { corners, factor, cells } = turned({
      scale: { to: 'factor', factor: '1/2', lines: true },
      slope: { up: 3, across: 4, asked: null },
    });
    expect(factor).toBeCloseTo(0.5, 12);
    // Eight steps of 5 mm, halved, along (4, 3)/5.
    expect(corners[1]!.x).toBeCloseTo(16, 9);
    expect(corners[1]!.y).toBeCloseTo(12, 9);
    expect(cells).toBe(25);
  });

  it('comes again at each step of a lattice: twice in a half-drop', () => {
    const { cells, lattice } = turned({ arrangement: { kind: 'half-drop', by: '1/2' } });
    expect(cells).toBe(2);
    expect(lattice).toEqual([
      { x: 40, y: 20 },
      { x: 0, y: 40 },
    ]);
  });
});

describe('turns', () => {
  it('are offered each nearer than all smaller ones, and hold what Pythagoras says', () => {
    const unit = compile(motifOf([{ shape: disc('3') }]));
    const offers = turnOffers(unit, 35);
    offers.forEach((offer, at) => {
      const before = offers[at - 1];
      expect(offer.repeats).toBe(offer.slope.up === 0 ? 1 : offer.slope.up ** 2 + offer.slope.across ** 2);
      if (before === undefined) return;
      expect(Math.abs(offer.error)).toBeLessThan(Math.abs(before.error));
      expect(offer.repeats).toBeGreaterThan(before.repeats);
    });
    // 7/10 is 34.992° (trade.md: rational slopes).
    expect(offers.map(({ slope }) => `${slope.up}/${slope.across}`)).toContain('7/10');
  });
});

describe('a figure that is scaled', () => {
  it('has its lines wider with it, or as they were', () => {
    const unit = compileUnit(
      motifOf([
        { shape: disc('3'), outline: { width: '1', shade: 'R', side: 'on', ends: 'round', dashes: null } },
      ]),
    );
    const [mark] = unit.content.marks;
    const figure = mark!.shape.kind === 'figure' ? mark!.shape.figure : undefined;
    const wide = (places: readonly { x: number }[]) => Math.max(...places.map(({ x }) => x));
    const larger = scaleFigure(figure!, { by: 3, lines: 1 });
    expect(wide(placesOfFigure(larger))).toBeCloseTo(3 * wide(placesOfFigure(figure!)), 9);
  });
});

describe('laid threads as a cloth of their own', () => {
  const plaid = sampleDesign('warp: A4 B2 C6 D1\nweft: C3 A2\nweave: 2/2Z\ndensity: 20/in');

  it('are the same cells', () => {
    const laid = {
      ...plaid,
      lay: { ...plaid.lay, arrangement: { kind: 'group', group: 'p2mm', way: 'across' } as const },
    };
    const [one, other] = [compile(laid).content, compileUnit(laidPlaid(laid)).content];
    if (one.kind !== 'cells') throw new Error('expected cells');
    expect([other.width, other.height]).toEqual([one.width, one.height]);
    for (let y = 0; y < one.height; y += 1) {
      for (let x = 0; x < one.width; x += 1) expect(cellAt(other, x, y)).toBe(cellAt(one, x, y));
    }
  });

  it('that change their shade inside the cloth are not woven', () => {
    const half = { arrangement: { kind: 'half-drop', by: '1/2' } as const };
    // Half of 20 picks are two whole rounds of the weft's five.
    expect(() => laidPlaid({ ...plaid, lay: { ...plaid.lay, ...half } })).not.toThrow();
    const other = sampleDesign('warp: A4 B2 C6 D1\nweft: C3 A1\nweave: 2/2Z\ndensity: 20/in');
    const laid = { ...other, lay: { ...other.lay, ...half } };
    expect(() => laidPlaid(laid)).toThrow('lay/unwoven');
  });
});
