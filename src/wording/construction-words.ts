import type { Kind } from '../core/design/construction.ts';
import type { ByKind, Construction } from '../core/design/constructions.ts';
import type { DesignOf } from '../core/design/design-schema.ts';
import { plaidThreads } from '../core/design/plaid/plaid-threads.ts';
import { tilingOf } from '../core/design/tiling/shape-of-tiling.ts';
import type { TilingSpec } from '../core/design/tiling/tiling-schema.ts';
import { threadCount } from '../core/thread/sequence.ts';
import { formatWeave } from '../core/thread/weaves/weave-text.ts';
import { valueIfAny } from './attempt.ts';
import { crossingName } from './crossing.ts';
import { linesText } from './lines.ts';
import { plural } from './measures.ts';
import { motifText, SHAPE_NAMES } from './motif-words.ts';
import { pliesChecked, pliesFound, pliesText } from './ply-words.ts';
import { polygonText, tilingText } from './tiling-words.ts';
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
  /** Words by which it is found, beside its names and shades. */
  readonly found: (construction: C) => readonly string[];
  /** Several designs, by the kinds that the shelf has for them. */
  readonly several: Readonly<Partial<Record<Kind, string>>>;
  /** Where a design is begun: what it is, and what it is made of in one line. */
  readonly begun: string;
  readonly about: string;
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
    found: (plaid) => [
      plaid.crossing,
      crossingName(plaid),
      ...(plaid.crossing === 'woven' ? [formatWeave(plaid.weave)] : ['print']),
    ],
    refused: 'Cannot be woven',
    several: { plaid: 'Plaids', weave: 'Weaves' },
    begun: 'Plaid or weave',
    about: 'Threads counted in two directions, crossed by a weave, or printed.',
  },
  stripe: {
    built: ({ bands, slope }) => `${plural(bands.length, 'band')}, ${linesText(slope)}`,
    made: ({ slope }) => ['Lines', linesText(slope)],
    checked: ({ construction }) => [['Lines', linesText(construction.slope)]],
    found: ({ slope }) => [linesText(slope), ...(slope.rise !== 0 && slope.run !== 0 ? ['diagonal'] : [])],
    refused: 'Cannot be made',
    several: { stripe: 'Stripes' },
    begun: 'Stripe',
    about: 'Bands in exact widths, down, across or at an angle that repeats.',
  },
  tiling: {
    built: tilingText,
    made: (tiling) => ['Tiling', tilingText(tiling)],
    checked: ({ construction }) => [['Tiling', tilingText(construction)]],
    found: (tiling) => [tilingText(tiling), ...polygonsOf(tiling)],
    refused: 'Cannot be made',
    several: { tiling: 'Tilings' },
    begun: 'Tiling',
    about: 'Hexagons, diamonds, cubes, bricks: polygons that fit without a gap.',
  },
  motif: {
    built: motifText,
    made: (motif) => ['Motif', motifText(motif)],
    checked: ({ construction }) => [['Motif', motifText(construction)]],
    found: ({ pieces }) => [...new Set(pieces.map(({ shape }) => SHAPE_NAMES[shape.kind].toLowerCase()))],
    refused: 'Cannot be made',
    several: { motif: 'Motifs' },
    begun: 'Motif',
    about: 'Pieces on a grid, from numbers: scales, waves, chevrons, bars that lock.',
  },
  plies: {
    built: pliesText,
    made: ({ plies }) => ['Plies', String(plies.length)],
    checked: pliesChecked,
    found: pliesFound,
    refused: 'Cannot be made',
    several: { plies: 'Plies' },
    begun: 'Plies',
    about: 'One design over another, moved, scaled and blended, in the repeat that all have in common.',
  },
};

/** Its faces by their numbers of sides: "hexagons", "triangles". */
function polygonsOf(tiling: TilingSpec): readonly string[] {
  const faces = valueIfAny(() => tilingOf(tiling).faces) ?? [];
  return [...new Set(faces.map(({ length }) => length))].map(polygonText);
}

/** What the shelf calls each kind of cloth. */
export const KIND_NAMES = Object.fromEntries(
  Object.values(WORDS).flatMap(({ several }) => Object.entries(several)),
) as Readonly<Record<Kind, string>>;

/** What is said of a construction, whichever it is. */
export function wordsFor<C extends Construction>(construction: C): ConstructionWords<C> {
  return WORDS[construction.kind] as unknown as ConstructionWords<C>;
}
