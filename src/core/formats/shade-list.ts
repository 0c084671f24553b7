import { nameWithin } from '../colour/free-name.ts';
import { normaliseHex } from '../colour/hex.ts';
import { hexOfName } from '../colour/name-of.ts';
import { MAX_SHADES, SHADE_KEY, type Shade } from '../colour/shade.ts';
import { CoreError } from '../error.ts';

/**
 * Reads a list of shades such as `A=#20304a, B=#c8a24a Signal ochre, C=ivory`.
 * @throws CoreError "shades/entry" {text} | "shades/twice" {key} | "shades/too-many" | "shades/colour"
 */
export function parseShadeList(text: string): readonly Shade[] {
  const entries = text.split(',').filter((entry) => entry.trim() !== '');
  if (entries.length > MAX_SHADES) {
    throw new CoreError('shades/too-many', { shades: entries.length, most: MAX_SHADES });
  }
  const shades: Shade[] = [];
  for (const entry of entries) {
    const { name, ...read } = readEntry(entry);
    shades.push({ ...read, name: name ?? nameWithin(shades, read.hex) });
  }
  const twice = shades.find((shade, index) => shades.findIndex(({ key }) => key === shade.key) < index);
  if (twice !== undefined) throw new CoreError('shades/twice', { key: twice.key });
  return shades;
}

/** Writes shades so that `parseShadeList` reads them back; a comma in a name becomes a space. */
export function formatShadeList(shades: readonly Shade[]): string {
  return shades.map(({ key, hex, name }) => `${key}=${hex} ${name.replace(/[,\s]+/g, ' ')}`).join(', ');
}

/**
 * "#rrggbb" or a CSS colour name as hex.
 * @throws CoreError "shades/colour" {text}
 */
export function readColour(text: string): string {
  if (text.startsWith('#')) return normaliseHex(text);
  const hex = hexOfName(text);
  if (hex === undefined) throw new CoreError('shades/colour', { text: text.slice(0, 80) });
  return hex;
}

/** A shade, its name undefined where none is written. */
function readEntry(entry: string): Pick<Shade, 'key' | 'hex'> & { readonly name: string | undefined } {
  const match = /^\s*([A-Za-z]+)\s*=\s*(\S+)\s*(.*?)\s*$/.exec(entry);
  const key = match?.[1]?.toUpperCase() ?? '';
  if (match === null || !SHADE_KEY.test(key)) {
    throw new CoreError('shades/entry', { text: entry.trim().slice(0, 80) });
  }
  const hex = readColour(match[2]!);
  return { key, name: match[3] || undefined, hex };
}
