/** A plaid in a few numbers, to begin from. */
export interface Start {
  readonly name: string;
  /** What makes it what it is, in one line. */
  readonly what: string;
  readonly warp: string;
  /** Empty: follows the warp. */
  readonly weft: string;
  readonly weave: string;
  readonly shades: string;
}

/** Common practice of the trade, in invented shades. */
export const STARTS: readonly Start[] = [
  {
    name: 'Mirrored plaid',
    what: 'A sett that turns back on its two pivots, in 2/2 twill.',
    warp: 'A/12 B6 C/4',
    weft: '',
    weave: '2/2Z',
    shades: 'A=#24402f Pine, B=#c79a3b Ochre, C=#efe6cf Cream',
  },
  {
    name: 'Gingham',
    what: 'Equal bands of one shade and white, plain: three tones.',
    warp: 'A12 W12',
    weft: '',
    weave: 'plain',
    shades: 'A=#2e4c63 Slate, W=#fbf8f0 White',
  },
  {
    name: 'Stripe',
    what: 'Bands in the warp only, the weft in one shade.',
    warp: 'A10 B2 A2 B2 A2 C12',
    weft: 'A4',
    weave: '3/1Z',
    shades: 'A=#8c2f25 Red, B=#efe6cf Cream, C=#6d4f63 Heather',
  },
  {
    name: 'Shepherd’s check',
    what: '6 dark and 6 light, both ways, in 2/2 twill.',
    warp: 'K6 W6',
    weft: '',
    weave: '2/2Z',
    shades: 'K=#262b2d Black, W=#fbf8f0 White',
  },
  {
    name: 'Houndstooth',
    what: '4 dark and 4 light, both ways, in 2/2 twill.',
    warp: 'K4 W4',
    weft: '',
    weave: '2/2Z',
    shades: 'K=#5f4636 Peat, W=#efe6cf Cream',
  },
  {
    name: 'Windowpane',
    what: 'Thin lines, wide ground, plain.',
    warp: 'A22 B2',
    weft: '',
    weave: 'plain',
    shades: 'A=#b4c5c6 Mist, B=#2e4c63 Slate',
  },
];
