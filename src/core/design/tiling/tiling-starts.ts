import { shadeOfLetter } from '../../colour/letter-shades.ts';
import { CoreError } from '../../error.ts';
import { ARCHIMEDEAN, type Archimedean } from '../../tiling/forms/archimedean.ts';
import { TWO_KINDS, type TwoKinds } from '../../tiling/forms/two-kinds.ts';
import type { StartPoint } from '../construction.ts';
import type { TilingDesign } from '../design-schema.ts';
import { newTiling, type TilingOrder } from '../new-design.ts';
import { STAR_STARTS } from './star/star-starts.ts';

type TilingStart = Omit<StartPoint<TilingDesign>, 'design'> & {
  readonly order: Pick<TilingOrder, 'form'> &
    Partial<Pick<TilingOrder, 'dual' | 'colours' | 'size' | 'star'>>;
};

/** Far apart, dark and light in turn. */
const SHADES = [...'BCOUMZ'].map(shadeOfLetter);

const REGULAR: Readonly<Record<Archimedean, readonly [name: string, what: string]>> = {
  '4.4.4.4': ['Squares', 'Four squares round every corner, two shades in turn.'],
  '3.3.3.3.3.3': ['Triangles', 'Six triangles round every corner.'],
  '6.6.6': ['Hexagons', 'Three hexagons round every corner; three shades keep neighbours apart.'],
  '4.8.8': ['Octagons and squares', 'A square and two octagons round every corner.'],
  '3.6.3.6': ['Hexagons and triangles', 'Hexagons that touch at their corners, triangles between.'],
  '3.4.6.4': ['Hexagons in squares', 'Hexagons framed by squares and triangles.'],
  '3.12.12': ['Dodecagons and triangles', 'A triangle and two dodecagons round every corner.'],
  '4.6.12': ['Dodecagons framed', 'A square, a hexagon and a dodecagon round every corner.'],
  '3.3.3.4.4': ['Rows of squares', 'Rows of squares and rows of triangles in turn.'],
  '3.3.4.3.4': ['Squares turned', 'Squares of two tilts, triangles between.'],
  '3.3.3.3.6': ['Hexagons turned', 'Hexagons in a sea of triangles; it has a left and a right hand.'],
};

const OTHERS: readonly TilingStart[] = [
  {
    key: 'cubes',
    name: 'Isometric cubes',
    what: 'Diamonds in three tones, one for each way that they lie: the dual of 3.6.3.6.',
    order: { form: { kind: 'regular', name: '3.6.3.6' }, dual: true, colours: 'directions' },
  },
  {
    key: 'rosettes',
    name: 'Rosettes',
    what: 'Hexagons in rings of squares and triangles, pairs of triangles between: two kinds of corners.',
    order: { form: { kind: 'two-kinds', name: '3.3.4.3.4 + 3.4.6.4' }, colours: 'sides', size: '15 mm' },
  },
  {
    key: 'twelves',
    name: 'Dodecagons and stars',
    what: 'Dodecagons parted by squares, and hexagons in six triangles: two kinds of corners.',
    order: { form: { kind: 'two-kinds', name: '3.3.3.3.3.3 + 3.3.4.12' }, colours: 'sides', size: '10 mm' },
  },
  {
    key: 'twelves-square',
    name: 'Dodecagons in squares',
    what: 'Dodecagons side by side, a square with four triangles between: two kinds of corners.',
    order: { form: { kind: 'two-kinds', name: '3.12.12 + 3.4.3.12' }, colours: 'sides', size: '12 mm' },
  },
  {
    key: 'hexagon-rows',
    name: 'Rows of hexagons',
    what: 'Hexagons that touch at their corners, rows of squares between: two kinds of corners.',
    order: { form: { kind: 'two-kinds', name: '3.4.4.6 + 3.6.3.6, moved' }, colours: 'sides', size: '15 mm' },
  },
  {
    key: 'diamonds',
    name: 'Diamonds',
    what: 'Diamonds whose diagonals are as 3 to 4, two shades in turn.',
    order: { form: { kind: 'rhombus', across: '3', up: '4' }, colours: 'neighbours' },
  },
  {
    key: 'pentagons',
    name: 'Pentagons',
    what: 'Five-sided faces of four ways to lie: the dual of 3.3.4.3.4.',
    order: { form: { kind: 'regular', name: '3.3.4.3.4' }, dual: true, colours: 'directions' },
  },
  {
    key: 'kites',
    name: 'Kites',
    what: 'Six kites to a rosette: the dual of 3.4.6.4.',
    order: { form: { kind: 'regular', name: '3.4.6.4' }, dual: true, colours: 'directions' },
  },
  {
    key: 'bricks',
    name: 'Bricks',
    what: 'Bricks twice as long as high, each row stepped by a half.',
    order: { form: { kind: 'bricks', height: '1/2', step: '1/2' }, colours: 'neighbours', size: '40 mm' },
  },
  {
    key: 'herringbone',
    name: 'Herringbone bricks',
    what: 'Bricks twice as long as wide, lying and standing along rising steps.',
    order: { form: { kind: 'herringbone', width: '1/2' }, colours: 'directions', size: '40 mm' },
  },
  {
    key: 'uneven',
    name: 'Uneven hexagons',
    what: 'Hexagons with long and short sides in turn, large and small triangles between.',
    order: { form: { kind: 'hexagons-triangles', other: '1/2' }, colours: 'directions' },
  },
  {
    key: 'right-triangles',
    name: 'Right triangles',
    what: 'Squares cut along one diagonal.',
    order: { form: { kind: 'triangles', height: '1', tip: '0' }, colours: 'directions' },
  },
  {
    key: 'leaning',
    name: 'Leaning blocks',
    what: 'Parallelograms, the upper side moved by a half.',
    order: {
      form: { kind: 'parallelograms', height: '1', lean: '1/2' },
      colours: { by: 'rows', way: 'second', count: 3 },
    },
  },
  {
    key: 'basket',
    name: 'Basket bricks',
    what: 'Two bricks lying, two standing, in turn.',
    order: { form: { kind: 'basket', count: 2 }, colours: 'directions', size: '40 mm' },
  },
  {
    key: 'two-squares',
    name: 'Two squares',
    what: 'Large squares and small ones, turning round each other.',
    order: { form: { kind: 'squares', small: '1/2' }, colours: 'faces', size: '30 mm' },
  },
];

