import { z } from 'zod';
import { CoreError } from '../../../error.ts';
import { fieldFacts } from '../../field-facts.ts';
import { type Arrangement, arrangementSchema } from '../../lay/lay-schema.ts';
import { type Motif, motifSchema } from '../motif-schema.ts';
import { type Word, wordsOf } from './motif-words-of.ts';
import {
  FIELDS_BY_KIND,
  LISTS,
  MOTIF_TEMPLATE,
  NUMBER_ITEMS,
  NUMBER_LISTS,
  OBJECTS,
  PART_TEMPLATES,
  pieceTemplate,
  SHAPE_KINDS,
  shapeTemplate,
  TEXT_LISTS,
  type Tree,
  type TreeValue,
} from './templates.ts';

/** Longest text that is read, in characters. */
export const MAX_MOTIF_TEXT = 500_000;

/** Where each thing that was read stands, by its path in the motif. */
type Places = Map<string, Word>;

/** A motif that was told as text, and how its boxes lie. */
export interface ToldMotif {
  readonly motif: Motif;
  readonly arrangement: Arrangement;
}

const toldSchema = z.strictObject({ motif: motifSchema, lay: arrangementSchema });

/**
 * Reads a motif as `writeMotifText` writes it; without a line of its own it is one of the usual box.
 * @throws CoreError "motif-text/…" with {line, column, at, length} of what is wrong; "motif-text/long" {length, most}
 */
export function readMotifText(text: string): ToldMotif {
  if (text.length > MAX_MOTIF_TEXT) {
    throw new CoreError('motif-text/long', { length: text.length, most: MAX_MOTIF_TEXT });
  }
  const lines = wordsOf(text.replace(/\r\n?/g, '\n'));
  const hasHead = lines[0]?.[0]?.text === 'motif';
  const places: Places = new Map();
  const { head, lay } = readHead(hasHead ? lines[0]! : [], places);
  const pieces: Tree[] = [];
  for (const words of hasHead ? lines.slice(1) : lines) {
    const free = 1 + Math.max(0, ...pieces.map(({ id }) => Number(id)));
    pieces.push(readPiece(words, free, `pieces.${pieces.length}`, places));
  }
  const result = toldSchema.safeParse({ motif: { kind: 'motif', ...head, pieces }, lay });
  if (result.success) return { motif: result.data.motif, arrangement: result.data.lay };
  const facts = fieldFacts(result.error);
  const path = (facts.path as string).replace(/^motif\./, '');
  throw new CoreError('motif-text/field', { ...facts, path, ...spot(placeOf(path, places)) });
}

function spot(word: Word | undefined) {
  const { line = 1, column = 1, at = 0, length = 0 } = word ?? {};
  return { line, column, at, length };
}

/** Where what a path leads to stands, or the nearest thing that it is part of. */
function placeOf(path: string, places: Places): Word | undefined {
  const keys = path.split('.');
  for (let length = keys.length; length > 0; length -= 1) {
    const place = places.get(keys.slice(0, length).join('.'));
    if (place !== undefined) return place;
  }
  return undefined;
}

function readHead(words: readonly Word[], places: Places): { head: Tree; lay: Tree } {
  const [own, ...parts] = parted(words.slice(1));
  const head = ofTheirKind(readFields(own ?? [], MOTIF_TEMPLATE, '', places));
  const [part] = parts;
  const lay = part === undefined ? { kind: 'straight' } : readPart(part, PART_TEMPLATES.motif, 'lay', places);
  return { head, lay };
}

function readPiece(words: readonly Word[], free: number, path: string, places: Places): Tree {
  const [first, ...others] = words;
  const named = /^(\d+):$/.exec(first!.text);
  const kindWord = named === null ? first! : others[0];
  const rest = named === null ? others : others.slice(1);
  const template = shapeTemplate(kindWord?.text ?? '');
  if (kindWord === undefined || template === undefined) {
    throw new CoreError('motif-text/shape', {
      ...spot(kindWord ?? first),
      text: kindWord?.text ?? first!.text,
      known: SHAPE_KINDS.join(', '),
    });
  }
  places.set(path, kindWord);
  const id = named === null ? free : Number(named[1]);
  const usual = pieceTemplate(id);
  const { kind, ...numbers } = template as unknown as Tree;
  const [own, ...parts] = parted(rest);
  const read = readFields(
    own ?? [],
    { ...(usual as unknown as Tree), ...numbers },
    path,
    places,
    Object.keys(numbers),
  );
  const shape: Record<string, TreeValue> = { kind: kind! };
  const piece: Record<string, TreeValue> = { id };
  for (const [key, value] of Object.entries(read)) (Object.hasOwn(numbers, key) ? shape : piece)[key] = value;
  const made = parts.map((part, at) => readPart(part, PART_TEMPLATES.piece, `${path}.made.${at}`, places));
  return { ...ofTheirKind(piece), shape: ofTheirKind(shape), made };
}

