import type { Arrangement, Lay, LayScale } from '../../core/design/lay/lay-schema.ts';
import { dispatch } from '../state/bench-store.ts';
import { setLay } from '../state/design-edits.ts';

/** Changes the lay of the design on the bench; changes of one tag that follow each other are undone together. */
export function putLay(change: Partial<Lay>, tag?: string): void {
  dispatch({ kind: 'edit', edit: setLay(change), ...(tag === undefined ? {} : { tag: `lay-${tag}` }) });
}

/** Two ways that lay boxes straight, in what their numbers count. */
export function freeFrom(box: { readonly across: string; readonly up: string }): Arrangement {
  return { kind: 'free', across: { x: box.across, y: '0' }, up: { x: '0', y: box.up } };
}

/** The scale of a kind, with what was last said of it. */
export function scaleOfKind(to: LayScale['to'], last: LastScales, lines: boolean): LayScale {
  switch (to) {
    case 'factor':
      return { to, factor: last.factor, lines };
    case 'width':
      return { to, width: last.width, lines };
    case 'count':
      return { to, count: last.count, length: last.length, lines };
    default:
      return to satisfies never;
  }
}

/** What was last typed for each kind of scale. */
export interface LastScales {
  readonly factor: string;
  readonly width: string;
  readonly count: string;
  readonly length: string;
}

export const FIRST_SCALES: LastScales = { factor: '1/2', width: '100 mm', count: '5', length: '1 m' };

/** What was last typed, with a scale that is typed now. */
export function withScale(last: LastScales, scale: LayScale | null): LastScales {
  if (scale === null) return last;
  const { to: _, lines: __, ...typed } = scale;
  return { ...last, ...typed };
}
