import type { Sentences } from '../sentence.ts';

/** What may be wrong with what is written by hand or in tables: counts, shades, cards, colourways. */
export const NOTATION = {
  'notation/width': ({ word, width }) =>
    width === ''
      ? `“${word}” has no width. Write it behind the letter, such as ${word}12.5.`
      : `“${width}” is not a width. Write a number such as 12.5, 1/3 or 3/4in.`,
  'notation/empty': () => 'Type a thread count, such as A/12 B6 C/4.',
  'notation/too-long': ({ length, most }) =>
    `That text is ${length} characters long; at most ${most} are read.`,
  'notation/band': ({ word }) => `“${word}” is not a band. Write a shade’s letter and a count, such as B6.`,
  'notation/shade': ({ shade, known }) => {
    const missing =
      shade!.length > 3
        ? `No shade is called “${shade}”, and no colour.`
        : `No shade has the letter ${shade}.`;
    return `${missing}${known === '' ? '' : ` The card has ${known}.`}`;
  },
  'notation/count': ({ word, count, most }) =>
    count === ''
      ? `“${word}” has no count. Write the threads behind the letter, such as ${word}4.`
      : `“${count}” is not a thread count: it must be a whole number from 1 to ${most}.`,
  'notation/pivot-inside': ({ word }) =>
    `“${word}” is marked as a pivot, but only the first and the last band can be.`,
  'notation/pivot-alone': ({ word }) => `Mark both pivots with a slash, or neither: “${word}” has none.`,
  'csv/too-long': ({ length, most }) =>
    `That table is ${length} characters long; at most ${most} are read. A sett is a few hundred rows.`,
  'csv/width': ({ line }) => `Line ${line}: no width is written.`,
  'csv/columns': ({ found }) =>
    `The table needs the columns “shade” and “count” (or “width”, for stripes) in its first line. ${found === '' ? 'It is empty.' : `Found: ${found}.`}`,
  'csv/empty': () => 'The table has no rows below its first line.',
  'csv/no-warp': () => 'The table has no warp rows.',
  'csv/shade': ({ line }) => `Line ${line}: no shade is named.`,
  'csv/count': ({ line, count, most }) =>
    `Line ${line}: “${count}” is not a thread count. It must be a whole number from 1 to ${most}.`,
  'csv/direction': ({ line, direction }) =>
    `Line ${line}: the direction must be warp or weft, got “${direction}”.`,
  'csv/pivot': ({ line, pivot }) =>
    `Line ${line}: the pivot must be shared, doubled or empty, got “${pivot}”.`,
  'csv/colour': ({ line, text }) =>
    `Line ${line}: “${text}” is no colour. Give #rrggbb or a colour name, or add a column “colour”.`,
  'counts/line': ({ line, text }) =>
    `Line ${line}: “${text}” is not a field. Use name, shades, warp, weft, turn, pivots, weave, print or density.`,
  'counts/twice': ({ line, field }) => `Line ${line}: “${field}” stands there a second time.`,
  'counts/no-warp': () => 'There is no warp. Write one such as A/12 B6 C/4.',
  'counts/pivots': ({ text }) => `Pivots are shared or doubled, got “${text}”.`,
  'counts/no-pivots': () =>
    'Pivots are doubled, but no sequence has any. Mark the first and the last band with a slash, such as A/12 B6 C/4.',
  'counts/turn': ({ text, most }) =>
    `A weft is turned by a whole number of threads from 0 to ${most}, got “${text}”.`,
  'counts/density': ({ text }) => `“${text}” is not a density. Write one such as 24/in or 24 x 22/cm.`,
  'shades/entry': ({ text }) => `“${text}” is not a shade. Write its letter and colour, such as A=#20304a.`,
  'shades/twice': ({ key }) => `Two shades have the letter ${key}.`,
  'shades/too-many': ({ shades, most }) => `That is ${shades} shades; a design takes at most ${most}.`,
  'shades/colour': ({ text }) => `“${text}” is not a colour. Write #rrggbb or a colour name.`,
  'card/columns': ({ found }) =>
    `A shade card needs a column “colour”. ${found === '' ? 'It is empty.' : `Found: ${found}.`}`,
  'card/colour': ({ line, text }) =>
    `Line ${line}: “${text}” is not a colour. Write #rrggbb or a colour name.`,
  'card/empty': () => 'There are no shades in it.',
  'card/twice': ({ name }) => `Two shades are called “${name}”. Give each a name of its own.`,
  'card/too-long': ({ length, most }) => `That card is ${length} characters long; at most ${most} are read.`,
  'card/json': () => 'This card is broken: it is not JSON.',
  'card/token': ({ name }) => `The colour token “${name}” is neither a hex value nor sRGB.`,
  'colourway/unknown': ({ name, known }) =>
    `There is no colourway “${name}”. ${known === '' ? 'The design has none.' : `There are: ${known}.`}`,
} satisfies Partial<Sentences>;
