import { z } from 'zod';
import type { Rational } from '../../exact/rational.ts';
import {
  basket,
  bricks,
  herringbone,
  hexagons,
  hexagonsAndTriangles,
  kites,
  octagons,
  parallelograms,
  pentagons,
  rhombus,
  rhombusByAngle,
  rows,
  triangles,
  twoSquares,
} from '../../tiling/forms/families.ts';
import type { TilingForm } from '../../tiling/tiling-form.ts';
import { exactText } from '../exact-text.ts';
import {
  parseHalf,
  parseLean,
  parseNarrow,
  parsePart,
  parseProportion,
  parseSmall,
} from './tiling-numbers.ts';

function exact(read: (text: string) => Rational) {
  return { schema: exactText(read), read } as const;
}

function whole(most: number) {
  return { schema: z.int().min(1).max(most), read: (count: number) => count } as const;
}

/** Kinds of numbers that families are said by: as they are stored, and what they come to. */
export const FAMILY_NUMBERS = {
  proportion: exact(parseProportion),
  part: exact(parsePart),
  small: exact(parseSmall),
  lean: exact(parseLean),
  half: exact(parseHalf),
  narrow: exact(parseNarrow),
  /** Of rows or bricks. */
  few: whole(12),
  /** Steps of 30°. */
  rise: whole(5),
} as const;

type NumberKind = keyof typeof FAMILY_NUMBERS;
type Numbers = Readonly<Record<string, NumberKind>>;
type Stored<N extends Numbers> = { [K in keyof N]: z.infer<(typeof FAMILY_NUMBERS)[N[K]]['schema']> };
type Read<N extends Numbers> = { readonly [K in keyof N]: ReturnType<(typeof FAMILY_NUMBERS)[N[K]]['read']> };

/** A family of tilings. */
interface Family<N extends Numbers> {
  readonly numbers: N;
  readonly usual: Stored<N>;
  readonly build: (numbers: Read<N>) => TilingForm;
}

function family<const N extends Numbers>(numbers: N, usual: Stored<N>, build: Family<N>['build']): Family<N> {
  return { numbers, usual, build };
}

/** Every family: its numbers, what they usually are, and how it is built from them. */
export const FAMILIES = {
  rows: family({ squares: 'few', triangles: 'few' }, { squares: 2, triangles: 1 }, ({ squares, triangles }) =>
    rows(squares, triangles),
  ),
  rhombus: family({ across: 'proportion', up: 'proportion' }, { across: '3', up: '4' }, ({ across, up }) =>
    rhombus(across, up),
  ),
  bricks: family({ height: 'proportion', step: 'part' }, { height: '1/2', step: '1/2' }, ({ height, step }) =>
    bricks(height, step),
  ),
  basket: family({ count: 'few' }, { count: 2 }, ({ count }) => basket(count)),
  squares: family({ small: 'small' }, { small: '1/2' }, ({ small }) => twoSquares(small)),
  octagons: family({ slant: 'proportion' }, { slant: '1' }, ({ slant }) => octagons(slant)),
  triangles: family({ height: 'proportion', tip: 'part' }, { height: '1', tip: '1/2' }, ({ height, tip }) =>
    triangles(height, tip),
  ),
  hexagons: family({ across: 'proportion', up: 'proportion' }, { across: '1', up: '1/2' }, ({ across, up }) =>
    hexagons(across, up),
  ),
  angled: family({ rise: 'rise' }, { rise: 2 }, ({ rise }) => rhombusByAngle(rise)),
  parallelograms: family(
    { height: 'proportion', lean: 'lean' },
    { height: '1', lean: '1/3' },
    ({ height, lean }) => parallelograms(height, lean),
  ),
  kites: family(
    { above: 'proportion', below: 'proportion' },
    { above: '1', below: '2' },
    ({ above, below }) => kites(above, below),
  ),
  pentagons: family({ half: 'half' }, { half: '1/4' }, ({ half }) => pentagons(half)),
  herringbone: family({ width: 'narrow' }, { width: '1/2' }, ({ width }) => herringbone(width)),
  'hexagons-triangles': family({ other: 'proportion' }, { other: '1/2' }, ({ other }) =>
    hexagonsAndTriangles(other),
  ),
};

export type FamilyName = keyof typeof FAMILIES;

/** A member of a family, by its numbers as they were typed. */
export type FamilyForm<K extends FamilyName = FamilyName> = {
  [F in K]: { kind: F } & Stored<(typeof FAMILIES)[F]['numbers']>;
}[K];

/** A family with its usual numbers. */
export function usualForm(kind: FamilyName): FamilyForm {
  return { kind, ...FAMILIES[kind].usual } as FamilyForm;
}

/** Whether a form is one of a family. */
export function isFamily(form: { readonly kind: string }): form is FamilyForm {
  return Object.hasOwn(FAMILIES, form.kind);
}

/** The kinds of a family's numbers, by their keys. */
export function numbersOf(name: FamilyName): Readonly<Record<string, NumberKind>> {
  return FAMILIES[name].numbers;
}

/** Builds a member of a family. @throws CoreError of its numbers */
export function buildFamily(form: FamilyForm): TilingForm {
  const stored = form as unknown as Readonly<Record<string, never>>;
  const read = Object.entries(numbersOf(form.kind)).map(([key, number]) => [
    key,
    FAMILY_NUMBERS[number].read(stored[key]!),
  ]);
  return (FAMILIES[form.kind] as unknown as Family<Numbers>).build(Object.fromEntries(read));
}
