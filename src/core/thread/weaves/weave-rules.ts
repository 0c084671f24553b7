import { CoreError } from '../../error.ts';
import { MAX_TWILL } from '../weave.ts';
import { buildWeave } from './build-weave.ts';
import { satinSteps } from './satin-steps.ts';
import type { WeaveSpec } from './weave-spec.ts';

/** Rules that make a structure of a few numbers. */
export const WEAVE_RULES = [
  'twill',
  'steps',
  'turned',
  'rib',
  'hopsack',
  'satin',
  'honeycomb',
  'crepe',
  'shaded',
  'double',
  'blocks',
] as const;
export type WeaveRule = (typeof WEAVE_RULES)[number];

/** The rule that a structure follows; undefined where it is drawn or drafted. A twill of a longer line is a twill. */
export function ruleOf({ kind }: WeaveSpec): WeaveRule | undefined {
  if (kind === 'line') return 'twill';
  return kind === 'matrix' || kind === 'draft' ? undefined : kind;
}

const FIVE_END = { kind: 'satin', ends: 5, step: 2 } as const;

/** A structure as it is usual, of each rule. */
export const USUAL_WEAVES: Readonly<Record<WeaveRule, WeaveSpec>> = {
  twill: { kind: 'twill', over: 2, under: 2, hand: 'Z' },
  steps: { kind: 'steps', line: [3, 3], steps: [1, 1, 1, 2, 2, 1] },
  turned: { kind: 'turned', line: [2, 2], run: 8, turn: 'complemented' },
  rib: { kind: 'rib', face: 'warp', a: 2, b: 2 },
  hopsack: { kind: 'hopsack', ends: 2, picks: 2 },
  satin: { kind: 'satin', ends: 8, step: 3, face: 'warp' },
  honeycomb: { kind: 'honeycomb', size: 5 },
  crepe: { kind: 'crepe', size: 12, seed: 1, most: 3 },
  shaded: { kind: 'shaded', ends: 8, step: 3, tones: 5 },
  double: { kind: 'double', stitched: true },
  blocks: {
    kind: 'blocks',
    profile: ['AB', 'BA'],
    weaves: [
      { letter: 'A', weave: { ...FIVE_END, face: 'warp' } },
      { letter: 'B', weave: { ...FIVE_END, face: 'weft' } },
    ],
  },
};

/**
 * Reads a line of overs and unders such as "2/2" or "3/1/1/2".
 * @throws CoreError "weave/line" {line, most}
 */
export function parseLine(text: string): readonly number[] {
  const fits = /^\s*\d{1,3}(?:\s*\/\s*\d{1,3})+\s*$/.test(text);
  if (!fits) throw new CoreError('weave/line', { line: text.trim().slice(0, 40), most: MAX_TWILL });
  return text.split('/').map(Number);
}

/**
 * A satin, or a series of them, on another number of ends: its step stays where it can, else it is the first that can.
 * @throws CoreError "weave/satin" {ends, step, steps} where that number has none
 */
export function onEnds<W extends { readonly ends: number; readonly step: number }>(
  weave: W,
  ends: number,
): W {
  const steps = satinSteps(ends);
  if (steps.length === 0) throw new CoreError('weave/satin', { ends, step: weave.step, steps: [] });
  return { ...weave, ends, step: steps.includes(weave.step) ? weave.step : steps[0]! };
}

/**
 * A structure if it can be made.
 * @throws CoreError as `buildWeave`
 */
export function checkedWeave<W extends WeaveSpec>(weave: W): W {
  buildWeave(weave);
  return weave;
}
