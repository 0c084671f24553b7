/** Deepest nesting of JSON that is read: a design has some ten levels. */
export const MAX_DEPTH = 64;

const OPEN = new Set([0x5b, 0x7b]);
const CLOSE = new Set([0x5d, 0x7d]);
const QUOTE = 0x22;
const BACKSLASH = 0x5c;

/** Whether JSON text is nested deeper than any design is. Looked at before parsing, which takes long for such text. */
export function isDeep(text: string, most: number = MAX_DEPTH): boolean {
  let depth = 0;
  let quoted = false;
  for (let at = 0; at < text.length; at += 1) {
    const sign = text.charCodeAt(at);
    if (quoted) {
      if (sign === BACKSLASH) at += 1;
      else if (sign === QUOTE) quoted = false;
    } else if (sign === QUOTE) quoted = true;
    else if (OPEN.has(sign)) {
      depth += 1;
      if (depth > most) return true;
    } else if (CLOSE.has(sign)) depth -= 1;
  }
  return false;
}
