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
    text: lines('stripe: B10 W10'),
  },
  {
    key: 'pencil',
    name: 'Pencil lines',
    what: 'Thin lines of one shade, far apart.',
    text: lines('stripe: W9 K1'),
  },
  {
    key: 'graduated',
    name: 'Graduated',
    what: 'Bands of one shade, each wider than the one before, with white between.',
    text: lines('stripe: B2 W6 B4 W6 B6 W6 B8 W6 B10 W6'),
  },
  {
    key: 'awning',
    name: 'Awning',
    what: 'Broad bands with a thin one on each side, turned back on two pivots.',
    text: lines('stripe: G/40 C4 G4 C/40'),
  },
  {
    key: 'across',
    name: 'Across the cloth',
    what: 'Bands of three shades, level, each wider than the one before.',
    text: lines('stripe: H4 C6 M8 C10', 'slope: across'),
  },
  {
    key: 'diagonal',
    name: 'Diagonal',
    what: 'Lines at 45°, measured along the edge, so that a square repeats exactly.',
    text: lines('stripe: R8 W12', 'slope: 1/1', 'measured: edge'),
  },
  {
    key: 'steep',
    name: 'Three shades at 3/4',
    what: 'A slope of 3 over 4, whose diagonal is whole: exact across the lines and along the edges.',
    text: lines('stripe: B6 C3 O3 C3', 'slope: 3/4'),
  },
];

/** All of them, the plainest first. */
export const STRIPE_STARTS: readonly StartPoint<StripeDesign>[] = TEXTS.map(({ text, ...start }) => ({
  ...start,
  design: () => asKind('stripe', designFromText(text, start.name)),
}));
