import { type ArcBend, alongArc, straight } from './along-arc.ts';
import type { Bent, FlatBox } from './bent.ts';
import { type FoldsBend, inFolds } from './folds.ts';
import { inPerspective, type PerspectiveBend } from './perspective.ts';
import { type RippleBend, rippled } from './ripple.ts';
import { type FormBend, roundForm } from './round-form.ts';
import { type WaistBend, waisted } from './waist.ts';

/** A look of cloth in use, by its numbers. */
export type Bend = ArcBend | WaistBend | RippleBend | FoldsBend | FormBend | PerspectiveBend;

const BENDS: {
  readonly [K in Bend['kind']]: (bend: Extract<Bend, { kind: K }>, box: FlatBox) => Bent;
} = {
  arc: alongArc,
  waist: waisted,
  ripple: rippled,
  folds: inFolds,
  form: roundForm,
  perspective: inPerspective,
};

/** Bends that take up cloth within an outline that stays; all others carry the outline along. */
const TAKES_UP: ReadonlySet<Bend['kind']> = new Set(['folds', 'form']);

export function takesUp({ kind }: Pick<Bend, 'kind'>): boolean {
  return TAKES_UP.has(kind);
}

/** What a bend does to a box. @throws CoreError of the bend */
export function bentBy(bend: Bend, box: FlatBox): Bent {
  return BENDS[bend.kind](bend as never, box);
}

/**
 * Several bends, each of what the ones before it made. Lights of all are multiplied, each where it is seen.
 * @throws CoreError of the bends
 */
export function bentInTurn(bends: readonly Bend[], box: FlatBox): Bent {
  if (bends.length === 0) return straight;
  const all = bends.map((bend) => bentBy(bend, box));
  if (all.length === 1) return all[0]!;
  const reversed = all.toReversed();
  const there: Bent['there'] = (x, y, out) => {
    out[0] = x;
    out[1] = y;
    for (const bent of all) bent.there(out[0]!, out[1]!, out);
  };
  const back: Bent['back'] = (x, y, out) => {
    out[0] = x;
    out[1] = y;
    for (const bent of reversed) bent.back(out[0]!, out[1]!, out);
  };
  if (all.every(({ lightAt }) => lightAt === undefined)) return { there, back };
  const place = new Float64Array(2);
  return {
    there,
    back,
    lightAt: (x, y) => {
      let light = 1;
      place[0] = x;
      place[1] = y;
      for (const bent of reversed) {
        if (bent.lightAt !== undefined) light *= bent.lightAt(place[0]!, place[1]!);
        bent.back(place[0]!, place[1]!, place);
      }
      return light;
    },
  };
}
