import { useMemo } from 'react';
import type { MotifDesign } from '../../core/design/design-schema.ts';
import { pixelOf } from '../../core/design/lay/lay-schema.ts';
import { scaleOf } from '../../core/design/motif/lay-box.ts';
import type { MotifScale } from '../../core/design/motif/motif-numbers.ts';

/** What a step and a pixel of a motif measure. */
export function useScale({ construction, resolution }: MotifDesign): MotifScale {
  const { step } = construction;
  return useMemo(() => scaleOf({ step }, pixelOf(resolution)), [step, resolution]);
}
