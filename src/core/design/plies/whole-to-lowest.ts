import { divide, ONE, rational, round, toText } from '../../exact/rational.ts';
import { divideSurds, nearFraction } from '../../exact/surd.ts';
import { repeatSize } from '../../repeat/repeat-unit.ts';
import { NO_PICTURES } from '../../shape/picture.ts';
import { compile } from '../compile-design.ts';
import type { Design, PliesDesign } from '../design-schema.ts';
import type { PlySpec } from './plies-schema.ts';
import { plyUnits } from './ply-units.ts';

/**
 * The scale at which the nearest whole number of a design's repeats is as wide as one of the lowest, or one as wide as a
 * whole number of these; its own size where nothing lies beneath.
 * @throws CoreError as `compile`
 */
export function wholeToLowest({ construction, shades }: PliesDesign, over: Design): PlySpec['scale'] {
  const { units, lowest } = plyUnits(construction.plies, { shades, pictures: NO_PICTURES });
  const beneath = units[lowest] && repeatSize(units[lowest].scaled);
  const size = repeatSize(compile(over));
  if (!beneath || size === null) return { to: 'factor', factor: '100%' };
  return { to: 'count', count: toText(nearestWhole(divideSurds(beneath.width, size.width))) };
}

/** The nearest whole number to a ratio, or one part of it where the ratio is below 1. */
export function nearestWhole(ratio: Parameters<typeof nearFraction>[0]) {
  const near = nearFraction(ratio);
  return near.n >= near.d ? rational(round(near)) : divide(ONE, rational(round(divide(ONE, near))));
}
