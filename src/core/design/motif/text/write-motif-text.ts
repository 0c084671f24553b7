import type { Arrangement } from '../../lay/lay-schema.ts';
import type { Motif, Piece } from '../motif-schema.ts';
import {
  LISTS,
  MOTIF_TEMPLATE,
  OBJECTS,
  PART_TEMPLATES,
  pieceTemplate,
  shapeTemplate,
  type Tree,
  type TreeValue,
} from './templates.ts';

/** A motif as text: a line of its own, and one for each piece. What is usual is left out. */
export function writeMotifText({ kind, pieces, ...rest }: Motif, lay: Arrangement): string {
  const laid = lay.kind === 'straight' ? [] : part(lay, PART_TEMPLATES.motif[lay.kind]);
  const head = [kind, ...fields(rest, MOTIF_TEMPLATE), ...laid];
  return `${[head.join(' '), ...pieces.map(writePiece)].join('\n')}\n`;
}

/** "3: disc across=8 x=4 y=2 shade=B | copies count=3 x=2" */
export function writePiece({ id, shape, made, ...rest }: Piece): string {
  const { id: _, made: __, ...template } = pieceTemplate(id);
  const words = [
    `${id}: ${shape.kind}`,
    ...fields(withoutKind(shape), withoutKind(shapeTemplate(shape.kind)!)),
    ...fields(rest, template),
    ...made.flatMap((making) => part(making, PART_TEMPLATES.piece[making.kind])),
  ];
  return words.join(' ');
}

function part(value: Tree & { readonly kind: string }, template: object): readonly string[] {
  return ['|', value.kind, ...fields(withoutKind(value), withoutKind(template))];
}

function withoutKind(value: object): Tree {
  const { kind: _, ...rest } = value as Tree & { kind: string };
  return rest;
}

/** Each field that is not as the template has it. */
function fields(value: object, template: object, before = ''): readonly string[] {
  const usual = template as Tree;
  return Object.entries(value as Tree).flatMap(([key, each]): readonly string[] => {
    const path = `${before}${key}`;
    if (isTree(each)) {
      const from = isTree(usual[key]) ? usual[key] : OBJECTS[path]!;
      const inner = fields(each, from, `${path}.`);
      // What is there is said, though all of it is usual.
      return inner.length > 0 || isTree(usual[key]) ? inner : [path];
    }
    if (JSON.stringify(each) === JSON.stringify(usual[key])) return [];
    if (each === true) return [path];
    return [`${path}=${quoted(textOf(key, each))}`];
  });
}

function isTree(value: TreeValue | undefined): value is Tree {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

function textOf(key: string, value: TreeValue): string {
  if (!Array.isArray(value)) return value === null ? '' : String(value);
  const list = LISTS[key];
  if (list === undefined) return value.join(',');
  return value.map((each) => itemText(each as Tree, list)).join('; ');
}

function itemText(item: Tree, list: (typeof LISTS)[string]): string {
  const texts = list.map(([key]) => (item[key] === null ? '-' : String(item[key])));
  const last = list.findLastIndex(([key, usual]) => item[key] !== usual);
  return texts.slice(0, Math.max(1, last + 1)).join(',');
}

/** In quotes where a word would end. */
function quoted(text: string): string {
  return /^[^\s"|#]+$/.test(text) ? text : `"${text.replace(/[\\"]/g, '\\$&')}"`;
}
