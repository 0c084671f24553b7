import type { ThreadCut } from '../../repeat/check-repeat.ts';
import type { Arrangement } from './lay-schema.ts';

/** An arrangement that steps otherwise, of free ways each that is no whole number of threads. */
export function withStep(arrangement: Arrangement, of: ThreadCut['of'], by: string): Arrangement | undefined {
  if ('by' in arrangement) return { ...arrangement, by };
  if (arrangement.kind !== 'free') return undefined;
  const axis = of === 'ends' ? 'x' : 'y';
  const whole = (way: (typeof arrangement)['up']) =>
    /^\s*-?\d+\s*$/.test(way[axis]) ? way : { ...way, [axis]: by };
  return { ...arrangement, across: whole(arrangement.across), up: whole(arrangement.up) };
}
