import { describe, expect, it } from 'vitest';
import { CoreError } from '../core/error.ts';
import { parseWeave } from '../core/thread/weaves/weave-text.ts';
import { attempt, valueIfAny } from './attempt.ts';

describe('attempt', () => {
  it('gives what the work comes to, or the sentence that says why not', () => {
    expect(attempt(() => 7)).toEqual({ value: 7 });
    expect(attempt(() => parseWeave('satin 6/5'))).toEqual({
      problem: 'There is no satin of 6 ends: no step meets every end once without making a twill.',
    });
  });

  it('lets faults of ours through', () => {
    const fault = () => {
      throw new TypeError('undefined is not a function');
    };
    expect(() => attempt(fault)).toThrow(TypeError);
    expect(() => valueIfAny(fault)).toThrow(TypeError);
  });

  it('gives undefined where nobody needs the reason', () => {
    expect(valueIfAny(() => 'x')).toBe('x');
    expect(
      valueIfAny(() => {
        throw new CoreError('weave/none', {});
      }),
    ).toBeUndefined();
  });
});
