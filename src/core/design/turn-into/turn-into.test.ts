import { describe, expect, it } from 'vitest';
import { sampleDesign } from '../../../../tests/sample-design.ts';
import { formatThreadCount } from '../../formats/thread-count.ts';
import { designFromText } from '../exchange/counts-text.ts';
import { asKind } from '../of-kind.ts';
import { readDesign } from '../read-design.ts';
import { plaidOfStripe } from './plaid-of-stripe.ts';
import { stripeOfPlaid } from './stripe-of-plaid.ts';

function stripe(text: string) {
  return asKind('stripe', designFromText(text, 'Blind'));
}

describe('a stripe turned into a plaid', () => {
  it.each([
    // Ten threads in a centimetre: a millimetre each.
    ['stripe: G12 W6 G2.4 W6', '10', 'cm', 'G12 W6 G2 W6'],
    ['stripe: G/12 W6 G/4', '10', 'cm', 'G/12 W6 G/4'],
    ['stripe: G1 W1/2\nunit: in', '24', 'in', 'G24 W12'],
    // Edges at 1.5, 3 and 4.5 threads: the whole is rounded once.
    ['stripe: G1.5 W1.5 R1.5', '10', 'cm', 'G2 W1 R2'],
  ])('%s at %s per %s is %s', (text, density, per, counts) => {
    const plaid = plaidOfStripe(stripe(text), { density, per: per as 'in' | 'cm' });
    expect(formatThreadCount(plaid.construction.warp)).toBe(counts);
    expect(plaid).toMatchObject({ name: 'Blind', lay: { ends: density, picks: density, per } });
    expect(readDesign(plaid)).toEqual(plaid);
  });

  it('is refused where a band would have no thread', () => {
    expect(() => plaidOfStripe(stripe('stripe: G12 W0.1'), { density: '10', per: 'cm' })).toThrow('run/zero');
  });
});

describe('a plaid turned into a stripe', () => {
  it('has the warp in threads, and comes back the same at its density', () => {
    const plaid = sampleDesign('warp: G/12 W6 R/4\ndensity: 24/in');
    const made = stripeOfPlaid(plaid);
    expect(made.construction).toMatchObject({ unit: 'thread', mirror: 'shared' });
    const back = plaidOfStripe(made, { density: '24', per: 'in' });
    expect(back.construction.warp).toEqual(plaid.construction.warp);
  });
});
