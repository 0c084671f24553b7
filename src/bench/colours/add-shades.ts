import { toast } from 'sonner';
import { freeName, nameWithin } from '../../core/colour/free-name.ts';
import { freeKey, MAX_SHADES, type Shade } from '../../core/colour/shade.ts';
import { CoreError } from '../../core/error.ts';
import { type PaletteColour, parsePalette } from '../../core/formats/palette.ts';
import { parseCardCsv, parseCardTokens } from '../../core/formats/shade-card.ts';
import { plural } from '../../wording/measures.ts';
import { benchState, dispatch } from '../state/bench-store.ts';
import { setShades } from '../state/shade-edits.ts';

/** Adds shades to the card, and tells how many. @throws CoreError "shades/too-many" {shades, most} */
export function addShades(read: readonly Shade[]): void {
  const { shades } = benchState().history.present;
  const added = newShades(shades, read);
  if (shades.length + added.length > MAX_SHADES) {
    throw new CoreError('shades/too-many', { shades: shades.length + added.length, most: MAX_SHADES });
  }
  dispatch({ kind: 'edit', edit: setShades([...shades, ...added]) });
  const known = read.length - added.length;
  toast(`Added ${plural(added.length, 'shade')}${known > 0 ? `; ${known} stood there already` : ''}.`);
}

/** The shades of a file, by its ending; of any other, as a palette of colours. @throws CoreError of its reader */
export function readCard(name: string, text: string): readonly Shade[] {
  if (/\.json$/i.test(name)) return parseCardTokens(text);
  return /\.csv$/i.test(name) ? parseCardCsv(text) : shadesOf(parsePalette(text));
}

/** Colours as shades, with letters and names where they have none. */
export function shadesOf(palette: readonly PaletteColour[]): readonly Shade[] {
  const shades: Shade[] = [];
  for (const { name, hex } of palette) {
    const key = freeKey(new Set(shades.map((shade) => shade.key)));
    const wished = name === '' ? nameWithin(shades, hex) : name;
    shades.push({
      key,
      name: freeName(wished, (taken) => shades.some((shade) => shade.name === taken)),
      hex,
    });
  }
  return shades;
}

/** The shades that the card lacks, with letters that are free on it. */
export function newShades(card: readonly Shade[], read: readonly Shade[]): readonly Shade[] {
  const taken = new Set(card.map((shade) => shade.key));
  const known = (shade: Shade) => card.some(({ name, hex }) => name === shade.name && hex === shade.hex);
  return read
    .filter((shade) => !known(shade))
    .map((shade) => {
      const key = taken.has(shade.key) ? freeKey(taken) : shade.key;
      taken.add(key);
      return { ...shade, key };
    });
}
