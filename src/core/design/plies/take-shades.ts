import { freeKey, MAX_SHADES, type Shade } from '../../colour/shade.ts';
import { CoreError } from '../../error.ts';
import type { Colourway } from '../colourway.ts';
import { type Design, MAX_COLOURWAYS } from '../design-schema.ts';

type Card = Pick<Design, 'shades' | 'colourways'>;

/** A card that has the shades of another too, each colour once, and by which key it has each. */
export interface TakenShades extends Card {
  readonly keys: Readonly<Record<string, string>>;
}

/**
 * The shades of a design on the card of the one that it becomes a ply of. Colourways of one name are one; others are added
 * while there is room.
 * @throws CoreError "shades/too-many" {shades, most}
 */
export function takeShades(card: Card, design: Card): TakenShades {
  const shades: Shade[] = [...card.shades];
  const taken = new Set(shades.map(({ key }) => key));
  const keys: Record<string, string> = {};
  for (const shade of design.shades) {
    const known = shades.find(({ hex }) => hex.toLowerCase() === shade.hex.toLowerCase());
    if (known === undefined) {
      const key = taken.has(shade.key) ? freeKey(taken) : shade.key;
      taken.add(key);
      shades.push({ ...shade, key });
      keys[shade.key] = key;
    } else {
      keys[shade.key] = known.key;
    }
  }
  if (shades.length > MAX_SHADES) {
    throw new CoreError('shades/too-many', { shades: shades.length, most: MAX_SHADES });
  }
  return { shades, colourways: joined(card.colourways, inKeys(design.colourways, keys)), keys };
}

function inKeys(
  colourways: readonly Colourway[],
  keys: Readonly<Record<string, string>>,
): readonly Colourway[] {
  return colourways.map(({ name, colours }) => ({
    name,
    colours: Object.fromEntries(
      Object.entries(colours).flatMap(([key, hex]) => (keys[key] === undefined ? [] : [[keys[key], hex]])),
    ),
  }));
}

/** Where both name a shade's colour, the first has it. */
function joined(first: readonly Colourway[], others: readonly Colourway[]): Colourway[] {
  const all = new Map(first.map((each) => [each.name, each]));
  for (const { name, colours } of others) {
    const known = all.get(name);
    if (known !== undefined) all.set(name, { name, colours: { ...colours, ...known.colours } });
    else if (all.size < MAX_COLOURWAYS) all.set(name, { name, colours });
  }
  return [...all.values()];
}
