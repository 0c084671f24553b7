/** What a word that is found counts, by where: it begins the text, begins a word of it, stands in it, or beside it. */
const BEGINS = 4;
const BEGINS_WORD = 3;
const WITHIN = 2;
const BESIDES = 1;

/**
 * How well a command is found by words: 0 where one of them is not in it, else more than 0 and at most 1.
 *
 * @param text    what is shown
 * @param also    words that find it besides
 * @param search  words between spaces, in any order and case
 */
export function scoreCommand(text: string, also: string, search: string): number {
  const words = search.toLowerCase().split(/\s+/).filter(Boolean);
  const scores = words.map((word) => scoreWord(text.toLowerCase(), also.toLowerCase(), word));
  if (scores.some((score) => score === 0)) return 0;
  const most = Math.max(1, words.length) * BEGINS;
  return words.length === 0 ? 1 : scores.reduce((sum, score) => sum + score, 0) / most;
}

function scoreWord(text: string, also: string, word: string): number {
  const at = text.indexOf(word);
  if (at === 0) return BEGINS;
  if (at > 0) return text.includes(` ${word}`) ? BEGINS_WORD : WITHIN;
  return also.includes(word) ? BESIDES : 0;
}
