import type { Proof } from '../colour/proof.ts';
import { contentKind } from './contents.ts';
import type { Content, RepeatUnit } from './repeat-unit.ts';

/** A unit as it is seen in a proof: the colours that stand on the cloth are changed, after any mixing. */
export function proofed<C extends Content>(unit: RepeatUnit<C>, proof: Proof): RepeatUnit<C> {
  if (proof === 'none') return unit;
  return { ...unit, content: contentKind(unit.content).seenIn(unit.content, proof) };
}
