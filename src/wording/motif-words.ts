import type { MakingKind } from '../core/design/motif/making-schema.ts';
import {
  type MotifScale,
  parseDegrees,
  parseRadii,
  parseShare,
  parseSteps,
  parseStepsOrNone,
  parseWay,
} from '../core/design/motif/motif-numbers.ts';
import type { Motif, Piece, PieceShape } from '../core/design/motif/motif-schema.ts';
import {
  isNumberShape,
  type NumberShape,
  type SHAPES,
  type ShapeName,
  type ShapeNumber,
} from '../core/design/motif/shapes.ts';
import { multiply, rational, toDecimal } from '../core/exact/rational.ts';
import type { LetterFontKey } from '../core/shape/letters/letters.ts';
import { lengthText, plural } from './measures.ts';

/** What is said of a shape: its name, a label for each number, and a piece of it in a few words. */
interface ShapeWords<K extends ShapeName> {
  readonly name: string;
  readonly labels: Readonly<Record<keyof (typeof SHAPES)[K]['numbers'], string>>;
  readonly text: (shape: NumberShape<K>) => string;
}

const SHAPE_WORDS: { readonly [K in ShapeName]: ShapeWords<K> } = {
  rectangle: {
    name: 'Rectangle',
    labels: { width: 'Width', height: 'Height', radii: 'Corner radius' },
    text: ({ width, height }) => `${width} × ${height}`,
  },
  disc: { name: 'Disc', labels: { across: 'Across' }, text: ({ across }) => `${across} across` },
  ellipse: {
    name: 'Ellipse',
    labels: { width: 'Width', height: 'Height' },
    text: ({ width, height }) => `${width} × ${height}`,
  },
  ring: {
    name: 'Ring',
    labels: { across: 'Across', band: 'Band' },
    text: ({ across, band }) => `${across} across, ${band} wide`,
  },
  sector: {
    name: 'Sector',
    labels: { across: 'Across', inner: 'Inner, across', from: 'From, degrees', to: 'To, degrees' },
    text: ({ across, from, to }) => `${across} across, ${from}° to ${to}°`,
  },
  polygon: {
    name: 'Polygon',
    labels: { sides: 'Sides', measured: 'Measured by', size: 'Size' },
    text: ({ sides, measured, size }) => `${sides} sides, ${MEASURES[measured].toLowerCase()} ${size}`,
  },
  star: {
    name: 'Star',
    labels: { points: 'Points', outer: 'Outer radius', inner: 'Inner radius' },
    text: ({ points, outer, inner }) => `${points} points, ${outer} and ${inner}`,
  },
  starStep: {
    name: 'Star n/k',
    labels: { points: 'Points', skip: 'Each joined with the n-th after it', radius: 'Radius' },
    text: ({ points, skip, radius }) => `${points}/${skip}, radius ${radius}`,
  },
  letters: {
    name: 'Letters',
    labels: { text: 'Letters', font: 'Font', height: 'Height of capitals' },
    text: ({ text, height }) => `“${text}”, ${height} high`,
  },
  capsule: {
    name: 'Bar with round ends',
    labels: { length: 'Length', width: 'Width' },
    text: ({ length, width }) => `${length} long, ${width} wide`,
  },
};

export const SHAPE_NAMES: Readonly<Record<PieceShape['kind'], string>> = {
  ...(Object.fromEntries(Object.entries(SHAPE_WORDS).map(([kind, { name }]) => [kind, name])) as Record<
    ShapeName,
    string
  >),
  line: 'Line',
};

/** What a polygon's size may be measured by. */
export const MEASURES: Readonly<Record<'radius' | 'side' | 'flats', string>> = {
  radius: 'Radius',
  side: 'Side',
  flats: 'Across flats',
};

export const FONT_NAMES: Readonly<Record<LetterFontKey, string>> = {
  bricolage: 'Headings',
  'bricolage-bold': 'Headings, bold',
  instrument: 'Text',
  'instrument-bold': 'Text, bold',
  mono: 'Figures, one width',
};

/** The label of a shape's number. */
export function shapeLabel(kind: ShapeName, key: string): string {
  return (SHAPE_WORDS[kind].labels as Readonly<Record<string, string>>)[key]!;
}

export const MAKING_NAMES: Readonly<Record<MakingKind, string>> = {
  copies: 'Copies in a row',
  round: 'Copies round a middle',
  mirror: 'Mirrored copy',
  grid: 'Copies in a grid',
  bands: 'Bands along the edge',
  rounded: 'Corners rounded',
  moved: 'Moved',
  join: 'Joined with',
  cut: 'Cut away by',
  overlap: 'Overlap kept with',
  divide: 'Divided by',
};

export const OVERLAP_NAMES: Readonly<Record<Motif['overlap'], string>> = {
  pieces: 'Later pieces',
  up: 'Upper rows',
  down: 'Lower rows',
  right: 'Columns to the right',
  left: 'Columns to the left',
};

/** What a piece is called: its own name, or its shape's and its number. */
export function pieceName({ id, name, shape }: Piece): string {
  return name === '' ? `${SHAPE_NAMES[shape.kind]} ${id}` : name;
}

/** A piece in a few words: "8 across at 4, 4". */
export function pieceText({ shape, x, y }: Piece): string {
  const text = isNumberShape(shape)
    ? (SHAPE_WORDS[shape.kind].text as (of: NumberShape) => string)(shape)
    : plural(shape.points.length, 'point');
  return `${text} at ${x}, ${y}`;
}

/** A motif in a few words: "3 pieces in 8 × 4". */
export function motifText({ pieces, box }: Motif): string {
  return `${plural(pieces.length, 'piece')} in ${box.width} × ${box.height}`;
}

/** The smallest width or gap of a motif, in millimetres. */
export function thinText(width: number | null): string {
  return width === null ? 'over half of the repeat' : `${width.toFixed(2)} mm`;
}

/** How numbers of motifs are read, and what they come to: lengths in millimetres. */
export const READ_NUMBERS = {
  size: (text: string, scale: MotifScale) => `${lengthText(parseSteps(text, scale), 'mm')} mm`,
  sizeOrNone: (text: string, scale: MotifScale) => `${lengthText(parseStepsOrNone(text, scale), 'mm')} mm`,
  way: (text: string, scale: MotifScale) => `${lengthText(parseWay(text, scale), 'mm')} mm`,
  radii: (text: string, scale: MotifScale) =>
    `${[...new Set(parseRadii(text, scale).map((radius) => lengthText(radius, 'mm')))].join(', ')} mm`,
  share: (text: string) => `${toDecimal(multiply(parseShare(text), rational(100)), 2)}%`,
  degrees: (text: string) => `${toDecimal(parseDegrees(text), 3)}°`,
} as const satisfies Partial<
  Record<ShapeNumber | 'way' | 'share', (text: string, scale: MotifScale) => string>
>;

/** Said of a fade over all of a repeat. Aslant, it meets itself whatever it ends with. */
export const FADE_AGAIN =
  'It begins anew in each repeat: level or upright, and ending with the shade that it begins with, it shows no edge.';
