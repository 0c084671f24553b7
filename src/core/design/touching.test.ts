import { describe, expect, it } from 'vitest';
import { designFromText } from './exchange/counts-text.ts';
import { touchingShades } from './touching.ts';

const SHADES = 'shades: A=#000000 Black, B=#ffffff White, C=#808080 Grey';

function pairs(...lines: readonly string[]): readonly string[] {
  return touchingShades(designFromText([SHADES, ...lines].join('\n'), 'x')).map(
    ({ one, other, contrast }) => `${[one.key, other.key].sort().join('')} ${contrast.toFixed(1)}`,
  );
}

describe('touchingShades', () => {
  it.each([
    ['round a sequence, the least contrast first', ['warp: A4 B4 C4'], ['BC 3.9', 'AC 5.3', 'AB 21.0']],
    ['not round one that turns back', ['warp: A/4 B4 C/4'], ['BC 3.9', 'AB 21.0']],
    ['of a weft of its own too', ['warp: A4 B4', 'weft: B2 C2'], ['BC 3.9', 'AB 21.0']],
    ['of a stripe', ['stripe: A4 C4'], ['AC 5.3']],
    ['none where there is one shade', ['warp: A4 A2'], []],
  ])('finds pairs %s', (_, lines, expected) => {
    expect(pairs(...lines)).toEqual(expected);
  });
});
