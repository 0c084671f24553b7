import { PLY_BLENDS } from '../../core/colour/ply-blend.ts';
import type { PlyLook } from '../../core/design/plies/lay-over.ts';
import { parseStrength } from '../../core/thread/print.ts';
import { parseWeave } from '../../core/thread/weaves/weave-text.ts';
import { keep, readKept } from '../../kit/kept/browser-store.ts';
import { valueIfAny } from '../../wording/attempt.ts';

/** What is laid over a design. */
export type Over = 'shelf' | 'texture' | 'weave' | 'shade' | 'fade';

/** How it is blended. */
export type LastLook = Required<Pick<PlyLook, 'blend' | 'strength'>>;

const FIRST: Readonly<Record<Over, LastLook>> = {
  shelf: { blend: 'normal', strength: '100%' },
  texture: { blend: 'multiply', strength: '20%' },
  weave: { blend: 'multiply', strength: '20%' },
  shade: { blend: 'multiply', strength: '50%' },
  fade: { blend: 'normal', strength: '50%' },
};

const KEPT = 'vetro-last-looks';

/** How each kind was blended last in this browser. */
export function lastLook(over: Over): LastLook {
  const kept: unknown = valueIfKept();
  const { blend, strength } = Object(Object(kept)[over]) as Partial<LastLook>;
  if (typeof strength !== 'string' || valueIfAny(() => parseStrength(strength)) === undefined)
    return FIRST[over];
  const known = PLY_BLENDS.find((each) => each === blend);
  return known === undefined ? FIRST[over] : { blend: known, strength };
}

export function keepLook(over: Over, { blend, strength }: LastLook): void {
  keep(KEPT, JSON.stringify({ ...Object(valueIfKept()), [over]: { blend, strength } }));
}

function valueIfKept(): unknown {
  try {
    return JSON.parse(readKept(KEPT) ?? '{}');
  } catch {
    return {};
  }
}

const WEAVE = 'vetro-last-texture';

/** The weave whose texture was laid over something last, as it was typed; a 2/2 twill at first. */
export function lastTexture(): string {
  const kept = readKept(WEAVE);
  return kept !== undefined && valueIfAny(() => parseWeave(kept)) !== undefined ? kept : '2/2Z';
}

export function keepTexture(weave: string): void {
  keep(WEAVE, weave);
}
