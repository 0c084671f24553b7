import { normaliseHex } from '../colour/hex.ts';
import { hexOfName } from '../colour/name-of.ts';
import { MAX_SHADES } from '../colour/shade.ts';
import { CoreError } from '../error.ts';
import { cleanText } from './clean-text.ts';

/** Longest palette that is read, in characters. */
export const MAX_PALETTE = 200_000;

/** A colour of a palette; its name is empty where the palette has none. */
export interface PaletteColour {
  readonly name: string;
  readonly hex: string;
}

/**
 * Reads colours from text in any of the open ways of writing them: hex values or CSS colour names, parted by white space,
 * commas or semicolons; CSS custom properties (`--slate-water: #2e4c63;`, CSS Custom Properties Level 1); a table of
 * lines "red green blue name", each from 0 to 255, under whatever head.
 *
 * @throws CoreError "card/too-long" {length, most} | "card/empty" | "shades/too-many" {shades, most} |
 *         "shades/colour" {text}
 */
export function parsePalette(text: string): readonly PaletteColour[] {
  if (text.length > MAX_PALETTE)
    throw new CoreError('card/too-long', { length: text.length, most: MAX_PALETTE });
  const table = tableColours(text);
  const colours =
    table.length > 0 ? table : text.includes('--') ? propertyColours(text) : listedColours(text);
  if (colours.length === 0) throw new CoreError('card/empty');
  if (colours.length > MAX_SHADES) {
    throw new CoreError('shades/too-many', { shades: colours.length, most: MAX_SHADES });
  }
  return colours;
}

/** Three numbers from 0 to 255, and a name, on each line; other lines are the head and remarks. None where hex values are given. */
function tableColours(text: string): readonly PaletteColour[] {
  if (/^\s*#[0-9a-f]{3,6}\b/im.test(text)) return [];
  return [...text.matchAll(/^[ \t]*(\d{1,3})[ \t]+(\d{1,3})[ \t]+(\d{1,3})(?:[ \t]+(.*))?\r?$/gm)].flatMap(
    (match) => {
      const levels = match.slice(1, 4).map(Number);
      if (levels.some((level) => level > 255)) return [];
      const digits = levels.map((level) => level.toString(16).padStart(2, '0'));
      const name = cleanText(match[4] ?? '').trim();
      return [{ name: /^untitled$/i.test(name) ? '' : name.slice(0, 110), hex: `#${digits.join('')}` }];
    },
  );
}

function propertyColours(text: string): readonly PaletteColour[] {
  return [...text.matchAll(/--([\w-]+)\s*:\s*(#[0-9a-f]{3,6}|[a-z]+)\s*(?:;|$|\})/gi)].map(
    ([, name, colour]) => {
      const words = name!.replace(/[-_]+/g, ' ').trim();
      return { name: (words.charAt(0).toUpperCase() + words.slice(1)).slice(0, 110), hex: hexOf(colour!) };
    },
  );
}

function listedColours(text: string): readonly PaletteColour[] {
  return text
    .split(/[\s,;"'[\]()]+/)
    .filter((word) => word !== '')
    .map((word) => ({ name: '', hex: hexOf(word) }));
}

function hexOf(word: string): string {
  const hex = /^#?([0-9a-f]{6}|[0-9a-f]{3})$/i.test(word) ? normaliseHex(word) : hexOfName(word);
  if (hex === undefined) throw new CoreError('shades/colour', { text: word.slice(0, 80) });
  return hex;
}
