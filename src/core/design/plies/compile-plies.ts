import type { Shade } from '../../colour/shade.ts';
import { CoreError } from '../../error.ts';
import { ORIGIN, type Point } from '../../exact/plane.ts';
import { ONE, type Rational, toNumber } from '../../exact/rational.ts';
import { scaleSurd, surd } from '../../exact/surd.ts';
import { layPlies } from '../../repeat/plies/lay-plies.ts';
import {
  type Plies,
  type Ply,
  type RepeatUnit,
  repeatSize,
  type TrueSize,
} from '../../repeat/repeat-unit.ts';
import type { Pictures } from '../../shape/picture.ts';
import { parseStrength } from '../../thread/print.ts';
import { pixelOf } from '../lay/lay-schema.ts';
import { parseDegrees, parseWay } from '../motif/motif-numbers.ts';
import { shadeOf } from './in-shades.ts';
import { fadeOver, plainUnit } from './plain-unit.ts';
import type { PliesSpec, PlyContent, PlySpec } from './plies-schema.ts';
import { type PlyUnits, plyUnits } from './ply-units.ts';

/** What plies are compiled with. */
export interface PliesContext {
  readonly shades: readonly Shade[];
  readonly resolution: string;
  readonly pictures: Pictures;
}

/** Of what no design lies in, plain shades and fades repeat in a square of ten millimetres. */
const SOME_SIZE: TrueSize = { width: surd(10), height: surd(10) };

/**
 * The exact common repeat of plies. Shades and fades go over all of what the designs among them have in common.
 * @throws CoreError as `layPlies`, of the designs, of their numbers, as `scaleUnit` and `turnUnit`
 */
export function compilePlies(spec: PliesSpec, context: PliesContext): RepeatUnit<Plies> {
  return laidPlies(spec, context).whole;
}

/** The same, with the designs among the plies as they lie. @throws CoreError as `compilePlies` */
export function laidPlies(
  { plies }: PliesSpec,
  context: PliesContext,
): { readonly whole: RepeatUnit<Plies>; readonly units: PlyUnits['units'] } {
  const pixel = pixelOf(context.resolution);
  const { units } = plyUnits(plies, context);
  const laid = units.map((each) => each?.laid);
  const spec = (unit: RepeatUnit, index: number): Omit<Ply, 'times'> => {
    const { blend, strength, clip, shown } = plies[index]!;
    const shift = shiftOf(plies[index]!, { unit, step: units[index]?.step, pixel });
    return { unit, shift, blend, strength: parseStrength(strength), clip, shown };
  };
  const over = (size: TrueSize) =>
    layPlies(
      plies.map(({ content }, index) => spec(laid[index] ?? plainPly(content, size, context.shades), index)),
    );
  const pattern = laid.find((unit) => unit !== undefined);
  // What covers everything repeats as the lowest design does, until it is known what all have in common.
  const first = over((pattern && repeatSize(pattern)) ?? SOME_SIZE);
  const whole = laid.every((unit) => unit !== undefined) ? first : over(repeatSize(first)!);
  return { whole, units };
}

interface ShiftScale {
  readonly unit: RepeatUnit;
  readonly step: Point | undefined;
  readonly pixel: Rational;
}

/** @throws CoreError of the numbers, "ply/steps", "lay/no-repeat" */
function shiftOf({ shift }: PlySpec, { unit, step, pixel }: ShiftScale): Point {
  const x = parseWay(shift.x, { step: ONE, pixel });
  const y = parseWay(shift.y, { step: ONE, pixel });
  if (x.n === 0n && y.n === 0n) return ORIGIN;
  switch (shift.in) {
    case 'length':
      return { x: surd(x), y: surd(y) };
    case 'steps':
      if (step === undefined) throw new CoreError('ply/steps', {});
      return { x: scaleSurd(step.x, x), y: scaleSurd(step.y, y) };
    case 'repeats': {
      const size = repeatSize(unit);
      if (size === null) throw new CoreError('lay/no-repeat', {});
      return { x: scaleSurd(size.width, x), y: scaleSurd(size.height, y) };
    }
    default:
      return shift.in satisfies never;
  }
}

function plainPly(content: PlyContent, size: TrueSize, shades: readonly Shade[]): RepeatUnit {
  const indexOf = (key: string) => shades.indexOf(shadeOf(shades, key));
  switch (content.kind) {
    case 'shade':
      return plainUnit(size, shades, { kind: 'shade', shade: indexOf(content.shade) });
    case 'fade':
      return plainUnit(
        size,
        shades,
        fadeOver(size, content.shades.map(indexOf), toNumber(parseDegrees(content.angle))),
      );
    case 'design':
      throw new Error('a design is no plain ply');
    default:
      return content satisfies never;
  }
}
