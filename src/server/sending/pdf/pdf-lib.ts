import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type * as PdfLib from '@cantoo/pdf-lib';
import * as fontkit from 'fontkit';

// The package's own modules import JSON in a way that Node 20 refuses; its CommonJS does not.
const require = createRequire(import.meta.url);
const pdfLib: typeof PdfLib = require('@cantoo/pdf-lib');

export const { PDFDict, PDFDocument, PDFName, PDFNumber, rgb } = pdfLib;
export type {
  PDFDocument as Document,
  PDFFont as Font,
  PDFPage as Page,
  PDFRef as Ref,
} from '@cantoo/pdf-lib';

/** Points of a millimetre. Source: ISO 32000-1, 8.3.2.3. */
export const POINTS = 72 / 25.4;

/** The faces of a document, as files that subsets can be made of: the usual letters, then further ones of Latin. */
const FACES = {
  text: ['instrument-sans/files/instrument-sans-latin', '400'],
  strong: ['instrument-sans/files/instrument-sans-latin', '600'],
  numbers: ['spline-sans-mono/files/spline-sans-mono-latin', '400'],
} as const;

/** Fonts of one face with the letters that each has; a letter is written in the first that has it. */
export type Face = readonly { readonly font: PdfLib.PDFFont; readonly letters: ReadonlySet<number> }[];

export type Fonts = { readonly [F in keyof typeof FACES]: Face };

/** Embeds the fonts of tickets and labels; only what is written with them goes into the file. */
export async function embedFonts(document: PdfLib.PDFDocument): Promise<Fonts> {
  document.registerFontkit(fontkit);
  const embed = async (face: keyof typeof FACES): Promise<Face> => {
    const [files, weight] = FACES[face];
    const fonts: { font: PdfLib.PDFFont; letters: ReadonlySet<number> }[] = [];
    for (const letters of ['', '-ext']) {
      const file = require.resolve(`@fontsource/${files}${letters}-${weight}-normal.woff`);
      const font = await document.embedFont(readFileSync(file), { subset: true });
      fonts.push({ font, letters: new Set(font.getCharacterSet()) });
    }
    return fonts;
  };
  return { text: await embed('text'), strong: await embed('strong'), numbers: await embed('numbers') };
}

/** Letters that follow each other in one font. */
export interface Run {
  readonly font: PdfLib.PDFFont;
  readonly text: string;
}

/**
 * Text in fonts that can write it. What none has a shape for is written by the letters that it stands for (Unicode's
 * compatibility decomposition: № as No), and else as a question mark.
 */
export function runsOf(face: Face, text: string): readonly Run[] {
  const fontOf = (letter: string) => face.find(({ letters }) => letters.has(letter.codePointAt(0)!))?.font;
  const written = [...text].flatMap((letter) => {
    if (fontOf(letter) !== undefined) return [letter];
    const standsFor = [...letter.normalize('NFKD')].filter((each) => !/\p{M}/u.test(each));
    return standsFor.length > 0 && standsFor.every((each) => fontOf(each) !== undefined) ? standsFor : ['?'];
  });
  const runs: { font: PdfLib.PDFFont; text: string }[] = [];
  for (const letter of written) {
    const font = fontOf(letter) ?? face[0]!.font;
    const last = runs.at(-1);
    if (last?.font === font) last.text += letter;
    else runs.push({ font, text: letter });
  }
  return runs;
}

/** Points that a text is wide. */
export function widthOf(face: Face, text: string, size: number): number {
  return runsOf(face, text).reduce((sum, run) => sum + run.font.widthOfTextAtSize(run.text, size), 0);
}
