import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { coveredArea, printedArea, reflectanceOf } from './dot-gain.ts';
import { inGamut, type Light, lightOfHex, printedLight } from './printed-colour.ts';
import { shadePrints } from './shade-prints.ts';
import { SUBSTRATES } from './substrate.ts';
import { weaveRelief } from './weave-relief.ts';

const part = fc.double({ min: 0, max: 1, noNaN: true });
const substrate = fc.constantFrom(...SUBSTRATES);

describe('dot gain', () => {
  it('prints 50 % as 65 % where it gains 15 %, and nothing and all as they are', () => {
    expect(printedArea(0.5, 0.15)).toBeCloseTo(0.65, 12);
    expect([printedArea(0, 0.15), printedArea(1, 0.15)]).toEqual([0, 1]);
  });

  it('is measured by what reflects', () => {
    // By hand: a tint that reflects 0.52 beside a solid of 0.04: (1 − 0.52) / (1 − 0.04) = 0.5.
    expect(coveredArea(0.52, 0.04)).toBeCloseTo(0.5, 12);
    fc.assert(
      fc.property(part, (area) => Math.abs(coveredArea(reflectanceOf(area, 0.04), 0.04) - area) < 1e-12),
    );
  });
});

describe('a printed colour', () => {
  it('is bare cloth where it is white, and black ink on cloth where it is black', () => {
    for (const each of SUBSTRATES) {
      const cloth = lightOfHex(each.hex);
      const white = printedLight([1, 1, 1], each, cloth);
      for (const at of [0, 1, 2]) expect(white[at]).toBeCloseTo(cloth[at]!, 9);
      const dark = printedLight([0, 0, 0], each, cloth);
      for (const at of [0, 1, 2]) expect(dark[at]).toBeCloseTo(each.black * cloth[at]!, 9);
    }
  });

  it('is never lighter than the cloth, nor darker than black ink, nor lighter than it was meant', () => {
    fc.assert(
      fc.property(fc.tuple(part, part, part), substrate, (light, each) => {
        const cloth = lightOfHex(each.hex);
        const printed = printedLight(light as Light, each, cloth);
        const reached = inGamut(light as Light, each.black);
        return printed.every(
          (value, at) =>
            value <= cloth[at]! + 1e-9 &&
            value >= each.black * cloth[at]! - 1e-9 &&
            value <= reached[at]! + 1e-9,
        );
      }),
    );
  });

  it('stays as it is where the inks reach it', () => {
    expect(inGamut([0.5, 0.3, 0.2], 0.04)).toEqual([0.5, 0.3, 0.2]);
    expect(inGamut([0.5, 0.01, 0], 0.04)).toEqual([0.5, 0.04, 0.04]);
  });
});

describe('the light on woven cloth', () => {
  it('is 1 in the mean, and flat where threads are finer than pixels', () => {
    for (const each of SUBSTRATES) {
      const relief = weaveRelief(each, { x: each.threads * 800, y: each.threads * 800 });
      const values = Array.from({ length: 1600 }, (_, at) =>
        relief((at % 40) + 0.5, Math.floor(at / 40) + 0.5),
      );
      expect(values.reduce((sum, value) => sum + value, 0) / values.length).toBeCloseTo(1, 2);
      expect(Math.max(...values) - Math.min(...values)).toBeGreaterThan(each.relief / 2);
      expect(weaveRelief(each, { x: each.threads * 100, y: each.threads * 100 })(7, 3)).toBe(1);
    }
  });
});

describe('shadePrints', () => {
  it('tells a difference that grows with the dot', () => {
    const grey = [{ key: 'A', name: 'Ballast', hex: '#808080' }];
    const [lawn, canvas] = [SUBSTRATES[0]!, SUBSTRATES[1]!].map(
      (each) => shadePrints(grey, { ...each, hex: '#ffffff' })[0]!,
    );
    expect(lawn!.difference).toBeGreaterThan(1);
    expect(canvas!.difference).toBeGreaterThan(lawn!.difference);
    expect(
      shadePrints(grey, { ...SUBSTRATES[0]!, hex: '#ffffff', gain: 0, black: 0.01 })[0]!.difference,
    ).toBeLessThan(0.5);
  });
});
