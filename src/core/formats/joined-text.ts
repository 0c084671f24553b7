/** Pieces of text as one. Its type refuses what is no text, of which `join` would write "[object Object]". */
export function joinedText(pieces: Iterable<string>): string {
  return [...pieces].join('');
}
