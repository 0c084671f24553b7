import { toNumber } from '../../exact/rational.ts';
import type { LinePoint } from '../../shape/line-figures.ts';
import { type MotifScale, parseStepsOrNone, parseWay } from './motif-numbers.ts';
import type { LineShape } from './motif-schema.ts';

/** The points of a line in millimetres, from where its numbers count. @throws CoreError of its numbers */
export function linePlaces({ points }: Pick<LineShape, 'points'>, scale: MotifScale): readonly LinePoint[] {
  return points.map(({ x, y, bend, radius }) => ({
    x: toNumber(parseWay(x, scale)),
    y: toNumber(parseWay(y, scale)),
    bend,
    radius: toNumber(parseStepsOrNone(radius, scale)),
  }));
}
