import { straightUnit } from '../../repeat/repeat-unit.ts';
import type { Sequence } from '../../thread/sequence.ts';
import type { ConstructionKind } from '../construction.ts';
import { plaidToCsv } from '../exchange/plaid-csv.ts';
import { plaidToText } from '../exchange/plaid-text.ts';
import { plaidToDraftSvg, plaidToPaperSvg } from '../exchange/structure-files.ts';
import { plaidToWif } from '../exchange/write-wif-design.ts';
import { pitchOf } from '../lay/lay-schema.ts';
import { mapBands } from '../map-bands.ts';
import { compilePlaid, laidOutThreads, weftOf } from './compile-plaid.ts';
import { laidPlaid } from './laid-plaid.ts';
import { PLAID_BANDS } from './plaid-bands.ts';
import { type Plaid, plaidSchema } from './plaid-schema.ts';
import { PLAID_STARTS } from './plaid-starts.ts';
import { plaidThreads } from './plaid-threads.ts';
import { missesOfPlaid } from './prove-plaid.ts';

/** Two sequences of threads that are crossed. */
export const PLAID: ConstructionKind<Plaid> = {
  schema: plaidSchema,
  compile: (plaid, { shades, lay }) => {
    const cells = compilePlaid(plaid, shades);
    return straightUnit(cells, pitchOf(lay), laidOutThreads(plaid, cells));
  },
  misses: (plaid, { shades }, { grid }) => {
    if (grid.step !== 'thread') throw new Error(`expected threads, got ${grid.step}`);
    const [ends, picks] = missesOfPlaid(plaid, shades, grid);
    return ends + picks;
  },
  mapShades: (plaid, to) => {
    const { warp, weft, print } = plaid;
    const { ground } = print;
    return {
      ...plaid,
      print: ground === null ? print : { ...print, ground: to(ground, ['print', 'ground']) },
      warp: mapBands(warp, ['warp'], to),
      weft: { ...weft, own: weft.own && mapBands(weft.own, ['weft', 'own'], to) },
    };
  },
  kindOf: (plaid) => {
    const plain = (sequence: Sequence) => new Set(sequence.bands.map((band) => band.shade)).size === 1;
    const ways = [plaid.warp, weftOf(plaid)].filter(plain).length;
    return ways === 2 ? 'weave' : ways === 1 ? 'stripe' : 'plaid';
  },
  density: 'repeat',
  drawing: 'plain',
  isClear: () => false,
  starts: () => PLAID_STARTS,
  filesOf: ({ crossing }) => ({
    'counts.txt': plaidToText,
    'counts.csv': plaidToCsv,
    ...(crossing === 'woven' && {
      'draft.wif': (design) => plaidToWif(laidPlaid(design)),
      'draft.svg': (design) => plaidToDraftSvg(laidPlaid(design)),
      'paper.svg': (design) => plaidToPaperSvg(laidPlaid(design)),
    }),
  }),
  partsOf: ({ crossing, weave, print }) => (crossing === 'woven' ? { crossing, weave } : { crossing, print }),
  banded: PLAID_BANDS,
  threadsOf: plaidThreads,
  wovenOf: (design) => (design.construction.crossing === 'woven' ? design : undefined),
};