const ORDERS: readonly TilingStart[] = [
  ...(Object.keys(REGULAR) as Archimedean[]).map((name): TilingStart => {
    const alike = new Set(ARCHIMEDEAN[name].faces.map((face) => 'sides' in face && face.sides)).size === 1;
    const [words, what] = REGULAR[name];
    return {
      key: name,
      name: words,
      what,
      order: { form: { kind: 'regular', name }, colours: alike ? 'neighbours' : 'sides' },
    };
  }),
  ...OTHERS,
  ...STAR_STARTS,
];

/** All of them, the plainest first. */
export const TILING_STARTS: readonly StartPoint<TilingDesign>[] = ORDERS.map(({ order, ...start }) => ({
  ...start,
  design: () => newTiling({ name: start.name, shades: SHADES, ...order }),
}));

/** Every tiling that is not said by a family's numbers alone: the start points, then the others with two kinds of corners. */
export const ALL_TILINGS: readonly StartPoint<TilingDesign>[] = [
  ...TILING_STARTS,
  ...(Object.keys(TWO_KINDS) as TwoKinds[])
    .filter(
      (name) => !ORDERS.some(({ order }) => order.form.kind === 'two-kinds' && order.form.name === name),
    )
    .map((name) => ({ key: name, name, what: 'Two kinds of corners.', design: () => twoKinds(name) })),
];

function twoKinds(name: TwoKinds): TilingDesign {
  return newTiling({ name, shades: SHADES, form: { kind: 'two-kinds', name }, colours: 'sides' });
}

/**
 * A tiling by the key of its start, or by the kinds of its vertices.
 * @throws CoreError "tiling/unknown" {text, known}
 */
export function tilingFromStart(key: string): TilingDesign {
  const start = TILING_STARTS.find((each) => each.key === key.toLowerCase());
  if (start !== undefined) return start.design(0);
  const kinds = Object.keys(TWO_KINDS) as TwoKinds[];
  const name = kinds.find((each) => withoutBlanks(each) === withoutBlanks(key));
  if (name !== undefined) return twoKinds(name);
  const known = [...TILING_STARTS.map((each) => each.key), ...kinds.map((each) => `“${each}”`)];
  throw new CoreError('tiling/unknown', { text: key, known });
}

function withoutBlanks(text: string): string {
  return text.replaceAll(/\s/g, '').toLowerCase();
}
