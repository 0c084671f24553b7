import { HUE_BLENDS } from '../../colour/blend-hues.ts';
import { hexOf, type Rgb, rgbOf } from '../../colour/hex.ts';
import type { Shade } from '../../colour/shade.ts';
import { CoreError } from '../../error.ts';
import { ORIGIN, type Point } from '../../exact/plane.ts';
import { ONE, type Rational, rational, toNumber } from '../../exact/rational.ts';
import { divideSurds, scaleSurd, surd } from '../../exact/surd.ts';
import { scaleUnit } from '../../repeat/lay/scale-unit.ts';
import { turnUnit } from '../../repeat/lay/turn-unit.ts';
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
import { compile } from '../compile-design.ts';
import type { Design } from '../design-schema.ts';
import { parseRepeats, parseScale } from '../lay/lay-numbers.ts';
import { pixelOf } from '../lay/lay-schema.ts';
import { parseDegrees, parseWay } from '../motif/motif-numbers.ts';
import { fadeOver, plainUnit } from './plain-unit.ts';
import type { PliesSpec, PlyContent, PlySpec } from './plies-schema.ts';

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
export function compilePlies({ plies }: PliesSpec, context: PliesContext): RepeatUnit<Plies> {
  const pixel = pixelOf(context.resolution);
  const designs = plies.map(({ content }) =>
    content.kind === 'design' ? compile(inShades(content, context.shades), context.pictures) : undefined,
  );
  const at = designs.findIndex((unit) => unit !== undefined);
  const lowest = at === -1 ? undefined : scaledUnit(designs[at]!, plies[at]!, undefined);
  const laid = plies.map((ply, index): RepeatUnit | undefined => {
    const unit = designs[index];
    if (unit === undefined) return undefined;
    const scaled = index === at ? lowest! : scaledUnit(unit, ply, lowest);
    return ply.slope === null ? scaled : turnUnit(scaled, ply.slope);
  });
  const spec = (unit: RepeatUnit, index: number): Omit<Ply, 'times'> => {
    const { blend, strength, clip, shown } = plies[index]!;
    const shift = shiftOf(plies[index]!, unit, pixel);
    return { unit, shift, blend, strength: parseStrength(strength), clip, shown };
  };
  const over = (size: TrueSize) =>
    layPlies(
      plies.map(({ content }, index) => spec(laid[index] ?? plainPly(content, size, context.shades), index)),
    );
  const pattern = laid.find((unit) => unit !== undefined);
  // What covers everything repeats as the lowest design does, until it is known what all have in common.
  const first = over((pattern && repeatSize(pattern)) ?? SOME_SIZE);
  return laid.every((unit) => unit !== undefined) ? first : over(repeatSize(first)!);
}

/** A design in the shades of the one that it is a ply of. @throws CoreError "band/shade" {shade} */
export function inShades(content: PlyContent & { kind: 'design' }, shades: readonly Shade[]): Design {
  const { design, shades: taken, tint } = content;
  const tinted = tint === null ? undefined : rgbOf(shadeOf(shades, tint).hex);
  const recoloured = design.shades.map((shade) => ({
    ...shade,
    hex:
      tinted === undefined
        ? shadeOf(shades, taken[shade.key] ?? '').hex
        : hexOf(asLight(tinted, rgbOf(shade.hex))),
  }));
  return { ...design, shades: recoloured };
}

/** A colour as light as another: the blend of luminosity (W3C Compositing and Blending Level 1, §10.2). */
function asLight(colour: Rgb, light: Rgb): Rgb {
  const [red, green, blue] = HUE_BLENDS.luminosity(colour, light).map((level) => Math.floor(level + 0.5));
  return [red!, green!, blue!];
}

function shadeOf(shades: readonly Shade[], key: string): Shade {
  const found = shades.find((shade) => shade.key === key);
  if (found === undefined) throw new CoreError('band/shade', { shade: key });
  return found;
}

/** @param lowest  the design that so many repeats are counted to; left out, for itself */
function scaledUnit(unit: RepeatUnit, { scale }: PlySpec, lowest: RepeatUnit | undefined): RepeatUnit {
  if (scale.to === 'factor') {
    const factor = parseScale(scale.factor);
    return factor.n === factor.d ? unit : scaleUnit(unit, { factor: surd(factor), lines: true });
  }
  const size = repeatSize(unit);
  const below = lowest === undefined ? size : repeatSize(lowest);
  if (size === null || below === null) throw new CoreError('lay/no-repeat', {});
  const { n, d } = parseRepeats(scale.count);
  const wide = scaleSurd(below.width, rational(d, n));
  return scaleUnit(unit, { factor: divideSurds(wide, size.width), lines: true });
}

function shiftOf({ shift }: PlySpec, unit: RepeatUnit, pixel: Rational): Point {
  const x = parseWay(shift.x, { step: ONE, pixel });
  const y = parseWay(shift.y, { step: ONE, pixel });
  if (x.n === 0n && y.n === 0n) return ORIGIN;
  if (shift.in === 'length') return { x: surd(x), y: surd(y) };
  const size = repeatSize(unit);
  if (size === null) throw new CoreError('lay/no-repeat', {});
  return { x: scaleSurd(size.width, x), y: scaleSurd(size.height, y) };
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
