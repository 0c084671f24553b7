import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { strongParts } from './strong-parts.ts';

/** The parts of a graph of which the arrows from each node are listed. */
function partsOf(arrows: readonly (readonly number[])[]): readonly (readonly number[])[] {
  return strongParts({
    count: arrows.length,
    width: (from) => arrows[from]!.length,
    target: (from, at) => arrows[from]![at]!,
  });
}

const someArrows = fc.integer({ min: 1, max: 9 }).chain((count) =>
  fc.array(fc.array(fc.integer({ min: -1, max: count - 1 }), { maxLength: 4 }), {
    minLength: count,
    maxLength: count,
  }),
);

/** Which nodes can be come to from each, by Warshall's closure. */
function reached(arrows: readonly (readonly number[])[]): readonly (readonly boolean[])[] {
  const can = arrows.map((targets, from) => arrows.map((_, to) => from === to || targets.includes(to)));
  for (const by of arrows.keys()) {
    for (const row of can) {
      if (!row[by]) continue;
      for (const to of arrows.keys()) row[to] = row[to]! || can[by]![to]!;
    }
  }
  return can;
}

describe('strongly connected parts', () => {
  it.each([
    ['one node alone', [[]], [[0]]],
    ['a ring', [[1], [2], [0]], [[0, 1, 2]]],
    [
      'two rings, one after the other',
      [[1], [0, 2], [3], [2]],
      [
        [0, 1],
        [2, 3],
      ],
    ],
    ['a chain', [[1], [2], []], [[0], [1], [2]]],
    ['a chain told from its end', [[], [0], [1]], [[2], [1], [0]]],
    ['arrows that are none', [[-1, 1], [-1]], [[0], [1]]],
  ])('of %s', (_, arrows, parts) => {
    expect(partsOf(arrows).map((part) => [...part].sort())).toEqual(parts);
  });

  it('are the nodes that reach each other, those that reach others first', () => {
    fc.assert(
      fc.property(someArrows, (arrows) => {
        const parts = partsOf(arrows);
        const can = reached(arrows);
        expect(parts.flat().sort()).toEqual([...arrows.keys()]);
        const placeOf = (node: number) => parts.findIndex((part) => part.includes(node));
        for (const from of arrows.keys()) {
          for (const to of arrows.keys()) {
            expect(placeOf(from) === placeOf(to)).toBe(can[from]![to]! && can[to]![from]!);
            if (can[from]![to]) expect(placeOf(from)).toBeLessThanOrEqual(placeOf(to));
          }
        }
      }),
      { numRuns: 500 },
    );
  });

  it('do not take the room of the call stack', () => {
    const count = 200_000;
    const chain = strongParts({ count, width: () => 1, target: (from) => (from + 1) % count });
    expect(chain).toHaveLength(1);
    expect(chain[0]).toHaveLength(count);
  });
});
