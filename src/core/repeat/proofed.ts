import { type Proof, seenAs } from '../colour/proof.ts';
import type { Shade } from '../colour/shade.ts';
import { contentKind } from './contents.ts';
import type { Content, RepeatUnit } from './repeat-unit.ts';

/** A unit as it is seen in a proof: the colours that stand on the cloth are changed, after any mixing. */
export function proofed<C extends Content>(unit: RepeatUnit<C>, proof: Proof): RepeatUnit<C> {
  if (proof === 'none') return unit;
  const seen = (shades: readonly Shade[]) =>
    shades.map((shade) => ({ ...shade, hex: seenAs(shade.hex, proof) }));
  return { ...unit, content: contentKind(unit.content).mapShades(unit.content, seen) };
}
