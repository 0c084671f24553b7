import { alg, Graph } from '@dagrejs/graphlib';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { randomNumbers } from '../../src/core/exact/random-numbers.ts';
import { buildWeave } from '../../src/core/thread/weaves/build-weave.ts';
import { draftOf, draftSize, drawdown } from '../../src/core/thread/weaves/draft.ts';
import { faceFacts, floatCounts } from '../../src/core/thread/weaves/float-counts.ts';
import { layersOf } from '../../src/core/thread/weaves/layers.ts';
import { satinSteps } from '../../src/core/thread/weaves/satin-steps.ts';
import { parseWeave } from '../../src/core/thread/weaves/weave-text.ts';

function weave(text: string) {
  return buildWeave(parseWeave(text));
}

describe('steps of satins (Z. Grosicki, Watson’s Textile Design and Colour, 7th ed. 1975; from memory)', () => {
  it.each([
    [5, [2, 3]],
    [6, []],
    [7, [2, 3, 4, 5]],
    [8, [3, 5]],
    [9, [2, 4, 5, 7]],
    [10, [3, 7]],
    [11, [2, 3, 4, 5, 6, 7, 8, 9]],
    [12, [5, 7]],
  ])('%i ends', (ends, steps) => {
    expect(satinSteps(ends)).toEqual(steps);
  });

  it('a satin is its sateen’s complement, warp-faced for weft-faced', () => {
    for (const ends of [5, 7, 8, 11]) {
      for (const step of satinSteps(ends)) {
        const [satin, sateen] = [weave(`satin ${ends}/${step}`), weave(`sateen ${ends}/${step}`)];
        const down = satin.up.map((cell) => 1 - cell);
        // The binding points of both climb by the same step.
        const shifted = Array.from({ length: ends }, (_, shift) =>
          sateen.up.every((cell, at) => {
            const [end, pick] = [at % ends, Math.floor(at / ends)];
            return down[pick * ends + ((end + shift) % ends)] === cell;
          }),
        );
        expect(shifted).toContain(true);
      }
    }
  });
});

describe('longest floats and warp’s share of the face (common practice of the trade)', () => {
  it.each([
    ['plain', 1, 1 / 2],
    ['2/2Z', 2, 1 / 2],
    ['2/1Z', 2, 2 / 3],
    ['satin 5/2', 4, 4 / 5],
    ['satin 8/3', 7, 7 / 8],
  ])('%s: %i, %d', (text, longest, share) => {
    const structure = weave(text);
    expect(floatCounts(structure).warp.longest).toBe(longest);
    expect(faceFacts(structure).warpUp / structure.up.length).toBeCloseTo(share, 12);
  });

  it('plain has an intersection at every cell each way, 2/2 twill at every second', () => {
    expect(faceFacts(weave('plain'))).toMatchObject({ alongPicks: 4, alongEnds: 4 });
    expect(faceFacts(weave('2/2Z'))).toMatchObject({ alongPicks: 8, alongEnds: 8 });
  });
});

describe('the hand of a twill (ISO 2: Z climbs to the right, drawn with the first pick below)', () => {
  it.each([
    ['2/2Z', 1],
    ['2/2S', -1],
    ['3/1/1/2Z', 1],
    ['3/1/1/2S', -1],
  ])('%s', (text, climb) => {
    const { ends, picks, up } = weave(text);
    for (let pick = 0; pick < picks; pick += 1) {
      for (let end = 0; end < ends; end += 1) {
        const next = up[((pick + 1) % picks) * ends + ((end + climb + ends) % ends)];
        expect(next).toBe(up[pick * ends + end]);
      }
    }
  });
});

