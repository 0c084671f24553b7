import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { boxTorus, strapThrough } from '../../../../tests/strap-lines.ts';
import type { Place } from '../places.ts';
import { joinLines } from './join-lines.ts';
import { nearPairs } from './link-pairs.ts';
import { stepped } from './strap-torus.ts';
import { type Link, wayAlong } from './strap-way.ts';

const SIDE = 12;
const TORUS = boxTorus(SIDE);

const corner = fc.tuple(fc.integer({ min: -6, max: 20 }), fc.integer({ min: -6, max: 20 }));
const someLinks = fc
  .array(
    fc.tuple(corner, corner).filter(([a, b]) => a[0] !== b[0] || a[1] !== b[1]),
    { minLength: 1, maxLength: 12 },
  )
  .map((pieces) => {
    const lines = pieces.map((ends, line) => strapThrough(ends, { line, style: line, run: 'open' }));
    return joinLines(lines, TORUS).straps.flatMap((strap, at) => wayAlong(strap, at).links);
  });

/** Whether two pieces come as near to each other as a touch, one end on the other at least. */
function touch(one: Link, from: Place, to: Place): boolean {
  const side = (a: Place, b: Place, c: Place) =>
    Math.sign((b.x - a.x) * (c.y - a.y) - (b.y - a.y) * (c.x - a.x));
  const sides = [
    side(one.from, one.to, from) * side(one.from, one.to, to),
    side(from, to, one.from) * side(from, to, one.to),
  ];
  return sides.every((product) => product < 0);
}

describe('pairs of links that may meet', () => {
  it('hold every two that cross on the torus, and none twice', () => {
    let crossed = 0;
    fc.assert(
      fc.property(someLinks, (links) => {
        const names = [...nearPairs(links, TORUS)].map(
          ({ one, other, step }) => `${links.indexOf(one)} ${links.indexOf(other)} ${step}`,
        );
        const known = new Set(names);
        expect(known.size).toBe(names.length);
        for (const [first, one] of links.entries()) {
          for (const [second, other] of links.entries()) {
            if (second < first) continue;
            // A piece is at most 26 by 26 long: three boxes further it cannot be met.
            for (let i = -5; i <= 5; i += 1) {
              for (let j = -5; j <= 5; j += 1) {
                const moved = (place: Place) => stepped(TORUS, place, [i, j]);
                if (!touch(one, moved(other.from), moved(other.to))) continue;
                crossed += 1;
                const isKnown =
                  known.has(`${first} ${second} ${i},${j}`) ||
                  (first === second && known.has(`${first} ${second} ${-i},${-j}`));
                expect(isKnown).toBe(true);
              }
            }
          }
        }
      }),
    );
    expect(crossed).toBeGreaterThan(1000);
  });
});
