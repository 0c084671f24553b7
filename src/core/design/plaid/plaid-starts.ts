import { formatThreadCount } from '../../formats/thread-count.ts';
import { irregularBands } from '../../thread/irregular.ts';
import type { StartPoint } from '../construction.ts';
import type { PlaidDesign } from '../design-schema.ts';
import { designFromText } from '../exchange/counts-text.ts';
import { asKind } from '../of-kind.ts';

type PlaidStart = Omit<StartPoint<PlaidDesign>, 'design'> & {
  /** Thread-count text; the same seed always gives the same. */
  readonly text: (seed: number) => string;
};

function fixed(...lines: readonly string[]): () => string {
  const text = `${lines.join('\n')}\n`;
  return () => text;
}

function times(count: number, bands: string): string {
  return Array.from({ length: count }, () => bands).join(' ');
}

/** Common practice of the trade, in invented shades. */
const TEXTS: readonly PlaidStart[] = [
  {
    key: 'mirrored',
    name: 'Mirrored plaid',
    what: 'A sett that turns back on its two pivots, both ways, in 2/2 twill.',
    text: fixed('warp: G/12 O6 C/4', 'weave: 2/2Z'),
  },
  {
    key: 'gingham',
    name: 'Gingham',
    what: 'Equal bands of one shade and white, both ways, plain weave: three tones.',
    text: fixed('warp: B12 W12', 'weave: plain'),
  },
  {
    key: 'flat-gingham',
    name: 'Printed gingham',
    what: 'The stripe printed over itself turned, with multiply: three flat tones.',
    text: fixed('warp: P12 W12', 'print: multiply 1 warp'),
  },
  {
    key: 'half-strength',
    name: 'Printed at half strength',
    what: 'Three shades, the stripes printed over themselves turned at half strength.',
    text: fixed('warp: B12 O12 W12', 'print: normal 1/2 warp'),
  },
  {
    key: 'apron',
    name: 'Apron check',
    what: 'A small even check of one dark shade and white, plain weave.',
    text: fixed('warp: G6 W6', 'weave: plain', 'density: 32/in'),
  },
  {
    key: 'windowpane',
    name: 'Windowpane',
    what: 'Thin lines, far apart, on a wide ground.',
    text: fixed('warp: Z22 B2', 'weave: plain'),
  },
  {
    key: 'graph',
    name: 'Graph check',
    what: 'Thin lines of one shade, close and even, as on squared paper.',
    text: fixed('warp: W6 B1 W7 B2', 'weave: plain'),
  },
  {
    key: 'tattersall',
    name: 'Tattersall',
    what: 'Thin lines of two shades in turn, both ways, on a light ground.',
    text: fixed('warp: C10 B2 C10 U2', 'weave: plain'),
  },
  {
    key: 'shepherd',
    name: 'Shepherd’s check',
    what: '6 dark and 6 light, both ways, in 2/2 twill.',
    text: fixed('warp: K6 W6', 'weave: 2/2Z'),
  },
  {
    key: 'houndstooth',
    name: 'Houndstooth',
    what: '4 dark and 4 light, both ways, in 2/2 twill.',
    text: fixed('warp: E4 C4', 'weave: 2/2Z'),
  },
  {
    key: 'puppytooth',
    name: 'Puppytooth',
    what: '2 dark and 2 light, both ways, in 2/2 twill; the weft begins where that makes teeth.',
    text: fixed('warp: K2 W2', 'turn: 3', 'weave: 2/2Z'),
  },
  {
    key: 'glen',
    name: 'Glen check',
    what: 'Blocks of 4 and 4 beside blocks of 2 and 2, both ways, in 2/2 twill.',
    text: fixed(`warp: ${times(4, 'S4 C4')} ${times(8, 'S2 C2')}`, 'weave: 2/2Z'),
  },
  {
    key: 'log-cabin',
    name: 'Log cabin',
    what: 'Dark and light in turn, the order shifted by one at block edges, plain weave.',
    text: fixed(`warp: ${times(8, 'E1 C1')} ${times(8, 'C1 E1')}`, 'weave: plain'),
  },
  {
    key: 'hairline',
    name: 'Hairline',
    what: 'Dark and light in turn both ways in plain weave: lines one thread wide.',
    text: fixed('warp: K1 W1', 'weft: W1 K1', 'weave: plain'),
  },
  {
    key: 'pick-and-pick',
    name: 'Pick-and-pick',
    what: 'Dark and light in turn both ways in 2/2 twill: the smallest steps.',
    text: fixed('warp: K1 W1', 'weave: 2/2Z'),
  },
  {
    key: 'step',
    name: 'Step',
    what: '2 dark and 2 light both ways in 4/4 twill: stairs that climb with the twill.',
    text: fixed('warp: K2 W2', 'weave: 4/4Z'),
  },
  {
    key: 'birds-eye',
    name: 'Bird’s-eye',
    what: '2 dark and 1 light both ways in plain weave: light spots, upright and level in turn.',
    text: fixed('warp: K2 W1', 'weave: plain'),
  },
  {
    key: 'crows-foot',
    name: 'Crow’s foot',
    what: '2 dark and 2 light both ways in plain weave: small feet of four toes.',
    text: fixed('warp: K2 W2', 'weave: plain'),
  },
  {
    key: 'twill',
    name: 'Twill',
    what: 'A dark warp on a light weft in 2/2 twill: its line alone.',
    text: fixed('warp: S4', 'weft: C4', 'weave: 2/2Z'),
  },
  {
    key: 'satin',
    name: 'Satin',
    what: 'A dark warp on a light weft in satin of eight ends: the warp on the face.',
    text: fixed('warp: S8', 'weft: C8', 'weave: satin 8/3'),
  },
  {
    key: 'herringbone',
    name: 'Herringbone',
    what: 'A dark warp on a light weft, 2/2 twill turned with a cut every 12 ends.',
    text: fixed('warp: S24', 'weft: C4', 'weave: herringbone 2/2 12'),
  },
  {
    key: 'honeycomb',
    name: 'Honeycomb towel',
    what: 'One light shade with a band, in ridges and hollows.',
    text: fixed('warp: W60 B4 W4 B4', 'weft: W60 B4 W4 B4', 'weave: honeycomb 5'),
  },
  {
    key: 'madras',
    name: 'Irregular check',
    what: 'Bands of irregular counts in several bright shades, plain; another seed gives another.',
    text: (seed) => {
      const keys = ['R', 'Y', 'B', 'G', 'W', 'P'];
      const counts = [seed, seed + 1].map((each) =>
        formatThreadCount({ bands: irregularBands(each, 14, keys), mirror: 'none' }),
      );
      return [`warp: ${counts[0]}`, `weft: ${counts[1]}`, 'weave: plain', 'density: 40/in'].join('\n');
    },
  },
  {
    key: 'blanket',
    name: 'Blanket check',
    what: 'Broad blocks with a thin check through them, in 2/2 twill.',
    text: fixed('warp: H32 C2 H8 C2 M32 C4', 'weave: 2/2Z', 'density: 16/in'),
  },
  {
    key: 'pinstripe',
    name: 'Pinstripe',
    what: 'Single light threads, far apart, on a dark ground.',
    text: fixed('warp: K15 W1', 'weft: K4', 'weave: 2/2Z'),
  },
  {
    key: 'bengal',
    name: 'Bengal stripe',
    what: 'Equal narrow bands of one shade and white, upright only.',
    text: fixed('warp: B6 W6', 'weft: W4', 'weave: 3/1Z'),
  },
  {
    key: 'candy',
    name: 'Candy stripe',
    what: 'Equal broader bands of one bright shade and white, upright only.',
    text: fixed('warp: R14 W14', 'weft: W4', 'weave: 3/1Z'),
  },
  {
    key: 'ticking',
    name: 'Ticking',
    what: 'A cluster of fine lines on a light ground, the warp on the face.',
    text: fixed('warp: C16 B2 C2 B4 C2 B2', 'weft: C4', 'weave: 3/1Z', 'density: 48 x 40 / in'),
  },
];

/** All of them, the plainest first. */
export const PLAID_STARTS: readonly StartPoint<PlaidDesign>[] = TEXTS.map(({ text, ...start }) => ({
  ...start,
  design: (seed) => asKind('plaid', designFromText(text(seed), start.name)),
}));