describe('what hangs together (T. C. Enns 1984, C. R. J. Clapham 1980)', () => {
  it('plain weave does; a full or an empty row or column never does', () => {
    expect(layersOf(weave('plain'))).toHaveLength(1);
    for (const rows of ['## .#', '.. .#', '#. #.', '#. ##']) {
      expect(layersOf(weave(`rows ${rows}`)).length).toBeGreaterThan(1);
    }
  });

  it('two plain cloths one above the other do not, stitched they do', () => {
    expect(layersOf(weave('double'))).toHaveLength(2);
    expect(layersOf(weave('double stitched'))).toHaveLength(1);
  });

  /** Which threads can be reached from each, by closing the relation: Warshall's algorithm, J. ACM 9 (1962) 11–12. */
  function partsByClosure({ ends, picks, up }: ReturnType<typeof weave>): number {
    const count = ends + picks;
    const reach = Array.from({ length: count }, (_, from) =>
      Array.from({ length: count }, (__, to) => {
        if (from === to) return true;
        if (from < ends && to >= ends) return up[(to - ends) * ends + from] === 1;
        return from >= ends && to < ends && up[(from - ends) * ends + to] === 0;
      }),
    );
    for (let middle = 0; middle < count; middle += 1) {
      for (let from = 0; from < count; from += 1) {
        if (!reach[from]![middle]) continue;
        for (let to = 0; to < count; to += 1) reach[from]![to] ||= reach[middle]![to]!;
      }
    }
    const known = new Set<string>();
    reach.forEach((row, from) => {
      known.add(row.map((there, to) => (there && reach[to]![from] ? 1 : 0)).join(''));
    });
    return known.size;
  }

  it('2000 random structures fall into the parts that a graph library finds (graphlib, Tarjan)', () => {
    const numbers = randomNumbers(7);
    for (let round = 0; round < 2000; round += 1) {
      const [ends, picks] = [1 + (numbers() % 12), 1 + (numbers() % 12)];
      const up = Uint8Array.from({ length: ends * picks }, () => (numbers() >> 7) & 1);
      const graph = new Graph({ directed: true });
      up.forEach((cell, at) => {
        const [end, pick] = [`e${at % ends}`, `p${Math.floor(at / ends)}`];
        if (cell === 1) graph.setEdge(end, pick);
        else graph.setEdge(pick, end);
      });
      const theirs = alg.tarjan(graph).map((part) => [...part].sort().join(' '));
      const ours = layersOf({ ends, picks, up }).map((layer) =>
        [...layer.ends.map((end) => `e${end}`), ...layer.picks.map((pick) => `p${pick}`)].sort().join(' '),
      );
      expect([...ours].sort()).toEqual(theirs.sort());
    }
  });

  it('10 000 random structures fall into as many parts as closing the relation finds', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 6 }),
        fc.integer({ min: 1, max: 6 }),
        fc.array(fc.integer({ min: 0, max: 1 }), { minLength: 36, maxLength: 36 }),
        (ends, picks, cells) => {
          const structure = { ends, picks, up: Uint8Array.from(cells.slice(0, ends * picks)) };
          expect(layersOf(structure).length).toBe(partsByClosure(structure));
        },
      ),
      { numRuns: 10_000 },
    );
  });
});

describe('shafts and treadles (common practice: different ends and different picks)', () => {
  it.each([
    ['plain', 2, 2],
    ['2/2Z', 4, 4],
    ['satin 8/3', 8, 8],
    ['hopsack 2', 2, 2],
    ['pointed 2/2 4', 4, 4],
    ['honeycomb 5', 5, 5],
  ])('%s: %i and %i', (text, shafts, treadles) => {
    expect(draftSize(draftOf(weave(text)))).toEqual({ shafts, treadles });
  });

  it('a straight draft with the tie-up of 2/2 twill weaves 2/2 twill', () => {
    const straight = [1, 2, 3, 4];
    const tieup = [
      [1, 2],
      [2, 3],
      [3, 4],
      [4, 1],
    ];
    expect(drawdown({ threading: straight, tieup, treadling: straight })).toEqual(weave('2/2Z'));
  });
});
