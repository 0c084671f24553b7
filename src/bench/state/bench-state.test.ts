import { describe, expect, it } from 'vitest';
import { SAMPLE, sampleDesign } from '../../../tests/sample-design.ts';
import { checkDesign } from '../../core/design/check-design.ts';
import type { Design } from '../../core/design/design-schema.ts';
import { asKind } from '../../core/design/of-kind.ts';
import { formatThreadCount } from '../../core/formats/thread-count.ts';
import { removeBand, setCount } from '../../core/thread/edit-bands.ts';
import { editBands, sequenceOf, setMirror, setShared } from './band-edits.ts';
import {
  type BenchAction,
  type BenchState,
  isCheckDue,
  openBench,
  reduceBench,
  reportOf,
  verdictOf,
} from './bench-state.ts';
import { addColourway, removeColourway, renameColourway } from './colourway-edits.ts';
import type { Edit } from './design-edits.ts';
import { record, redo, settle, startHistory, undo } from './history.ts';
import { bandsUsing, changeShade, removeShade } from './shade-edits.ts';

const DESIGN = sampleDesign(SAMPLE);
const OPEN = openBench({
  id: 'x',
  range: '',
  version: 3,
  updatedAt: '2026-01-01T10:00:00Z',
  document: DESIGN,
});

function run(state: BenchState, ...actions: readonly BenchAction[]): BenchState {
  return actions.reduce(reduceBench, state);
}

function warp(design: Design): string {
  return formatThreadCount(asKind('plaid', design).construction.warp);
}

function edit(change: Edit, tag?: string): BenchAction {
  return { kind: 'edit', edit: change, ...(tag === undefined ? {} : { tag }) };
}

const count = (threads: number) => editBands('warp', (bands) => setCount(bands, 1, threads));

describe('history', () => {
  it('goes back and forth, and forgets the future when something new is done', () => {
    const three = record(record(startHistory(1), 2), 3);
    expect(undo(undo(three)).present).toBe(1);
    expect(redo(undo(three)).present).toBe(3);
    expect(redo(record(undo(three), 9)).present).toBe(9);
    expect(undo(startHistory(1)).present).toBe(1);
    expect(redo(three)).toBe(three);
  });

  it('joins changes with one tag until they are settled', () => {
    const typed = record(record(startHistory('a'), 'ab', 'typing'), 'abc', 'typing');
    expect(undo(typed).present).toBe('a');
    const later = record(settle(typed), 'abcd', 'typing');
    expect(undo(later).present).toBe('abc');
    expect(record(typed, 'abc')).toBe(typed);
  });
});

describe('reduceBench', () => {
  it('edits, undoes and redoes, and knows what waits to be saved', () => {
    const changed = run(OPEN, edit(count(9)));
    expect(warp(changed.history.present)).toBe('G/8 R9 C/4');
    expect(changed.saved.kind).toBe('waiting');
    expect(warp(run(changed, { kind: 'undo' }).history.present)).toBe('G/8 R6 C/4');
    expect(warp(run(changed, { kind: 'undo' }, { kind: 'redo' }).history.present)).toBe('G/8 R9 C/4');
    expect(
      run(
        OPEN,
        edit((design) => design),
      ),
    ).toBe(OPEN);
  });

  it('is saved only when what was written is what stands on the bench', () => {
    const first = run(OPEN, edit(count(7)));
    const written = first.history.present;
    const second = run(first, edit(count(8)));
    const answer = { kind: 'stored', design: written, version: 4, at: '2026-01-01T10:01:00Z' } as const;
    expect(run(second, answer)).toMatchObject({ version: 4, saved: { kind: 'waiting' } });
    expect(run(first, answer)).toMatchObject({ version: 4, saved: { kind: 'saved' } });
  });

  it('stays stale until a choice is made, whatever is edited', () => {
    const stale = run(OPEN, { kind: 'saving', saved: { kind: 'stale', asking: true } }, edit(count(7)));
    expect(stale.saved.kind).toBe('stale');
  });

  it('drops a selection whose band is gone', () => {
    const chosen = run(OPEN, { kind: 'select', selection: { direction: 'warp', band: 2 } });
    const removed = run(chosen, edit(editBands('warp', (bands) => removeBand(bands, 0))));
    expect(removed.selection).toBeUndefined();
    expect(run(chosen, edit(count(3))).selection).toEqual({ direction: 'warp', band: 2 });
  });
});

