import type { Design } from '../design-schema.ts';
import { isPlaid, isStripe } from '../design-schema.ts';
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

/** Each part, of which the same must come back; false where a design has none. Shades may take other letters. */
const PARTS: Readonly<Record<Loss, (design: Design) => unknown>> = {
  name: ({ name }) => name,
  number: ({ number }) => number,
  shades: ({ shades }) => shades.map(({ name, hex }) => `${hex} ${name}`).sort(),
  crossing: (design) => isPlaid(design) && design.construction.crossing,
  weave: (design) => isPlaid(design) && design.construction.crossing === 'woven' && design.construction.weave,
  print: (design) =>
    isPlaid(design) && design.construction.crossing === 'printed' && design.construction.print,
  direction: (design) =>
    isStripe(design) && [design.construction.slope, design.construction.asked, design.construction.measured],
  clear: (design) => isStripe(design) && design.construction.clear,
  density: ({ lay }) => [lay.ends, lay.picks, lay.per],
  resolution: ({ resolution }) => resolution,
  colourways: ({ colourways }) => colourways,
  yarn: ({ yarn }) => yarn,
  kept: ({ kept }) => kept,
};

const FILES = { csv: 'counts.csv', txt: 'counts.txt', wif: 'draft.wif' } as const;

/**
 * What of a design does not come back from a file of that kind: found by writing and reading one.
 * @throws CoreError of the writer
 */
export function lossesOf(design: Design, kind: FileKind): readonly Loss[] {
  if (kind === 'json') return [];
  const back = designFromFile(`x.${kind}`, writeFile(design, FILES[kind]));
  return LOSSES.filter((loss) => {
    const part = PARTS[loss](design);
    return part !== false && JSON.stringify(PARTS[loss](back)) !== JSON.stringify(part);
  });
}