function isTree(value: TreeValue | undefined): value is Tree {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

/** What things have that others of their kind have not is left out. */
function ofTheirKind(tree: Tree): Tree {
  return Object.fromEntries(
    Object.entries(tree).map(([key, value]) => {
      if (!isTree(value)) return [key, value];
      const inner = ofTheirKind(value);
      const rule = FIELDS_BY_KIND[key];
      const known = rule?.kinds[String(inner[rule.by])];
      const kept = Object.entries(inner).filter(([field]) => known?.includes(field) ?? true);
      return [key, Object.fromEntries(kept)];
    }),
  );
}

/** Words between bars. */
function parted(words: readonly Word[]): readonly (readonly Word[])[] {
  const parts: Word[][] = [[]];
  for (const word of words) {
    if (word.text === '|') parts.push([]);
    else parts.at(-1)!.push(word);
  }
  return parts;
}

function readPart(
  words: readonly Word[],
  templates: Readonly<Record<string, object>>,
  path: string,
  places: Places,
): Tree {
  const [kindWord, ...rest] = words;
  const kind = kindWord?.text ?? '';
  if (!Object.hasOwn(templates, kind)) {
    throw new CoreError('motif-text/part', {
      ...spot(kindWord),
      text: kind,
      known: Object.keys(templates).join(', '),
    });
  }
  places.set(path, kindWord!);
  const { kind: _, ...template } = templates[kind] as Tree;
  return { kind, ...readFields(rest, template, path, places) };
}

/** Fields over those of a template. @param inShape  fields that stand in the shape of their piece */
function readFields(
  words: readonly Word[],
  template: Tree,
  path: string,
  places: Places,
  inShape: readonly string[] = [],
): Tree {
  const made: Tree = structuredTree(template);
  for (const word of words) {
    const keys = word.text.split('.');
    const parent = parentOf(made, keys, word);
    const key = keys.at(-1)!;
    if (key === '' || !Object.hasOwn(parent, key)) throw unknown(word, Object.keys(made));
    const field = inShape.includes(keys[0]!) ? `shape.${word.text}` : word.text;
    places.set(path === '' ? field : `${path}.${field}`, word);
    parent[key] = readValue(word, key, parent[key]);
  }
  return made;
}

type Growing = Record<string, TreeValue>;

/** What the last of some keys stands in; what is not there yet is begun as it is usual. */
function parentOf(made: Tree, keys: readonly string[], word: Word): Growing {
  let here = made as Growing;
  keys.slice(0, -1).forEach((key, at) => {
    const path = keys.slice(0, at + 1).join('.');
    if (here[key] === null && OBJECTS[path] !== undefined) here[key] = structuredTree(OBJECTS[path]);
    const next = Object.hasOwn(here, key) ? here[key] : undefined;
    if (typeof next !== 'object' || next === null || Array.isArray(next))
      throw unknown(word, Object.keys(here));
    here = next as Growing;
  });
  return here;
}

function unknown(word: Word, known: readonly string[]): CoreError {
  return new CoreError('motif-text/key', { ...spot(word), text: word.text, known: known.join(', ') });
}

function structuredTree(tree: Tree): Tree {
  return JSON.parse(JSON.stringify(tree)) as Tree;
}

/** What a word's value is, by what stands there now. */
function readValue(word: Word, key: string, now: TreeValue | undefined): TreeValue {
  const { value } = word;
  const list = LISTS[key];
  if (list !== undefined && Array.isArray(now))
    return split(value ?? '', ';').map((item) => itemOf(item, list, word, NUMBER_ITEMS.includes(key)));
  if (NUMBER_LISTS.includes(key)) return split(value ?? '', ',').map(Number);
  if (TEXT_LISTS.includes(key)) return split(value ?? '', ',');
  if (value === undefined) {
    const object = OBJECTS[word.text];
    if (object !== undefined && now === null) return structuredTree(object);
    if (typeof now === 'boolean') return true;
    throw new CoreError('motif-text/bare', { ...spot(word), text: word.text });
  }
  if (typeof now === 'boolean') throw new CoreError('motif-text/value', { ...spot(word), text: value });
  if (typeof now === 'number') return Number(value);
  return value;
}

function split(text: string, by: string): readonly string[] {
  return text.trim() === '' ? [] : text.split(by).map((each) => each.trim());
}

function itemOf(text: string, list: (typeof LISTS)[string], word: Word, isCounted: boolean): Tree {
  const parts = split(text, ',');
  if (parts.length > list.length) throw new CoreError('motif-text/value', { ...spot(word), text });
  return Object.fromEntries(
    list.map(([key, usual], at) => {
      const part = parts[at] ?? usual;
      return [key, part === '-' ? null : isCounted ? Number(part) : part];
    }),
  );
}
