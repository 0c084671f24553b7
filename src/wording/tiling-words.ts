import type { FAMILIES, FamilyForm, FamilyName } from '../core/design/tiling/families.ts';
import type { FormSpec } from '../core/design/tiling/form-schema.ts';
import type { StarOffer } from '../core/design/tiling/star/star-offers.ts';
import { parseSize } from '../core/design/tiling/tiling-numbers.ts';
import type { TilingSpec } from '../core/design/tiling/tiling-schema.ts';
import { exactDecimal } from '../core/exact/exact-decimal.ts';
import type { Rational } from '../core/exact/rational.ts';
import type { Closing } from '../core/tiling/close-growth.ts';
import type { PlaneSymmetry } from '../core/tiling/plane-group.ts';
import { keptOneOf } from '../core/tiling/symmetry.ts';
import { lengthText } from './measures.ts';

/** What is said of a family: its name where it is chosen, a label for each number, and a member in a few words. */
interface FamilyWords<K extends FamilyName> {
  readonly name: string;
  readonly labels: Readonly<Record<keyof (typeof FAMILIES)[K]['numbers'], string>>;
  readonly text: (form: FamilyForm<K>) => string;
}

const FAMILY_WORDS: { readonly [K in FamilyName]: FamilyWords<K> } = {
  rhombus: {
    name: 'Diamonds',
    labels: { across: 'Across', up: 'Up' },
    text: ({ across, up }) => `diamonds ${across} : ${up}`,
  },
  bricks: {
    name: 'Bricks',
    labels: { height: 'Height of a brick', step: 'Step of a row' },
    text: ({ height, step }) => `bricks 1 : ${height}, stepped ${step}`,
  },
  basket: {
    name: 'Basket bricks',
    labels: { count: 'Bricks to a block' },
    text: ({ count }) => `basket of ${count}`,
  },
  squares: {
    name: 'Two squares',
    labels: { small: 'The smaller, beside 1' },
    text: ({ small }) => `two squares, 1 and ${small}`,
  },
  octagons: {
    name: 'Octagons and squares',
    labels: { slant: 'Slanting side, beside 1' },
    text: ({ slant }) => `octagons and squares, 1 : ${slant}`,
  },
  angled: {
    name: 'Diamonds by angle',
    labels: { rise: 'Angle to the left and right' },
    text: ({ rise }) => `diamonds of ${rise * 30}°`,
  },
  parallelograms: {
    name: 'Parallelograms',
    labels: { height: 'Height, base 1', lean: 'Upper side moved by' },
    text: ({ height, lean }) => `parallelograms, ${height} high, leaning ${lean}`,
  },
  kites: {
    name: 'Kites',
    labels: { above: 'Upper tip, half as wide 1', below: 'Lower tip' },
    text: ({ above, below }) => `kites, ${above} and ${below}`,
  },
  pentagons: {
    name: 'Pentagons',
    labels: { half: 'Half the slanting side reaches, fields 2 wide' },
    text: ({ half }) => `pentagons, ${half}`,
  },
  herringbone: {
    name: 'Herringbone bricks',
    labels: { width: 'Width of a brick 1 long' },
    text: ({ width }) => `herringbone bricks 1 : ${width}`,
  },
  'hexagons-triangles': {
    name: 'Hexagons and triangles',
    labels: { other: 'Every other side, beside 1' },
    text: ({ other }) => `hexagons and triangles, 1 : ${other}`,
  },
  triangles: {
    name: 'Triangles',
    labels: { height: 'Height, base 1', tip: 'Tip along the base' },
    text: ({ height }) => `triangles, ${height} high`,
  },
  hexagons: {
    name: 'Hexagons, stretched',
    labels: { across: 'Across', up: 'Up' },
    text: ({ across, up }) => `hexagons, ${across} : ${up}`,
  },
  rows: {
    name: 'Rows of squares and triangles',
    labels: { squares: 'Rows of squares', triangles: 'Rows of triangles' },
    text: ({ squares, triangles }) => `rows of squares and triangles, ${squares} and ${triangles}`,
  },
};

/** Every family with its name, in the order in which they are offered. */
export const FAMILY_NAMES = Object.entries(FAMILY_WORDS).map(
  ([kind, { name }]) => [kind as FamilyName, name] as const,
);

/** What a number of a family is called where it is typed. */
export function numberLabel(kind: FamilyName, key: string): string {
  return (FAMILY_WORDS[kind].labels as Readonly<Record<string, string>>)[key]!;
}

/** A form in a few words: "4.8.8", "rhombuses 3 : 4". */
function formText(form: FormSpec): string {
  switch (form.kind) {
    case 'regular':
    case 'two-kinds':
      return form.name;
    case 'grown':
      return form.faces.length === 1 ? 'grown, 1 face' : `grown from ${form.faces.length} faces`;
    default:
      return (FAMILY_WORDS[form.kind] as unknown as FamilyWords<FamilyName>).text(form);
  }
}

