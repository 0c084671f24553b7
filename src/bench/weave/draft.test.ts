import { describe, expect, it } from 'vitest';
import { drawdown } from '../../core/thread/weaves/draft.ts';
import type { Draft } from '../../core/thread/weaves/weave-spec.ts';
import { cellAtPlace, editDraft, isFilled, layoutOf } from './draft-geometry.ts';

const DRAFT: Draft = { threading: [1, 2, 3, 1], tieup: [[1], [2, 3]], treadling: [1, 2, 1] };

describe('the layout of a draft', () => {
  const layout = layoutOf(DRAFT, false);
  const byLifts = layoutOf(DRAFT, true);

  it('shows one shaft and one treadle more than are used', () => {
    expect(layout).toEqual({ ends: 4, picks: 3, shafts: 4, beside: 'treadling', columns: 3 });
    expect(byLifts).toEqual({ ends: 4, picks: 3, shafts: 4, beside: 'lifts', columns: 4 });
  });

  it.each([
    [0.5, 0.5, { part: 'threading', across: 0, up: 3 }],
    [3.9, 3.2, { part: 'threading', across: 3, up: 0 }],
    [5.1, 0, { part: 'tieup', across: 0, up: 3 }],
    [7.5, 3.5, { part: 'tieup', across: 2, up: 0 }],
    [0, 5.5, { part: 'drawdown', across: 0, up: 2 }],
    [3.5, 7.9, { part: 'drawdown', across: 3, up: 0 }],
    [6, 6, { part: 'treadling', across: 1, up: 1 }],
    [4.5, 1, undefined],
    [1, 4.5, undefined],
    [8.5, 6, undefined],
    [-1, 6, undefined],
    [1, 9, undefined],
  ])('at %d, %d there is %o', (x, y, cell) => {
    expect(cellAtPlace(layout, x, y)).toEqual(cell);
  });
});

describe('a lift plan', () => {
  const byLifts = layoutOf(DRAFT, true);

  it('stands in the place of the treadling, and nothing in that of the tie-up', () => {
    expect(cellAtPlace(byLifts, 8.5, 6)).toEqual({ part: 'lifts', across: 3, up: 1 });
    expect(cellAtPlace(byLifts, 5.1, 0)).toBeUndefined();
  });

  it('is worked a shaft and a pick at a time; treadles follow', () => {
    expect(isFilled(DRAFT, { part: 'lifts', across: 1, up: 1 })).toBe(true);
    const more = editDraft(DRAFT, { part: 'lifts', across: 2, up: 0 }, true);
    expect(more).toEqual({ threading: [1, 2, 3, 1], tieup: [[1, 3], [2, 3], [1]], treadling: [1, 2, 3] });
    const less = editDraft(DRAFT, { part: 'lifts', across: 0, up: 0 }, false);
    expect(less.tieup[less.treadling[0]! - 1]).toEqual([]);
    expect(editDraft(DRAFT, { part: 'lifts', across: 0, up: 0 }, true)).toBe(DRAFT);
  });

  it('fills the cells of every part that the drawdown shows', () => {
    const { up, ends } = drawdown(DRAFT);
    up.forEach((face, at) => {
      const cell = { part: 'drawdown', across: at % ends, up: Math.floor(at / ends) } as const;
      expect(isFilled(DRAFT, cell)).toBe(face === 1);
    });
    expect(isFilled(DRAFT, { part: 'threading', across: 2, up: 2 })).toBe(true);
    expect(isFilled(DRAFT, { part: 'treadling', across: 0, up: 1 })).toBe(false);
    expect(isFilled(DRAFT, { part: 'tieup', across: 5, up: 0 })).toBe(false);
  });
});

describe('edits of a draft', () => {
  it('put an end on another shaft, a pick on another treadle, a tie on or off', () => {
    expect(editDraft(DRAFT, { part: 'threading', across: 1, up: 3 }, true).threading).toEqual([1, 4, 3, 1]);
    expect(editDraft(DRAFT, { part: 'treadling', across: 0, up: 1 }, true).treadling).toEqual([1, 1, 1]);
    expect(editDraft(DRAFT, { part: 'tieup', across: 1, up: 0 }, true).tieup).toEqual([[1], [1, 2, 3]]);
    expect(editDraft(DRAFT, { part: 'tieup', across: 1, up: 2 }, false).tieup).toEqual([[1], [2]]);
  });

  it('take a treadle that was not there', () => {
    const more = editDraft(DRAFT, { part: 'treadling', across: 2, up: 0 }, true);
    expect(more).toMatchObject({ tieup: [[1], [2, 3], []], treadling: [3, 2, 1] });
    expect(editDraft(DRAFT, { part: 'tieup', across: 2, up: 1 }, true).tieup).toEqual([[1], [2, 3], [2]]);
  });

  it('leave the draft where the drawdown is drawn', () => {
    expect(editDraft(DRAFT, { part: 'drawdown', across: 0, up: 0 }, true)).toBe(DRAFT);
  });
});
