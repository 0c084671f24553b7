/** Control characters, and what parts lines or paragraphs. Source: Unicode, general categories Cc, Zl and Zp. */
const CONTROLS = /[\p{Cc}\p{Zl}\p{Zp}]+/gu;

/** Half of a pair that stands for one character. Source: Unicode, general category Cs. */
const LONE_SURROGATES = /\p{Cs}/gu;

/** A name as it can stand in any file, on one line: what cannot be written becomes a space, or the mark of a character that is lost. */
export function cleanText(text: string): string {
  return text.replace(CONTROLS, ' ').replace(LONE_SURROGATES, '\uFFFD');
}

/** The same for text of several lines. */
export function cleanLines(text: string): string {
  return text.split(/\r?\n/).map(cleanText).join('\n');
}
