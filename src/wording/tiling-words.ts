import { type FormSpec, parseSize, type TilingSpec } from '../core/design/tiling/tiling-schema.ts';
import type { Rational } from '../core/exact/rational.ts';
import type { Closing } from '../core/tiling/close-growth.ts';
import { keptOneOf, type PlaneSymmetry } from '../core/tiling/symmetry.ts';
import { lengthText } from './measures.ts';

/** A form in a few words: "4.8.8", "rhombuses 3 : 4". */
function formText(form: FormSpec): string {
  switch (form.kind) {
    case 'regular':
    case 'two-kinds':
      return form.name;
    case 'rows':
      return `rows of squares and triangles, ${form.squares} and ${form.triangles}`;
    case 'rhombus':
      return `rhombuses ${form.across} : ${form.up}`;
    case 'bricks':
      return `bricks 1 : ${form.height}, stepped ${form.step}`;
    case 'basket':
      return `basket of ${form.count}`;
    case 'squares':
      return `two squares, 1 and ${form.small}`;
    case 'octagons':
      return `octagons and squares, 1 : ${form.slant}`;
    case 'triangles':
      return `triangles, ${form.height} high`;
    case 'hexagons':
      return `hexagons, ${form.across} : ${form.up}`;
    case 'angled':
      return `rhombuses of ${form.rise * 30}°`;
    case 'parallelograms':
      return `parallelograms, ${form.height} high, leaning ${form.lean}`;
    case 'kites':
      return `kites, ${form.above} and ${form.below}`;
    case 'pentagons':
      return `pentagons, ${form.half}`;
    case 'herringbone':
      return `herringbone bricks 1 : ${form.width}`;
    case 'hexagons-triangles':
      return `hexagons and triangles, 1 : ${form.other}`;
    case 'grown':
      return form.faces.length === 1 ? 'grown, 1 face' : `grown from ${form.faces.length} faces`;
    default:
      return form satisfies never;
  }
}

/** A typed size in millimetres: "3/4 in" is "19.05 mm". @throws CoreError as its reader */
export function inMillimetres(text: string, read: (text: string) => Rational = parseSize): string {
  return `${lengthText(read(text), 'mm')} mm`;
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
    stretch === '1' ? '' : `heights × ${stretch}`,
    shear === '0' ? '' : `leaning ${shear}`,
    diagonal === '0' ? '' : `diagonal ${diagonal} level`,
  ]
    .filter((part) => part !== '')
    .join(', ');
}

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
  sides: 'Sides of faces',
  spokes: 'Middles to corners',
  rays: 'Middles to sides',
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
