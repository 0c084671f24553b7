import type { Loss } from '../core/design/exchange/losses.ts';

const WORDS: Readonly<Record<Loss, string>> = {
  name: 'the name',
  number: 'the number',
  shades: 'the names of the shades',
  crossing: 'that it is printed',
  weave: 'the weave',
  print: 'how it is printed',
  direction: 'the direction of the stripes',
  clear: 'which bands are transparent',
  density: 'the density',
  resolution: 'the resolution',
  colourways: 'the colourways',
  yarn: 'the yarn of the piece',
  kept: 'what an earlier file held besides',
};

/** What a file does not hold, in a sentence; empty where it holds everything. */
export function lossSentence(losses: readonly Loss[]): string {
  if (losses.length === 0) return '';
  const words = losses.map((loss) => WORDS[loss]);
  const list = words.length === 1 ? words[0]! : `${words.slice(0, -1).join(', ')} and ${words.at(-1)!}`;
  return `The file does not hold ${list}. A Vetro design (.json) holds everything.`;
}
