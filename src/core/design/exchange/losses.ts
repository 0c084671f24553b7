import { kindFor } from '../constructions.ts';
import type { Design } from '../design-schema.ts';
import { designFromFile, type FileKind } from './read-file.ts';
import { writeFile } from './write-file.ts';

/** What of a design a file may not hold. */
export const LOSSES = [
  'name',
  'number',
  'shades',
  'crossing',
  'weave',
  'print',
  'direction',
  'clear',
  'density',
  'resolution',
  'colourways',
  'yarn',
  'kept',
] as const;
export type Loss = (typeof LOSSES)[number];

/** Each part that every design has, of which the same must come back. Shades may take other letters. */
function partsOf(design: Design): Readonly<Partial<Record<Loss, unknown>>> {
  const { name, number, shades, construction, lay, resolution, colourways, yarn, kept } = design;
  return {
    name,
    number,
    shades: shades.map((shade) => `${shade.hex} ${shade.name}`).sort(),
    density: [lay.ends, lay.picks, lay.per],
    resolution,
    colourways,
    yarn,
    kept,
    ...kindFor(construction).partsOf?.(construction),
  };
}

const FILES = { csv: 'counts.csv', txt: 'counts.txt', wif: 'draft.wif' } as const;

/**
 * What of a design does not come back from a file of that kind: found by writing and reading one.
 * @throws CoreError of the writer
 */
export function lossesOf(design: Design, kind: FileKind): readonly Loss[] {
  if (kind === 'json') return [];
  const before = partsOf(design);
  const after = partsOf(designFromFile(`x.${kind}`, writeFile(design, FILES[kind])));
  return LOSSES.filter(
    (loss) => before[loss] !== undefined && JSON.stringify(after[loss]) !== JSON.stringify(before[loss]),
  );
}
