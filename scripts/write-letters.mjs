// npm run letters: writes the outlines of the shipped fonts, which letters of motifs are made of.
import { readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { create } from 'fontkit';
import { decompress } from 'wawoff2';

const ROOT = join(dirname(fileURLToPath(import.meta.url)), '..');

/** By their keys: the package that ships each, and how bold it is. */
const FONTS = {
  bricolage: ['bricolage-grotesque', 400],
  'bricolage-bold': ['bricolage-grotesque', 800],
  instrument: ['instrument-sans', 400],
  'instrument-bold': ['instrument-sans', 700],
  mono: ['spline-sans-mono', 400],
};

/** Latin letters, figures and marks: U+0020 to U+00FF, and some beyond. */
const CHARACTERS = [
  ...Array.from({ length: 0x100 - 0x20 }, (_, at) => at + 0x20).filter((code) => code < 0x7f || code > 0xa0),
  ...[...'ŒœŸ–—‘’“”•…€™'].map((character) => character.codePointAt(0)),
];

/** Letters whose pairs may stand closer. */
const PAIRED = [...'ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz.,'];

const LETTERS = { moveTo: 'M', lineTo: 'L', quadraticCurveTo: 'Q', bezierCurveTo: 'C', closePath: 'Z' };

for (const [key, [name, weight]] of Object.entries(FONTS)) {
  const file = `node_modules/@fontsource-variable/${name}/files/${name}-latin-wght-normal.woff2`;
  // Variations are read of unpacked fonts alone.
  const font = create(Buffer.from(await decompress(readFileSync(join(ROOT, file))))).getVariation({
    wght: weight,
  });
  const glyphs = {};
  for (const code of CHARACTERS) {
    if (!font.hasGlyphForCodePoint(code)) continue;
    const glyph = font.glyphForCodePoint(code);
    const path = glyph.path.commands
      .map(({ command, args }) => `${LETTERS[command]}${args.map((value) => Math.round(value)).join(' ')}`)
      .join('');
    glyphs[String.fromCodePoint(code)] = [Math.round(glyph.advanceWidth), path];
  }
  const data = {
    name: `${font.familyName} ${weight}`,
    unitsPerEm: font.unitsPerEm,
    capHeight: font.capHeight,
    kerning: kerningOf(font),
    glyphs,
  };
  const lines = JSON.stringify(data, null, 1).replace(/\[\n\s+(-?\d+),\n\s+("[^"]*")\n\s+\]/g, '[$1, $2]');
  writeFileSync(join(ROOT, `src/core/shape/letters/${key}.json`), `${lines}\n`);
}

/** What pairs of letters move together by, where they do, in units of the font. */
function kerningOf(font) {
  const kerning = {};
  for (const one of PAIRED) {
    const alone = font.layout(one).positions[0].xAdvance;
    for (const other of PAIRED) {
      const { glyphs, positions } = font.layout(one + other);
      const by = glyphs.length === 2 ? Math.round(positions[0].xAdvance - alone) : 0;
      if (by !== 0) kerning[one + other] = by;
    }
  }
  return kerning;
}
