import { CoreError } from '../../../error.ts';

/** A word of the notation, and where it stands. */
export interface Word {
  readonly text: string;
  /** Of "key=value": what stands behind the sign, out of its quotes. */
  readonly value: string | undefined;
  /** From 1 each. */
  readonly line: number;
  readonly column: number;
  /** In the whole text. */
  readonly at: number;
  readonly length: number;
}

/** Quotes may stand round a value; a bar is a word of its own; a hash begins a note. */
const WORD = /\||#.*$|([^\s|#="]+)(?:=("(?:[^"\\]|\\.)*"|[^\s|#"]*))?/g;

/**
 * The words of each line that has any.
 * @throws CoreError "motif-text/sign" {line, column, at, length, text} where something is no word
 */
export function wordsOf(text: string): readonly (readonly Word[])[] {
  const lines: Word[][] = [];
  let start = 0;
  for (const [number, line] of text.split('\n').entries()) {
    const words: Word[] = [];
    let read = 0;
    for (const match of line.matchAll(WORD)) {
      refuseBetween(line, read, match.index, { line: number + 1, start });
      read = match.index + match[0].length;
      const [whole, name, value] = match;
      if (whole.startsWith('#')) continue;
      words.push({
        text: name ?? whole,
        value: value?.startsWith('"') ? value.slice(1, -1).replace(/\\(.)/g, '$1') : value,
        line: number + 1,
        column: match.index + 1,
        at: start + match.index,
        length: whole.length,
      });
    }
    refuseBetween(line, read, line.length, { line: number + 1, start });
    if (words.length > 0) lines.push(words);
    start += line.length + 1;
  }
  return lines;
}

/** Between words stand blanks alone. */
function refuseBetween(
  text: string,
  from: number,
  to: number,
  { line, start }: { readonly line: number; readonly start: number },
): void {
  const rest = text.slice(from, to);
  const first = rest.search(/\S/);
  if (first < 0) return;
  const sign = rest.slice(first, first + 1);
  throw new CoreError('motif-text/sign', {
    line,
    column: from + first + 1,
    at: start + from + first,
    length: 1,
    text: sign,
  });
}
