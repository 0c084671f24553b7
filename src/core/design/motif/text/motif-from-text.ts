import { shadeOfLetter } from '../../../colour/letter-shades.ts';
import type { Shade } from '../../../colour/shade.ts';
import type { MotifDesign } from '../../design-schema.ts';
import { newMotif } from '../../new-design.ts';
import { MOTIF } from '../motif-kind.ts';
import type { Motif } from '../motif-schema.ts';
import { readMotifText } from './read-motif-text.ts';

/** A new design of a motif that is told as text, in the colours of its letters. @throws CoreError as `readMotifText` */
export function motifFromText(text: string): MotifDesign {
  const { motif, arrangement } = readMotifText(text);
  const shades = lettersOf(motif).map(shadeOfLetter);
  const card = shades.length === 0 ? [shadeOfLetter('A')] : shades;
  return newMotif({ name: 'Motif', shades: card, lay: { arrangement }, ...motif });
}

/** A card with a shade for each letter of a motif that it lacks, in the colour that the letter means. */
export function cardWith(shades: readonly Shade[], motif: Motif): Shade[] {
  const lacking = lettersOf(motif).filter((letter) => shades.every(({ key }) => key !== letter));
  return [...shades, ...lacking.map(shadeOfLetter)];
}

/** The letters of a motif's shades, each once, as they come. */
function lettersOf(motif: Motif): readonly string[] {
  const letters = new Set<string>();
  MOTIF.mapShades(motif, (key) => {
    letters.add(key);
    return key;
  });
  return [...letters];
}
