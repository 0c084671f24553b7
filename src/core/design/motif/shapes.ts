import { z } from 'zod';
import { type Rational, toNumber } from '../../exact/rational.ts';
import { cleanText } from '../../formats/clean-text.ts';
import type { Figure } from '../../shape/figure.ts';
import { LETTER_FONT_KEYS, type LetterFontKey, letters } from '../../shape/letters/letters.ts';
import { capsule, disc, ellipseFigure, rectangle, ring, sector } from '../../shape/round-figures.ts';
import { polygonRadius, regularPolygon, starByRadii, starByStep } from '../../shape/star-figures.ts';
import { exactText } from '../exact-text.ts';
import {
  type MotifScale,
  parseDegrees,
  parseRadii,
  parseSteps,
  parseStepsOrNone,
  SOME_SCALE,
} from './motif-numbers.ts';

function stepped<T>(read: (text: string, scale: MotifScale) => T) {
  return { schema: exactText((text) => read(text, SOME_SCALE)), read };
}

function whole(least: number, most: number) {
  return { schema: z.int().min(least).max(most), read: (count: number) => count };
}

const inMillimetres = (read: (text: string, scale: MotifScale) => Rational) =>
  stepped((text, scale) => toNumber(read(text, scale)));

/** Most letters of one piece. */
const MAX_LETTERS = 200;

/** Kinds of numbers that shapes are said by: as they are stored, and what they come to in millimetres or degrees. */
export const SHAPE_NUMBERS = {
  size: inMillimetres(parseSteps),
  sizeOrNone: inMillimetres(parseStepsOrNone),
  radii: stepped((text, scale) => parseRadii(text, scale).map(toNumber)),
  degrees: stepped((text) => toNumber(parseDegrees(text))),
  /** Sides of a polygon. */
  sides: whole(3, 24),
  /** Points of a star. */
  points: whole(2, 60),
  /** Corners by which the sides of a star go on. */
  skip: whole(2, 30),
  letters: { schema: z.string().overwrite(cleanText).min(1).max(MAX_LETTERS), read: (text: string) => text },
  font: { schema: z.enum(LETTER_FONT_KEYS), read: (key: LetterFontKey) => key },
  /** What the size of a polygon is measured by. */
  measure: { schema: z.enum(['radius', 'side', 'flats']), read: (by: 'radius' | 'side' | 'flats') => by },
} as const;

export type ShapeNumber = keyof typeof SHAPE_NUMBERS;
type Numbers = Readonly<Record<string, ShapeNumber>>;
type Stored<N extends Numbers> = { [K in keyof N]: z.infer<(typeof SHAPE_NUMBERS)[N[K]]['schema']> };
type Read<N extends Numbers> = { readonly [K in keyof N]: ReturnType<(typeof SHAPE_NUMBERS)[N[K]]['read']> };

/** A kind of shape that is said by numbers alone. */
interface ShapeKind<N extends Numbers> {
  readonly numbers: N;
  readonly usual: Stored<N>;
  /** Round the middle of the piece. @throws CoreError of its numbers */
  readonly build: (numbers: Read<N>) => Figure;
}

function shape<const N extends Numbers>(
  numbers: N,
  usual: Stored<N>,
  build: ShapeKind<N>['build'],
): ShapeKind<N> {
  return { numbers, usual, build };
}

/** Every shape that is said by numbers: what they are, what they usually are, and how it is built from them. */
export const SHAPES = {
  rectangle: shape(
    { width: 'size', height: 'size', radii: 'radii' },
    { width: '4', height: '2', radii: '0' },
    rectangle,
  ),
  disc: shape({ across: 'size' }, { across: '4' }, ({ across }) => disc(across)),
  ellipse: shape({ width: 'size', height: 'size' }, { width: '4', height: '2' }, ellipseFigure),
  ring: shape({ across: 'size', band: 'size' }, { across: '4', band: '1/2' }, ring),
  sector: shape(
    { across: 'size', inner: 'sizeOrNone', from: 'degrees', to: 'degrees' },
    { across: '4', inner: '0', from: '0', to: '90' },
    sector,
  ),
  polygon: shape(
    { sides: 'sides', measured: 'measure', size: 'size' },
    { sides: 6, measured: 'radius', size: '2' },
    ({ sides, measured, size }) => regularPolygon(sides, polygonRadius(sides, measured, size)),
  ),
  star: shape(
    { points: 'points', outer: 'size', inner: 'size' },
    { points: 8, outer: '2', inner: '1' },
    starByRadii,
  ),
  starStep: shape(
    { points: 'points', skip: 'skip', radius: 'size' },
    { points: 5, skip: 2, radius: '2' },
    starByStep,
  ),
  letters: shape(
    { text: 'letters', font: 'font', height: 'size' },
    { text: 'LLR', font: 'bricolage-bold', height: '2' },
    ({ text, font, height }) => letters(text, font, height),
  ),
  capsule: shape({ length: 'size', width: 'size' }, { length: '4', width: '1' }, capsule),
};

export type ShapeName = keyof typeof SHAPES;

/** A shape by its numbers as they were typed. */
export type NumberShape<K extends ShapeName = ShapeName> = {
  [F in K]: { kind: F } & Stored<(typeof SHAPES)[F]['numbers']>;
}[K];

export function usualShape(kind: ShapeName): NumberShape {
  return { kind, ...SHAPES[kind].usual } as NumberShape;
}

/** The kinds of a shape's numbers, by their keys. */
export function numbersOfShape(kind: ShapeName): Readonly<Record<string, ShapeNumber>> {
  return SHAPES[kind].numbers;
}

export function isNumberShape(spec: { readonly kind: string }): spec is NumberShape {
  return Object.hasOwn(SHAPES, spec.kind);
}

/** Builds a shape round the middle of its piece. @throws CoreError of its numbers */
export function buildShape(spec: NumberShape, scale: MotifScale): Figure {
  const stored = spec as unknown as Readonly<Record<string, never>>;
  const read = Object.entries(numbersOfShape(spec.kind)).map(([key, number]) => [
    key,
    SHAPE_NUMBERS[number].read(stored[key]!, scale),
  ]);
  return (SHAPES[spec.kind] as unknown as ShapeKind<Numbers>).build(Object.fromEntries(read));
}

/** How each of them is stored. */
export const numberShapeSchemas = (Object.keys(SHAPES) as ShapeName[]).map((kind) =>
  z.strictObject({
    kind: z.literal(kind),
    ...Object.fromEntries(
      Object.entries(numbersOfShape(kind)).map(([key, number]) => [key, SHAPE_NUMBERS[number].schema]),
    ),
  }),
);