/** A typed size in millimetres: "3/4 in" is "19.05 mm". @throws CoreError as its reader */
export function inMillimetres(
  text: string,
  pixel: Rational,
  read: (text: string, pixel: Rational) => Rational = parseSize,
): string {
  return `${lengthText(read(text, pixel), 'mm')} mm`;
}

/** "dual of 3.6.3.6, turned by 90°". */
export function tilingText({
  form,
  dual,
  turn,
  stretch,
  shear,
  diagonal,
}: Pick<TilingSpec, 'form' | 'dual' | 'turn' | 'stretch' | 'shear' | 'diagonal'>): string {
  return [
    `${dual ? 'dual of ' : ''}${formText(form)}`,
    turn === 0 ? '' : `turned by ${turn * 15}°`,
    stretch === '1' ? '' : `stretched × ${stretch}`,
    shear === '0' ? '' : `slanted ${shear}`,
    diagonal === '0' ? '' : `diagonal ${diagonal} straightened`,
  ]
    .filter((part) => part !== '')
    .join(', ');
}

/** Where rows go along a vector: "Level rows", "Rows rising to the right, 60°". */
export function rowText({ x, y }: { readonly x: number; readonly y: number }): string {
  const degrees = (Math.atan2(y, x) * 180) / Math.PI;
  // A line goes both ways, so that it rises by less than half a turn.
  const rise = Number((((degrees % 180) + 180) % 180).toFixed(1));
  if (rise === 0 || rise === 180) return 'Level rows';
  if (rise === 90) return 'Upright rows';
  return rise < 90
    ? `Rows rising to the right, ${rise}°`
    : `Rows rising to the left, ${Number((180 - rise).toFixed(1))}°`;
}

/** What a tiling's size is of. */
export const SIZE_NAMES: Readonly<Record<TilingSpec['measured'], string>> = {
  side: 'Side length',
  width: 'Width of a face',
  height: 'Height of a face',
  flats: 'A face across its flats',
  corners: 'A face across its corners',
  repeat: 'Width of the repeats',
  one: 'Length of 1 in its numbers',
};

const POLYGONS: Readonly<Record<number, string>> = {
  3: 'Triangles',
  4: 'Four-sided faces',
  5: 'Pentagons',
  6: 'Hexagons',
  8: 'Octagons',
  12: 'Dodecagons',
};

/** "sides" of lines and other parts of a tiling, in words. */
export const LINE_NAMES = {
  sides: 'Along the sides',
  frames: 'A ring inside the sides',
  spokes: 'Spokes to corners',
  rays: 'Spokes to sides',
  stars: 'Between middles of sides',
} as const;

/** A kind of side, "4|8", in words. */
export function sideKindText(kind: string): string {
  const [a, b] = kind.split('|').map(Number) as [number, number];
  return a === b ? `Between ${polygonText(a).toLowerCase()}` : `Between ${a}- and ${b}-sided faces`;
}

/** "Octagons", "Faces of 10 sides". */
export function polygonText(sides: number): string {
  return POLYGONS[sides] ?? `Faces of ${sides} sides`;
}

/** What the shades of a tiling take away of its symmetry, and what they leave. */
export function shadesKeepSentence(plain: PlaneSymmetry, coloured: PlaneSymmetry): string {
  const index = keptOneOf(plain, coloured);
  if (index === 1) return 'The shades keep all of its symmetry.';
  const cells = keptOneOf({ ...plain, order: 1, reflections: 0 }, { ...coloured, order: 1, reflections: 0 });
  const changes = [
    plain.order === coloured.order
      ? ''
      : coloured.order === 1
        ? 'no turns'
        : `turns of ${360 / coloured.order}° instead of ${360 / plain.order}°`,
    plain.reflections === coloured.reflections
      ? ''
      : `${coloured.reflections === 0 ? 'none' : coloured.reflections} of ${plain.reflections} directions of reflection`,
    cells === 1 ? '' : `a cell ${cells} times as large`,
  ].filter((change) => change !== '');
  return `The shades keep one symmetry of ${index}: ${changes.join(', ')}.`;
}

/** What a patch that is grown lacks. */
export function growthSentence(closing: Exclude<Closing, { kind: 'closed' }>): string {
  switch (closing.kind) {
    case 'no-shift':
      return 'Not closed yet: no face lies like another one. Grow on until one comes again without being turned.';
    case 'one-way':
      return 'Not closed yet: faces come again in one direction only. Grow on until one comes again in another.';
    case 'gaps':
      return `Not closed yet: repeated as it comes again, it would leave ${Math.round(closing.open * 100)} % of the plane open. Fill the gaps, or grow on.`;
    default:
      return closing satisfies never;
  }
}

/** An angle in degrees as it would be typed. */
export function degreesText(angle: Rational): string {
  return `${exactDecimal(angle)}°`;
}

/** By their points, and to the how manieth of them each line goes. */
export function starText({ sides, step, angle }: StarOffer): string {
  return `{${sides}/${step}} ${degreesText(angle)}`;
}
