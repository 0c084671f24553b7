import { wcagLuminance } from 'culori';
import { describe, expect, it } from 'vitest';
import { PROOFS, seenAs } from '../colour/proof.ts';
import { compileUnit } from '../design/compile-design.ts';
import { designFromStart } from '../design/starts.ts';
import { proofed } from './proofed.ts';

describe('proofs', () => {
  it('leave white and black, and change nothing when there is none', () => {
    for (const proof of PROOFS) {
      expect(seenAs('#ffffff', proof)).toBe('#ffffff');
      expect(seenAs('#000000', proof)).toBe('#000000');
    }
    expect(seenAs('#8c2f25', 'none')).toBe('#8c2f25');
  });

  it('turn colours into greys of the same luminance', () => {
    for (const hex of ['#8c2f25', '#2e4c63', '#c79a3b']) {
      const grey = seenAs(hex, 'grey');
      expect(grey.slice(1, 3)).toBe(grey.slice(3, 5));
      expect(wcagLuminance(grey)).toBeCloseTo(wcagLuminance(hex), 2);
    }
  });

  it('bring red and green together without one cone, blue and yellow not', () => {
    const apart = (a: string, b: string) =>
      [1, 3, 5].reduce(
        (sum, at) =>
          sum + Math.abs(Number.parseInt(a.slice(at, at + 2), 16) - Number.parseInt(b.slice(at, at + 2), 16)),
        0,
      );
    const [red, green, blue, yellow] = ['#a04030', '#507030', '#2040a0', '#e0c040'] as const;
    expect(apart(seenAs(red, 'deutan'), seenAs(green, 'deutan'))).toBeLessThan(apart(red, green) / 2);
    expect(apart(seenAs(blue, 'deutan'), seenAs(yellow, 'deutan'))).toBeGreaterThan(apart(blue, yellow) / 2);
  });

  it('see what printing makes, after it is mixed', () => {
    const unit = compileUnit(designFromStart('plaid', 'flat-gingham'));
    const seen = proofed(unit, 'grey');
    expect(seen.content.shades.map((shade) => shade.hex)).toEqual(
      unit.content.shades.map((shade) => seenAs(shade.hex, 'grey')),
    );
    expect(seen.content.rows).toBe(unit.content.rows);
    expect(proofed(unit, 'none')).toBe(unit);
  });
});
