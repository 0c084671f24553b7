import { modulo } from '../../exact/modulo.ts';

/** Numbers 0 … count − 1 of which two are put together to a third; 0 changes nothing. */
export interface LabelGroup {
  readonly count: number;
  readonly sum: (one: number, other: number) => number;
  readonly inverse: (label: number) => number;
}

/** The remainders of whole numbers. */
export function cyclicLabels(period: number): LabelGroup {
  return {
    count: period,
    sum: (one, other) => modulo(one + other, period),
    inverse: (label) => modulo(-label, period),
  };
}

/**
 * Two whole numbers, where a step of so many in both changes nothing, nor one of twice as many in one of them: a label is
 * second · 2·size + first. @param size  at least 2
 */
export function blockLabels(size: number): LabelGroup {
  const label = (i: number, j: number) => blockLabel(size, i, j);
  const first = (each: number) => each % (2 * size);
  const second = (each: number) => Math.floor(each / (2 * size));
  return {
    count: 2 * size * size,
    sum: (one, other) => label(first(one) + first(other), second(one) + second(other)),
    inverse: (each) => label(-first(each), -second(each)),
  };
}

/** The label of two whole numbers. */
export function blockLabel(size: number, i: number, j: number): number {
  const blocks = Math.floor(j / size);
  return (j - blocks * size) * 2 * size + modulo(i - blocks * size, 2 * size);
}
