import { describe, expect, it } from 'vitest';
import { starSchema } from '../../core/design/tiling/star/star-schema.ts';
import { usualStar, withFill, withStarLine } from './star-edits.ts';

describe('stars on the bench', () => {
  it('begin as lines that a document may hold', () => {
    expect(starSchema.safeParse(usualStar('K')).success).toBe(true);
  });

  it('become straps, lines and nothing, and their shade stays', () => {
    const star = usualStar('K');
    const straps = withStarLine({ ...star, line: { ...star.line!, shade: 'B' } }, 'straps', 'K')!;
    expect(straps).toMatchObject({ shade: 'B', strap: { gap: '0.5 mm' } });
    expect(withStarLine({ ...star, line: straps }, 'lines', 'K')).toMatchObject({ shade: 'B', strap: null });
    expect(withStarLine({ ...star, line: straps }, 'none', 'K')).toBeNull();
    expect(withStarLine({ ...star, line: null }, 'lines', 'K')).toMatchObject({ shade: 'K' });
  });

  it('are filled by their faces, and no more', () => {
    const one = withFill([], 12, 'B');
    expect(withFill(one, 12, 'R')).toEqual([{ sides: 12, shade: 'R' }]);
    expect(withFill(one, 12, '')).toEqual([]);
  });
});
