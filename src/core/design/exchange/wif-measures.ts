import { parseExact } from '../../exact/parse-exact.ts';
import { multiply, ONE, type Rational, rational, toText } from '../../exact/rational.ts';
import type { WifKept, WifMeasures } from '../../formats/wif/wif.ts';
import type { Design } from '../design-schema.ts';

/** Sections in which measures are kept that a design has no place for, with their unit. */
export const MEASURED = /^(WARP|WEFT) (MEASURES|SPACING|THICKNESS)$/;

/** The section in which shades keep their letters and names, which the format has no place for. */
export const SHADES = 'VETRO SHADES';

/** How many of one unit an inch or a centimetre is. */
export function unitsIn(from: 'cm' | 'in', to: 'cm' | 'in'): Rational {
  if (from === to) return ONE;
  return from === 'in' ? rational(254, 100) : rational(100, 254);
}

/** Thickness of the threads, and measures of single ones; their common spacing is the density. */
export function keptMeasures(way: 'WARP' | 'WEFT', measures: WifMeasures): readonly WifKept[] {
  const { unit, thickness, spacings, thicknesses } = measures;
  if (thickness === undefined && spacings.length + thicknesses.length === 0) return [];
  const common = [
    ['unit', unit] as const,
    ...(thickness === undefined ? [] : [['thickness', thickness] as const]),
  ];
  return [
    { section: `${way} MEASURES`, lines: common },
    ...(spacings.length === 0 ? [] : [{ section: `${way} SPACING`, lines: spacings }]),
    ...(thicknesses.length === 0 ? [] : [{ section: `${way} THICKNESS`, lines: thicknesses }]),
  ];
}

/** What `keptMeasures` kept, in another unit; threads beyond `count` are left out. */
export function measuresIn(
  way: 'WARP' | 'WEFT',
  kept: Design['kept'],
  count: number,
  unit: 'cm' | 'in',
): Omit<WifMeasures, 'spacing'> {
  const linesOf = (what: string) =>
    asLines(kept).find(({ section }) => section === `${way} ${what}`)?.lines ?? [];
  const common = new Map(linesOf('MEASURES'));
  const factor = unitsIn(common.get('unit') === 'in' ? 'in' : 'cm', unit);
  const turned = (text: string) => toText(multiply(parseExact(text), factor));
  const single = (what: string) =>
    linesOf(what)
      .filter(([key]) => Number(key) <= count)
      .map(([key, value]) => [key, turned(value)] as const);
  const thickness = common.get('thickness');
  return {
    unit,
    thickness: thickness === undefined ? undefined : turned(thickness),
    spacings: single('SPACING'),
    thicknesses: single('THICKNESS'),
  };
}

export function asLines(kept: Design['kept']): readonly WifKept[] {
  return kept.map(({ section, lines }) => ({
    section,
    lines: lines.map((line) => [line[0] ?? '', line[1] ?? ''] as const),
  }));
}
