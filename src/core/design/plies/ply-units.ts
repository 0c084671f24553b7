import type { Shade } from '../../colour/shade.ts';
import { CoreError } from '../../error.ts';
import type { Point } from '../../exact/plane.ts';
import { rational } from '../../exact/rational.ts';
import { divideSurds, equalSurds, type Surd, scaleSurd, surd } from '../../exact/surd.ts';
import { scaleUnit } from '../../repeat/lay/scale-unit.ts';
import { turnUnit } from '../../repeat/lay/turn-unit.ts';
import { type RepeatUnit, repeatSize } from '../../repeat/repeat-unit.ts';
import type { Pictures } from '../../shape/picture.ts';
import { compile } from '../compile-design.ts';
import { parseRepeats, parseScale } from '../lay/lay-numbers.ts';
import { inShades } from './in-shades.ts';
import type { PlySpec } from './plies-schema.ts';
import { plyStep } from './ply-step.ts';

/** A ply's design: larger or smaller than it is by itself, and as it is turned then. */
export interface PlyUnit {
  readonly scaled: RepeatUnit;
  readonly laid: RepeatUnit;
  /** One of its threads or steps, in millimetres across and up; undefined where it has neither. */
  readonly step: Point | undefined;
}

/** The designs among plies as they lie; undefined for shades and fades. */
export interface PlyUnits {
  readonly units: readonly (PlyUnit | undefined)[];
  /** The lowest design, which repeats are counted to; −1 where there is none. */
  readonly lowest: number;
}

/** @throws CoreError of the designs, of their numbers, as `scaleUnit` and `turnUnit`; "lay/no-repeat" */
export function plyUnits(
  plies: readonly PlySpec[],
  { shades, pictures }: { readonly shades: readonly Shade[]; readonly pictures: Pictures },
): PlyUnits {
  const lowest = plies.findIndex(({ content }) => content.kind === 'design');
  let below: RepeatUnit | undefined;
  const units = plies.map((ply, at): PlyUnit | undefined => {
    if (ply.content.kind !== 'design') return undefined;
    const unit = compile(inShades(ply.content, shades), pictures);
    const factor = factorOf(unit, ply, below);
    const scaled = equalSurds(factor, AS_IT_IS) ? unit : scaleUnit(unit, { factor, lines: true });
    if (at === lowest) below = scaled;
    const laid = ply.slope === null ? scaled : turnUnit(scaled, ply.slope);
    return { scaled, laid, step: plyStep(ply.content.design, scaled, factor) };
  });
  return { units, lowest };
}

const AS_IT_IS = surd(1);

/** @param lowest  the design that so many repeats are counted to; left out, for itself */
function factorOf(unit: RepeatUnit, { scale }: PlySpec, lowest: RepeatUnit | undefined): Surd {
  if (scale.to === 'factor') return surd(parseScale(scale.factor));
  const size = repeatSize(unit);
  const below = lowest === undefined ? size : repeatSize(lowest);
  if (size === null || below === null) throw new CoreError('lay/no-repeat', {});
  const { n, d } = parseRepeats(scale.count);
  return divideSurds(scaleSurd(below.width, rational(d, n)), size.width);
}
