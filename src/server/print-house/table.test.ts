import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Hand, PrintOrder } from '../../contracts/print-house.ts';
import { refusalOfOrder } from './refusal.ts';
import { advance, EMPTY_TABLE, find, handle, judge, type Table, take } from './table.ts';

const ORDER: PrintOrder = {
  name: 'Octagons',
  kind: 'run',
  substrate: 'linen',
  length: 1000,
  dpi: 300,
  width: 1200,
  height: 1200,
  repeats: true,
};

/** A table with an order that is ready to print. */
function ready(...keys: readonly string[]): Table {
  return keys.reduce((table, key) => judge(take(table, key, ORDER), key, undefined), EMPTY_TABLE);
}

describe('the table of a print house', () => {
  it('prints orders in their turn, each from taken to done', () => {
    let table = ready('first-order', 'second-order');
    const states: string[] = [];
    for (let step = 0; step < 20; step += 1) {
      table = advance(table, 300);
      states.push(table.orders.map(({ state, printed }) => `${state} ${printed}`).join(', '));
    }
    expect(states.slice(0, 6)).toEqual([
      'on-the-table 0, checked 0',
      'printing 300, checked 0',
      'printing 600, checked 0',
      'printing 900, checked 0',
      'done 1000, checked 0',
      'done 1000, on-the-table 0',
    ]);
    expect(states.at(-1)).toBe('done 1000, done 1000');
  });

  it('knows an order that comes again, whatever it says then', () => {
    const once = ready('first-order');
    expect(take(once, 'first-order', { ...ORDER, length: 5000 })).toBe(once);
    expect(judge(once, 'first-order', 'file')).toEqual(once);
  });

  it('stops where it is in trouble and goes on from there', () => {
    let table = advance(advance(ready('first-order'), 300), 300);
    table = advance(handle(table, 'jam'), 300);
    expect(find(table, 'first-order')).toMatchObject({ state: 'printing', printed: 300, trouble: 'jam' });
    table = advance(handle(table, 'mend'), 300);
    expect(find(table, 'first-order')).toMatchObject({ printed: 600, trouble: '' });
  });

  it('prints every order once and whole, whatever breaks', () => {
    const hands = fc.array(
      fc.constantFrom<Hand | 'again' | 'go'>('jam', 'ink', 'mend', 'line', 'again', 'go', 'go'),
      {
        maxLength: 60,
      },
    );
    fc.assert(
      fc.property(hands, (done) => {
        let table = ready('first-order', 'second-order');
        let cloth = 0;
        const go = () => {
          const before = table.orders.reduce((sum, { printed }) => sum + printed, 0);
          table = advance(table, 130);
          cloth += table.orders.reduce((sum, { printed }) => sum + printed, 0) - before;
        };
        for (const hand of done) {
          if (hand === 'go') go();
          else if (hand === 'again')
            table = judge(take(table, 'first-order', ORDER), 'first-order', undefined);
          else table = handle(table, hand);
        }
        table = handle(table, 'mend');
        for (let step = 0; step < 40; step += 1) go();
        return (
          cloth === 2000 && table.orders.length === 2 && table.orders.every(({ state }) => state === 'done')
        );
      }),
    );
  });

  it.each<[string | undefined, Partial<PrintOrder>]>([
    [undefined, {}],
    ['substrate', { substrate: 'oilcloth' }],
    ['resolution', { dpi: 72 }],
    ['width', { width: 20_000 }],
    ['repeat', { repeats: false }],
    [undefined, { repeats: false, length: 100 }],
  ])('refuses for %s: %j', (refusal, change) => {
    expect(refusalOfOrder({ ...ORDER, ...change })).toBe(refusal);
  });
});
