import type { Arrangement } from '../../lay/lay-schema.ts';
import { USUAL_STRAPS } from '../../strap/strap-schema.ts';
import type { Making, MakingKind } from '../making-schema.ts';
import type { LineShape, Piece, PieceShape } from '../motif-schema.ts';
import { isNumberShape, SHAPES, type ShapeName, usualShape } from '../shapes.ts';
import { usualPiece } from '../usual-piece.ts';

/** What a value of the notation may be: fields of it, texts and numbers, and lists of these. */
export type Tree = { readonly [key: string]: TreeValue };
export type TreeValue = string | number | boolean | null | readonly TreeValue[] | Tree;

const LINE: LineShape = {
  kind: 'line',
  points: [],
  run: 'open',
  width: null,
  ends: 'sharp',
  dashes: null,
  strap: null,
};

/** Every shape as it is where nothing is said of it. */
export function shapeTemplate(kind: string): PieceShape | undefined {
  if (kind === 'line') return LINE;
  return isNumberShape({ kind }) ? usualShape(kind as ShapeName) : undefined;
}

export const SHAPE_KINDS: readonly string[] = [...Object.keys(SHAPES), 'line'];

const way = { x: '0', y: '0' };

/** Every making as it is where nothing is said of it. */
const MAKINGS: { readonly [K in MakingKind]: Extract<Making, { kind: K }> } = {
  copies: { kind: 'copies', count: 2, ...way },
  round: { kind: 'round', count: 6, ...way, by: null },
  mirror: { kind: 'mirror', ...way, angle: '90' },
  grid: { kind: 'grid', across: 2, up: 2, ...way },
  bands: { kind: 'bands', side: 'outward', corner: 'round', bands: [] },
  rounded: { kind: 'rounded', radius: '0' },
  moved: { kind: 'moved', ...way },
  join: { kind: 'join', with: [] },
  cut: { kind: 'cut', with: [] },
  overlap: { kind: 'overlap', with: [] },
  divide: { kind: 'divide', with: [], shade: null },
};

const LAYS: { readonly [K in Arrangement['kind']]: Extract<Arrangement, { kind: K }> } = {
  straight: { kind: 'straight' },
  'half-drop': { kind: 'half-drop', by: '1/2' },
  brick: { kind: 'brick', by: '1/2' },
  group: { kind: 'group', group: 'p2mm', way: 'across' },
  free: { kind: 'free', across: way, up: way },
};

/** What may stand behind a bar, by its first word: makings behind pieces, a lay behind the motif. */
export const PART_TEMPLATES = { piece: MAKINGS, motif: LAYS } as const;

/** A piece without its shape's numbers. */
export function pieceTemplate(id: number): Omit<Piece, 'shape'> {
  const { shape: _, ...rest } = usualPiece(id, LINE, '0', '0');
  return rest;
}

/** What is said of the motif as a whole. */
export const MOTIF_TEMPLATE = {
  step: '5 mm',
  box: { width: '8', height: '8' },
  ground: null,
  overlap: 'pieces',
  // Every field that an order may have.
  straps: { ...USUAL_STRAPS, order: { by: 'turns', over: 1, under: 1, climbs: 'right', straps: 2 } },
  vary: { boxes: 1, seed: 1 },
} as const;

/** Fields that are not there until something is said of them, as they are then. */
export const OBJECTS: Readonly<Record<string, Tree>> = {
  outline: { width: '1/4', shade: '', side: 'inside', ends: 'round', dashes: null },
  'outline.dashes': { length: '1/2', gap: '1/4' },
  dashes: { length: '1/2', gap: '1/4' },
  strap: { gap: '1/4', edges: [], centre: null, dip: null },
  'strap.centre': { width: '1/8', shade: '', dashes: null },
  'strap.centre.dashes': { length: '1/2', gap: '1/4' },
  'strap.dip': {
    kind: 'lines',
    count: 3,
    length: '1',
    apart: '1/4',
    width: '1/8',
    taper: false,
    shade: '',
  },
  shadow: { x: '0', y: '0', softness: '0', shade: '', strength: '40%' },
  fade: { kind: 'along', shades: [], over: 'piece', angle: '0' },
  picture: { hash: '', name: '', width: 1, height: 1, fit: 'filling' },
};

/** Lists of things with fields: these in their order, between commas; what is left out at the end is usual. */
export const LISTS: Readonly<Record<string, readonly (readonly [key: string, usual: string | null])[]>> = {
  points: [
    ['x', '0'],
    ['y', '0'],
    ['bend', 'corner'],
    ['radius', '0'],
  ],
  bands: [
    ['width', '1/4'],
    ['shade', null],
  ],
  edges: [
    ['inset', '0'],
    ['width', '1/8'],
    ['shade', ''],
  ],
  turned: [
    ['piece', '1'],
    ['line', '0'],
    ['pass', '0'],
    ['cell', '0'],
  ],
};

/** Lists of things whose fields are whole numbers. */
export const NUMBER_ITEMS: readonly string[] = ['turned'];

/** Fields that only some kinds of a thing have: all that each has, by what says its kind. */
export const FIELDS_BY_KIND: Readonly<
  Record<string, { readonly by: string; readonly kinds: Readonly<Record<string, readonly string[]>> }>
> = {
  fade: { by: 'kind', kinds: { outward: ['kind', 'shades', 'over'] } },
  dip: { by: 'kind', kinds: { shade: ['kind', 'length', 'shade'] } },
  order: {
    by: 'by',
    kinds: {
      turns: ['by'],
      family: ['by'],
      twill: ['by', 'over', 'under', 'climbs'],
      basket: ['by', 'straps'],
    },
  },
};

/** Lists of whole numbers, and of texts, between commas. */
export const NUMBER_LISTS: readonly string[] = ['with'];
export const TEXT_LISTS: readonly string[] = ['shades'];
