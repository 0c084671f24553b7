import { CoreError } from '../../error.ts';
import { type Contour, moveContour, type Segment, shiftBy } from '../contour.ts';
import type { Figure } from '../figure.ts';
import type { Place } from '../places.ts';
import bricolage from './bricolage.json' with { type: 'json' };
import bricolageBold from './bricolage-bold.json' with { type: 'json' };
import instrument from './instrument.json' with { type: 'json' };
import instrumentBold from './instrument-bold.json' with { type: 'json' };
import mono from './mono.json' with { type: 'json' };

/** The outlines of a font, y upward, as `npm run letters` writes them. */
export interface LetterFont {
  readonly name: string;
  readonly unitsPerEm: number;
  readonly capHeight: number;
  /** By how much pairs of letters stand further apart. */
  readonly kerning: Readonly<Record<string, number>>;
  /** How far each letter goes on, and its outlines: M, L, Q, C and Z with whole numbers. */
  readonly glyphs: Readonly<Record<string, readonly (number | string)[]>>;
}

/** The fonts that are shipped, by their keys. */
export const LETTER_FONTS = {
  bricolage,
  'bricolage-bold': bricolageBold,
  instrument,
  'instrument-bold': instrumentBold,
  mono,
} as const satisfies Record<string, LetterFont>;

export type LetterFontKey = keyof typeof LETTER_FONTS;
export const LETTER_FONT_KEYS = Object.keys(LETTER_FONTS) as [LetterFontKey, ...LetterFontKey[]];

/**
 * A line of letters round their middle: as wide as they go on, as high as capitals are.
 *
 * @param height  of the capitals
 * @throws CoreError "figure/letters" {letters} for those that the font lacks, "figure/no-letters"
 */
export function letters(text: string, key: LetterFontKey, height: number): Figure {
  const font: LetterFont = LETTER_FONTS[key];
  const characters = [...text];
  const lacking = characters.filter((each) => !Object.hasOwn(font.glyphs, each));
  if (lacking.length > 0) throw new CoreError('figure/letters', { letters: [...new Set(lacking)].join('') });
  if (text.trim() === '') throw new CoreError('figure/no-letters', {});
  const scale = height / font.capHeight;
  let along = 0;
  const placed = characters.map((character, at) => {
    const [advance, path] = font.glyphs[character] as readonly [number, string];
    const from = along;
    along += advance + (font.kerning[character + (characters[at + 1] ?? '')] ?? 0);
    return { from, path };
  });
  const middle = { x: (along * scale) / 2, y: height / 2 };
  return {
    kind: 'outline',
    contours: placed.flatMap(({ from, path }) =>
      glyphContours(path, scale).map((each) =>
        moveContour(each, shiftBy(from * scale - middle.x, -middle.y)),
      ),
    ),
  };
}

/** The outlines of a glyph. Quadratic curves become cubic ones: their handles lie two thirds of the way to the one. */
export function glyphContours(path: string, scale: number): readonly Contour[] {
  const contours: { start: Place; segments: Segment[]; closed: boolean }[] = [];
  let here: Place = { x: 0, y: 0 };
  for (const [, command, text] of path.matchAll(/([MLQCZ])([-\d ]*)/g)) {
    const numbers = text!.split(' ').map((number) => Number(number) * scale);
    const at = (place: number): Place => ({ x: numbers[2 * place]!, y: numbers[2 * place + 1]! });
    if (command === 'Z') continue;
    const to = at(numbers.length / 2 - 1);
    if (command === 'M') contours.push({ start: to, segments: [], closed: true });
    const { segments } = contours.at(-1)!;
    if (command === 'L') segments.push({ kind: 'line', to });
    if (command === 'C') segments.push({ kind: 'curve', curve: { leave: at(0), arrive: at(1), to } });
    if (command === 'Q') {
      const handle = at(0);
      segments.push({
        kind: 'curve',
        curve: { leave: toward(here, handle), arrive: toward(to, handle), to },
      });
    }
    here = to;
  }
  return contours;
}

function toward(from: Place, handle: Place): Place {
  return { x: from.x + (2 / 3) * (handle.x - from.x), y: from.y + (2 / 3) * (handle.y - from.y) };
}
