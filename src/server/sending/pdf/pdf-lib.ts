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

/** The faces of a document, as files that subsets can be made of. */
const FACES = {
  text: '@fontsource/instrument-sans/files/instrument-sans-latin-400-normal.woff',
  strong: '@fontsource/instrument-sans/files/instrument-sans-latin-600-normal.woff',
  numbers: '@fontsource/spline-sans-mono/files/spline-sans-mono-latin-400-normal.woff',
} as const;

export type Fonts = { readonly [Face in keyof typeof FACES]: PdfLib.PDFFont };

/** Embeds the fonts of tickets and labels; only what is written with them goes into the file. */
export async function embedFonts(document: PdfLib.PDFDocument): Promise<Fonts> {
  document.registerFontkit(fontkit);
  const embed = (face: keyof typeof FACES) =>
    document.embedFont(readFileSync(require.resolve(FACES[face])), { subset: true });
  return { text: await embed('text'), strong: await embed('strong'), numbers: await embed('numbers') };
}

/** Text as the font can write it: what it has no shape for becomes a question mark. */
export function writable(font: PdfLib.PDFFont, text: string): string {
  const known = new Set(font.getCharacterSet());
  return [...text].map((letter) => (known.has(letter.codePointAt(0)!) ? letter : '?')).join('');
}
