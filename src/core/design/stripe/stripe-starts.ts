import type { StartPoint } from '../construction.ts';
import type { StripeDesign } from '../design-schema.ts';
import { designFromText } from '../exchange/counts-text.ts';
import { asKind } from '../of-kind.ts';

type StripeStart = Omit<StartPoint<StripeDesign>, 'design'> & { readonly text: string };

function lines(...text: readonly string[]): string {
  return `${text.join('\n')}\n`;
}

/** Common practice of the trade, in invented shades. */
const TEXTS: readonly StripeStart[] = [
  {
    key: 'even',
    name: 'Even stripe',
    what: 'Equal bands of one shade and white, down the cloth.',
    text: lines('shades: A=#2e4c63 Slate, W=#fbf8f0 White', 'stripe: A10 W10'),
  },
  {
    key: 'pencil',
    name: 'Pencil lines',
    what: 'Thin lines of one shade, far apart.',
    text: lines('shades: A=#262b2d Black, W=#fbf8f0 White', 'stripe: W9 A1'),
  },
  {
    key: 'awning',
    name: 'Awning',
    what: 'Broad bands with a thin one on each side, turned back on two pivots.',
    text: lines('shades: A=#24402f Pine, C=#efe6cf Cream', 'stripe: A/40 C4 A4 C/40'),
  },
  {
    key: 'across',
    name: 'Across the cloth',
    what: 'Bands of three shades, level, each wider than the one before.',
    text: lines(
      'shades: A=#6d4f63 Heather, B=#efe6cf Cream, C=#5f6b43 Moss',
      'stripe: A4 B6 C8 B10',
      'slope: across',
    ),
  },
  {
    key: 'diagonal',
    name: 'Diagonal',
    what: 'Lines at 45°, measured along the edge, so that a square repeats exactly.',
    text: lines(
      'shades: A=#b0442f Madder, W=#fbf8f0 White',
      'stripe: A8 W12',
      'slope: 1/1',
      'measured: edge',
    ),
  },
  {
    key: 'steep',
    name: 'Three shades at 3/4',
    what: 'A slope of 3 over 4, whose diagonal is whole: exact across the lines and along the edges.',
    text: lines(
      'shades: A=#2e4c63 Slate, B=#c79a3b Ochre, C=#efe6cf Cream',
      'stripe: A6 C3 B3 C3',
      'slope: 3/4',
    ),
  },
];

/** All of them, the plainest first. */
export const STRIPE_STARTS: readonly StartPoint<StripeDesign>[] = TEXTS.map(({ text, ...start }) => ({
  ...start,
  design: () => asKind('stripe', designFromText(text, start.name)),
}));
