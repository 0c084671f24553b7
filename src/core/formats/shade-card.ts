import { freeName } from '../colour/free-name.ts';
import { hexOf, normaliseHex, type Rgb } from '../colour/hex.ts';
import { nameOf } from '../colour/name-of.ts';
import { freeKey, MAX_SHADES, SHADE_KEY, type Shade } from '../colour/shade.ts';
import { CoreError } from '../error.ts';
import { readColour } from './shade-list.ts';
import { formatTable, parseTable } from './table.ts';

/** Longest shade card that is read, in characters. */
export const MAX_CARD = 500_000;

/** A shade card as a table: letter, name, colour. Source of the form: RFC 4180. */
export function formatCardCsv(shades: readonly Shade[]): string {
  const rows = shades.map(({ key, name, hex }) => [key, name, hex]);
  return formatTable([['letter', 'name', 'colour'], ...rows]);
}

/**
 * Reads a card from a table with a column `colour` (or `hex`) and, if wished, `name` and `letter`.
 * @throws CoreError "card/columns" {found} | "card/colour" {line, text} | "card/empty" | "card/twice" {name} |
 *         "shades/too-many" | "card/too-long"
 */
export function parseCardCsv(text: string): readonly Shade[] {
  checkLength(text);
  const [names = [], ...rows] = parseTable(text);
  const place = (...wanted: readonly string[]) =>
    names.findIndex((name) => wanted.includes(name.toLowerCase()));
  const [colour, name, letter] = [
    place('colour', 'color', 'hex'),
    place('name', 'shade'),
    place('letter', 'key'),
  ];
  if (colour < 0) throw new CoreError('card/columns', { found: names.slice(0, 12) });
  return keyed(
    rows.flatMap((row, index) => {
      const cell = (at: number) => row[at] ?? '';
      if (row.every((value) => value === '')) return [];
      return [{ key: cell(letter), name: cell(name), hex: colourAt(cell(colour), index + 2) }];
    }),
  );
}

/** A shade card as W3C Design Tokens (Design Tokens Format Module, 2025): one colour token a shade. */
export function formatCardTokens(shades: readonly Shade[]): string {
  const tokens = shades.map(({ key, name, hex }) => [
    name.replace(/[.{}]/g, ' ').replace(/^\$+/, ''),
    {
      $value: { colorSpace: 'srgb', components: componentsOf(hex), hex },
      $extensions: { vetro: { letter: key } },
    },
  ]);
  return `${JSON.stringify({ $type: 'color', ...Object.fromEntries(tokens) }, null, 2)}\n`;
}

/**
 * Reads a card from Design Tokens: every colour token in any group, as a hex string or an sRGB value.
 * @throws CoreError "card/json" | "card/token" {name} | "card/empty" | "card/twice" | "shades/too-many"
 */
export function parseCardTokens(text: string): readonly Shade[] {
  checkLength(text);
  let tokens: unknown;
  try {
    tokens = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch {
    throw new CoreError('card/json');
  }
  return keyed(collect(tokens, '', undefined, 0));
}

/** Deepest nesting of groups that is followed. */
const DEEPEST = 20;

function collect(node: unknown, name: string, type: unknown, depth: number): Shade[] {
  if (typeof node !== 'object' || node === null || depth > DEEPEST) return [];
  const group = node as Readonly<Record<string, unknown>>;
  const own = group['$type'] ?? type;
  if ('$value' in group) {
    if (own !== 'color') return [];
    const extensions = group['$extensions'] as { vetro?: { letter?: unknown } } | undefined;
    const letter = extensions?.vetro?.letter;
    return [{ key: typeof letter === 'string' ? letter : '', name, hex: tokenHex(group['$value'], name) }];
  }
  return Object.entries(group)
    .filter(([key]) => !key.startsWith('$'))
    .flatMap(([key, child]) => collect(child, key, own, depth + 1));
}

function tokenHex(value: unknown, name: string): string {
  const wrong = new CoreError('card/token', { name });
  try {
    if (typeof value === 'string') return normaliseHex(value);
  } catch {
    throw wrong;
  }
  const { colorSpace, components } = Object(value) as { colorSpace?: unknown; components?: unknown };
  const numbers = Array.isArray(components) ? components.map(Number) : [];
  const inside = numbers.length === 3 && numbers.every((part) => part >= 0 && part <= 1);
  if (colorSpace !== 'srgb' || !inside) throw wrong;
  return hexOf(numbers.map((part) => Math.floor(part * 255 + 0.5)) as unknown as Rgb);
}

function componentsOf(hex: string): readonly number[] {
  return [1, 3, 5].map((at) => Number((Number.parseInt(hex.slice(at, at + 2), 16) / 255).toFixed(5)));
}

/** Gives every shade a letter that is free and a name; one name for two colours is refused. */
function keyed(read: readonly Shade[]): readonly Shade[] {
  if (read.length === 0) throw new CoreError('card/empty');
  if (read.length > MAX_SHADES) {
    throw new CoreError('shades/too-many', { shades: read.length, most: MAX_SHADES });
  }
  const taken = new Set<string>();
  const names = new Map<string, string>();
  return read.map(({ key, name, hex }) => {
    const called = name === '' ? freeName(nameOf(hex), (taken) => names.has(taken)) : name.slice(0, 120);
    if (name !== '' && names.has(called)) throw new CoreError('card/twice', { name: called });
    names.set(called, hex);
    const wished = key.toUpperCase();
    const letter = SHADE_KEY.test(wished) && !taken.has(wished) ? wished : freeKey(taken);
    taken.add(letter);
    return { key: letter, name: called, hex };
  });
}

function colourAt(text: string, line: number): string {
  try {
    return readColour(text);
  } catch {
    throw new CoreError('card/colour', { line, text: text.slice(0, 80) });
  }
}

function checkLength(text: string): void {
  if (text.length > MAX_CARD) throw new CoreError('card/too-long', { length: text.length, most: MAX_CARD });
}
