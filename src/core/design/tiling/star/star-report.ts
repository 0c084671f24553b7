import type { TilingDesign } from '../../design-schema.ts';
import { pixelOf } from '../../lay/lay-schema.ts';
import { type StrapReport, strapReport } from '../../strap/strap-report.ts';
import { layTiling } from '../lay-tiling.ts';
import { sideOf } from '../side-of.ts';
import { starStyle } from './star-style.ts';
import { starFaces, starLattice, starWork } from './star-work.ts';

/** How straps of a star pattern lie over each other; null where it has none. @throws CoreError as `layTiling`, `starWork` */
export function starReport({ construction, shades, resolution }: TilingDesign): StrapReport | null {
  const { star } = construction;
  if (!star?.line?.strap) return null;
  const laid = layTiling(construction, shades);
  const pixel = pixelOf(resolution);
  const one = sideOf(construction, laid, pixel);
  const work = starWork(starFaces(laid.tiling, star, one), starLattice(laid.tiling, one), star);
  return strapReport(work, [starStyle(star.line, pixel)]);
}
