import { CoreError } from '../error.ts';
import type { Bent, FlatBox } from './bent.ts';

/** Rippled, as a flag is. */
export interface RippleBend {
  readonly kind: 'ripple';
  /** From one crest to the next, and from the middle to a crest, in millimetres. */
  readonly length: number;
  readonly height: number;
}

/** Upright lines stay upright and are moved up and down by a sine. @throws CoreError "bend/range" {least, most} */
export function rippled({ length, height }: RippleBend, box: FlatBox): Bent {
  const most = 10 * Math.max(box.width, box.height);
  if (!(length > 0 && length <= most && Math.abs(height) <= most)) {
    throw new CoreError('bend/range', { least: 0, most });
  }
  const rise = (x: number) => height * Math.sin((2 * Math.PI * x) / length);
  return {
    there: (x, y, out) => {
      out[0] = x;
      out[1] = y + rise(x);
    },
    back: (x, y, out) => {
      out[0] = x;
      out[1] = y - rise(x);
    },
  };
}
