import type { Kind } from '../core/design/construction.ts';
import type { ByKind, Construction } from '../core/design/constructions.ts';
import type { DesignOf } from '../core/design/design-schema.ts';
import { plaidThreads } from '../core/design/plaid/plaid-threads.ts';
import { threadCount } from '../core/thread/sequence.ts';
import { crossingName } from './crossing.ts';
import { linesText } from './lines.ts';
import { plural } from './measures.ts';
import { tilingText } from './tiling-words.ts';
import { directionSentence } from './verdict.ts';

/** A name and what it says. */
export type Named = readonly [name: string, text: string];

/** What is said of a construction. Another one is another entry. */
interface ConstructionWords<C extends Construction> {
  /** Under the step that builds it: "240 ends, woven 2/2 twill". */
  readonly built: (construction: C) => string;
  /** How it is made, on one line of the ticket. */
  readonly made: (construction: C) => Named;
  /** What follows from its numbers, for the check in words. @throws CoreError of `compile` */
  readonly checked: (design: DesignOf<C>) => readonly Named[];
  /** Said where no cloth follows from its numbers. */
  readonly refused: string;
  /** Several designs, by the kinds that the shelf has for them. */
  readonly several: Readonly<Partial<Record<Kind, string>>>;
  /** Where a design is begun: what it is made of, and what comes of it. */
  readonly begun: string;
}

export const WORDS: { readonly [K in keyof ByKind]: ConstructionWords<ByKind[K]> } = {
  plaid: {
    built: (plaid) => `${plural(threadCount(plaid.warp), 'end')}, ${plaid.crossing} ${crossingName(plaid)}`,
    made: (plaid) => [plaid.crossing === 'woven' ? 'Woven' : 'Printed', crossingName(plaid)],
    checked: (design) => {
      const { warp, weft } = plaidThreads(design);
      return [
        ['Warp', directionSentence(warp, 'end')],
        ['Weft', directionSentence(weft, 'pick')],
      ];
    },
    refused: 'Cannot be woven',
    several: { plaid: 'Plaids', weave: 'Weaves' },
    begun: 'Threads: a plaid, a check, a weave',
  },
  stripe: {
    built: ({ bands, slope }) => `${plural(bands.length, 'band')}, ${linesText(slope)}`,
    made: ({ slope }) => ['Lines', linesText(slope)],
    checked: ({ construction }) => [['Lines', linesText(construction.slope)]],
    refused: 'Cannot be made',
    several: { stripe: 'Stripes' },
    begun: 'Bands: a stripe, at any angle',
  },
  tiling: {
    built: tilingText,
    made: (tiling) => ['Tiling', tilingText(tiling)],
    checked: ({ construction }) => [['Tiling', tilingText(construction)]],
    refused: 'Cannot be made',
    several: { tiling: 'Tilings' },
    begun: 'Faces: a tiling of polygons',
  },
};

/** What the shelf calls each kind of cloth. */
export const KIND_NAMES = Object.fromEntries(
  Object.values(WORDS).flatMap(({ several }) => Object.entries(several)),
) as Readonly<Record<Kind, string>>;

/** What is said of a construction, whichever it is. */
export function wordsFor<C extends Construction>(construction: C): ConstructionWords<C> {
  return WORDS[construction.kind] as unknown as ConstructionWords<C>;
}