describe('edits of a design', () => {
  it('change both sequences while the weft follows, and keep what it had of its own', () => {
    const parted = setShared(false)(DESIGN);
    const own = editBands('weft', (bands) => setCount(bands, 0, 20))(parted);
    expect(formatThreadCount(sequenceOf(own, 'weft'))).toBe('G/20 R6 C/4');
    expect(warp(own)).toBe('G/8 R6 C/4');
    const linked = setShared(true)(own);
    expect(formatThreadCount(sequenceOf(linked, 'weft'))).toBe('G/8 R6 C/4');
    expect(formatThreadCount(sequenceOf(setShared(false)(linked), 'weft'))).toBe('G/20 R6 C/4');
    expect(warp(editBands('weft', (bands) => setCount(bands, 0, 5))(linked))).toBe('G/5 R6 C/4');
  });

  it('change the convention without losing the typed half', () => {
    const doubled = setMirror('warp', 'doubled')(DESIGN);
    expect(asKind('plaid', doubled).construction.warp).toEqual({
      bands: DESIGN.construction.warp.bands,
      mirror: 'doubled',
    });
  });

  it('carry a new letter into every band, and a replacement too', () => {
    const own = setShared(false)(DESIGN);
    expect(bandsUsing(own, 'G')).toBe(2);
    const renamed = changeShade('G', { key: 'BG' })(own);
    expect([bandsUsing(renamed, 'G'), bandsUsing(renamed, 'BG')]).toEqual([0, 2]);
    const removed = removeShade('G', 'C')(own);
    expect(removed.shades.map((shade) => shade.key)).toEqual(['R', 'C']);
    expect(formatThreadCount(sequenceOf(removed, 'weft'))).toBe('C/8 R6 C/4');
  });

  it('carry colourways along when letters change, shades go, and names are taken', () => {
    const both = addColourway('Night', { G: '#000000' })(
      addColourway('Night', { G: '#111111', C: '#222222' })(DESIGN),
    );
    expect(both.colourways.map(({ name }) => name)).toEqual(['Night', 'Night 2']);
    const renamed = changeShade('G', { key: 'BG' })(both);
    expect(renamed.colourways[0]!.colours).toEqual({ BG: '#111111', C: '#222222' });
    expect(removeShade('BG', 'C')(renamed).colourways[0]!.colours).toEqual({ C: '#222222' });
    expect(renameColourway('Night 2', 'Night')(both).colourways[1]!.name).toBe('Night 2');
    expect(renameColourway('Night', 'Dusk')(both).colourways[0]!.name).toBe('Dusk');
    expect(renameColourway('Night', '')(both)).toBe(both);
    expect(removeColourway('Night')(both).colourways).toHaveLength(1);
  });

  it('keep a shade that is in use without a replacement, and the last one', () => {
    expect(removeShade('G', undefined)(DESIGN)).toBe(DESIGN);
    const one = sampleDesign('warp: A4');
    expect(removeShade('A', undefined)(one)).toBe(one);
  });
});

describe('the verdict on the bench', () => {
  it('is none at first, then that of the check, and Open where nothing can be made', () => {
    expect(verdictOf(OPEN)).toBeUndefined();
    const report = checkDesign(DESIGN);
    const checked = reduceBench(OPEN, { kind: 'report', design: DESIGN, report });
    expect(verdictOf(checked)).toBe(report.verdict);
    const unmade = reduceBench(checked, {
      kind: 'unmade',
      design: checked.history.present,
      sentence: 'Not closed yet.',
    });
    expect(verdictOf(unmade)).toBe('Open');
    // What was found of other numbers is not said of these.
    expect(reportOf(unmade)).toBeUndefined();
    expect(verdictOf(reduceBench(unmade, { kind: 'report', design: DESIGN, report }))).toBe(report.verdict);
  });
  it('is of the state that was checked: after a change it is due again, after a new name it is not', () => {
    const report = checkDesign(DESIGN);
    const checked = reduceBench(OPEN, { kind: 'report', design: DESIGN, report });
    expect(isCheckDue(OPEN)).toBe(false);
    expect(reportOf(checked)).toBe(report);
    const named = reduceBench(checked, { kind: 'edit', edit: (design) => ({ ...design, name: 'Other' }) });
    expect(reportOf(named)).toBe(report);
    const finer = reduceBench(named, { kind: 'edit', edit: (design) => ({ ...design, resolution: '77' }) });
    expect(isCheckDue(finer)).toBe(true);
    expect(reportOf(finer)).toBeUndefined();
    // An answer that comes late, of a state that is left, is none of this one.
    expect(reportOf(reduceBench(finer, { kind: 'report', design: DESIGN, report }))).toBeUndefined();
    expect(reportOf(reduceBench(finer, { kind: 'undo' }))).toBe(report);
  });
});
