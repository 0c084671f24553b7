import { CoreError } from '../error.ts';
import type { Design } from './design-schema.ts';

export type Colourway = Design['colourways'][number];

/**
 * The same design in another set of colours; shades that the colourway does not name keep theirs.
 * @param name  undefined or empty: as it is
 * @throws CoreError "colourway/unknown" {name, known}
 */
export function inColourway(design: Design, name: string | undefined): Design {
  if (name === undefined || name === '') return design;
  const colourway = design.colourways.find((each) => each.name === name);
  if (colourway === undefined) {
    throw new CoreError('colourway/unknown', { name, known: design.colourways.map((each) => each.name) });
  }
  return { ...design, shades: coloured(design, colourway) };
}

/** The shade card in the colours of a colourway. */
export function coloured({ shades }: Design, { colours }: Colourway): Design['shades'] {
  return shades.map((shade) => ({ ...shade, hex: colours[shade.key] ?? shade.hex }));
}
