import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { buildWeave } from './build-weave.ts';
import { satinSteps } from './satin-steps.ts';
import { threadKinds } from './thread-kinds.ts';
import { checkedWeave, onEnds, parseLine, ruleOf, USUAL_WEAVES, WEAVE_RULES } from './weave-rules.ts';
import { formatWeave, parseWeave } from './weave-text.ts';

describe('rules of weaves', () => {
  it.each(WEAVE_RULES)('%s has a usual weave that can be made, written and read', (rule) => {
    const weave = USUAL_WEAVES[rule];
    expect(ruleOf(weave)).toBe(rule);
    expect(buildWeave(checkedWeave(weave)).up).toContain(1);
    expect(parseWeave(formatWeave(weave))).toEqual(weave);
  });

  it('are none of a structure that is drawn or drafted', () => {
    expect(ruleOf({ kind: 'matrix', rows: ['#.'] })).toBeUndefined();
    expect(ruleOf(parseWeave('draft 1 2; 1, 2; 1 2'))).toBeUndefined();
    expect(ruleOf(parseWeave('3/1/1/2'))).toBe('twill');
  });

  it('put a satin on another number of ends with a step that it has there', () => {
    fc.assert(
      fc.property(fc.integer({ min: 5, max: 60 }), fc.integer({ min: 5, max: 60 }), (from, to) => {
        const steps = satinSteps(from);
        fc.pre(steps.length > 0 && satinSteps(to).length > 0);
        const moved = onEnds({ ends: from, step: steps.at(-1)! }, to);
        expect(satinSteps(to)).toContain(moved.step);
        if (satinSteps(to).includes(steps.at(-1)!)) expect(moved.step).toBe(steps.at(-1));
      }),
    );
    expect(() => onEnds({ ends: 8, step: 3 }, 6)).toThrow('weave/satin');
  });

  it.each(['', '2', '2/', '/2', '2/2/x', '2-2', '2222/1'])('“%s” is no line', (text) => {
    expect(() => parseLine(text)).toThrow('weave/line');
  });

  it('a line may have blanks round its strokes', () => {
    expect(parseLine(' 3 / 1/1 /2 ')).toEqual([3, 1, 1, 2]);
  });
});

describe('kinds of threads', () => {
  it('are alike exactly where the threads are, numbered as they appear', () => {
    const some = fc
      .tuple(fc.integer({ min: 1, max: 9 }), fc.integer({ min: 1, max: 9 }))
      .chain(([ends, picks]) =>
        fc
          .uint8Array({ min: 0, max: 1, minLength: ends * picks, maxLength: ends * picks })
          .map((up) => ({ ends, picks, up })),
      );
    fc.assert(
      fc.property(some, (structure) => {
        const { ends, picks, up } = structure;
        const columns = Array.from({ length: ends }, (_, end) =>
          Array.from({ length: picks }, (__, pick) => up[pick * ends + end]).join(''),
        );
        const rows = Array.from({ length: picks }, (_, pick) =>
          up.subarray(pick * ends, (pick + 1) * ends).join(''),
        );
        const numbered = (words: readonly string[]) => {
          const known = [...new Set(words)];
          return words.map((word) => known.indexOf(word) + 1);
        };
        const kinds = threadKinds(structure);
        expect([...kinds.ends]).toEqual(numbered(columns));
        expect([...kinds.picks]).toEqual(numbered(rows));
        expect([kinds.shafts, kinds.treadles]).toEqual([new Set(columns).size, new Set(rows).size]);
      }),
    );
  });
});

describe('weaves by the words that people use', () => {
  it.each([
    ['plain weave', 'plain'],
    ['Plain', 'plain'],
    ['2/2 twill', '2/2Z'],
    ['2/2 twill S', '2/2S'],
    ['twill 3/1', '3/1Z'],
    ['Twill 3/1/1/2 S', '3/1/1/2S'],
    ['8-end satin', 'satin 8/3'],
    ['8 end satin', 'satin 8/3'],
    ['8 shaft satin', 'satin 8/3'],
    ['satin 8', 'satin 8/3'],
    ['5-end sateen', 'sateen 5/2'],
    ['hopsack 2 weave', 'hopsack 2'],
  ])('%s is %s', (words, text) => {
    expect(formatWeave(parseWeave(words))).toBe(text);
  });

  it.each([
    ['6-end satin', 'weave/satin'],
    ['twill', 'weave/text'],
    ['satin', 'weave/text'],
  ])('%s is refused with %s', (words, code) => {
    expect(() => parseWeave(words)).toThrow(expect.objectContaining({ code }));
  });
});
