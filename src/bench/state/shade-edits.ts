import { withShade } from '../../core/colour/change-shade.ts';
import type { Shade } from '../../core/colour/shade.ts';
import type { Design } from '../../core/design/design-schema.ts';
import { shadesUsed, withShadeReplaced } from '../../core/design/shades-used.ts';
import { rekeyed } from './colourway-edits.ts';
import type { Edit } from './design-edits.ts';

export function setShades(shades: readonly Shade[]): Edit {
  return (design) => ({ ...design, shades: [...shades] });
}

/** Changes a shade; a new key is carried into every band that uses it, a name that was not typed follows the colour. */
export function changeShade(key: string, change: Partial<Shade>): Edit {
  return (design) => {
    const shades = withShade(design.shades, key, change);
    const renamed = change.key === undefined ? design : replaceEverywhere(design, key, change.key);
    return { ...renamed, shades, colourways: rekeyed(design.colourways, key, change.key ?? key) };
  };
}

/** Takes a shade off the card; bands that use it take `replacement`. */
export function removeShade(key: string, replacement: string | undefined): Edit {
  return (design) => {
    if (design.shades.length === 1) return design;
    const freed = replacement === undefined ? design : replaceEverywhere(design, key, replacement);
    if (bandsUsing(freed, key) > 0) return design;
    const colourways = rekeyed(design.colourways, key, undefined);
    return { ...freed, colourways, shades: design.shades.filter((shade) => shade.key !== key) };
  };
}

/** An edit on another card, which has the shades that the edit names. */
export function onCard(shades: readonly Shade[], edit: Edit): Edit {
  const isSame = (other: readonly Shade[]) =>
    other.length === shades.length && other.every((shade, at) => shade === shades[at]);
  return (design) => edit(isSame(design.shades) ? design : setShades(shades)(design));
}

/** How many typed bands use a shade, those of a weft that rests included. */
export function bandsUsing({ construction }: Design, key: string): number {
  return shadesUsed(construction).filter((use) => use.key === key).length;
}

function replaceEverywhere(design: Design, from: string, to: string): Design {
  return { ...design, construction: withShadeReplaced(design.construction, from, to) };
}
