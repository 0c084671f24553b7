import type { Design } from '../../core/design/design-schema.ts';
import { parseBandWidths, parseDirection } from '../../core/design/exchange/stripe-text.ts';
import type { Lay } from '../../core/design/lay/lay-schema.ts';
import { newStripe } from '../../core/design/new-design.ts';
import { readDesign } from '../../core/design/read-design.ts';
import type { Demo } from './demo.ts';
import { lineShades } from './line-shades.ts';

/** A stripe of the demo: widths in millimetres, and where its lines run. */
interface DemoStripe {
  readonly number: string;
  readonly name: string;
  readonly range: string;
  readonly bands: string;
  readonly slope: string;
  /** The angle that was asked for, in degrees. */
  readonly asked?: string;
  readonly measured: 'across' | 'edge';
  readonly lay?: Partial<Lay>;
}

const STRIPES: readonly DemoStripe[] = [
  {
    number: 'LLR 020',
    name: 'Compartment blind',
    range: 'Carriages',
    bands: 'B14 C6 Y2 C6',
    slope: '7/10',
    asked: '35',
    measured: 'across',
  },
  {
    number: 'LLR 025',
    name: 'Platform awning',
    range: 'Stations',
    bands: 'G/40 C4 G4 C/40',
    slope: 'down',
    measured: 'across',
  },
  {
    number: 'LLR 046',
    name: 'Straw wrapper',
    range: 'Tea room',
    bands: 'R8 W6 L2 W4',
    slope: '1/1',
    asked: '45',
    measured: 'edge',
  },
  {
    number: 'LLR 063',
    name: 'Dining-car marquetry',
    range: 'Carriages',
    bands: 'R12 C3 B6 C3',
    slope: '3/4',
    measured: 'edge',
    lay: { arrangement: { kind: 'group', group: 'p2mm', way: 'across' } },
  },
];

/** The document of one demo stripe. */
function stripeOf({ name, number, bands, slope, asked, measured, lay }: DemoStripe): Design {
  const read = parseBandWidths(bands, { card: undefined, pivots: 'shared' });
  return readDesign(
    newStripe({
      name,
      number,
      shades: lineShades(read.bands),
      ...read,
      slope: parseDirection(slope),
      asked: asked ?? null,
      measured,
      lay,
    }),
  );
}

export const DEMO_STRIPES: readonly Demo[] = STRIPES.map((each) => ({
  ...each,
  design: () => stripeOf(each),
}));
