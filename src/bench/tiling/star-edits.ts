import type { StarSpec } from '../../core/design/tiling/star/star-schema.ts';

/** Lengths that a strap of a star begins with. */
export const USUAL_STAR_STRAP = { thin: '0.3 mm', dash: '1 mm', dip: '3 mm' } as const;

/** Thin lines at 60°. */
export function usualStar(shade: string): StarSpec {
  return { angle: '60', apart: '0', line: plainLine(shade), fills: [], swapped: false, turned: [] };
}

function plainLine(shade: string): NonNullable<StarSpec['line']> {
  return { width: '1 mm', shade, ends: 'sharp', strap: null };
}

/** The lines of stars drawn another way; straps begin wider than lines. */
export function withStarLine(
  star: StarSpec,
  look: 'lines' | 'straps' | 'none',
  shade: string,
): StarSpec['line'] {
  if (look === 'none') return null;
  const line = star.line ?? plainLine(shade);
  if (look === 'lines') return { ...line, strap: null };
  return { ...line, width: '3 mm', strap: { gap: '0.5 mm', edges: [], centre: null, dip: null } };
}

/** Stars of so many sides in a shade; empty: not filled. */
export function withFill(fills: StarSpec['fills'], sides: number, shade: string): StarSpec['fills'] {
  const others = fills.filter((fill) => fill.sides !== sides);
  return shade === '' ? others : [...others, { sides, shade }];
}
