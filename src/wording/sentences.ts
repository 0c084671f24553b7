import type { Facts } from '../core/error.ts';
import { SCHEMA_SENTENCES } from './schema-sentences.ts';
import type { Sentence } from './sentence.ts';
import { SERVER_SENTENCES } from './server-sentences.ts';
import { growthSentence } from './tiling-words.ts';

/** What may be wrong with a field beside others. */
const FIELDS: Readonly<Record<string, string>> = {
  'band/shade': 'no shade has that letter',
  'shade/twice': 'another shade has that letter',
  'colourway/twice': 'another colourway has that name',
};

const SENTENCES: Readonly<Record<string, Sentence>> = {
  'number/surd': ({ text }) => `“${text}” is not a sum of roots. Write one such as 1 + √2 or 3/2 − √3/6.`,
  'number/empty': () => 'Type a number.',
  'number/too-long': ({ most }) => `That number is too long: at most ${most} characters.`,
  'number/syntax': ({ text }) => `“${text}” is not a number. Write one such as 24, 0.35, 3/4 or 2*12.`,
  'number/zero-divisor': ({ text }) => `${text} divides by zero.`,
  'length/not-positive': ({ text }) => `A length must be above zero, got “${text}”.`,
  'density/range': ({ text, most }) =>
    `A density must be above 0 and at most ${most} threads per inch or cm, got “${text}”.`,
  'resolution/range': ({ text, most }) =>
    `A resolution must be above 0 and at most ${most} pixels per inch, got “${text}”.`,
  'colour/hex': ({ text }) => `“${text}” is not a colour. Write six digits such as #24402f.`,

  'band/count': ({ shade, count, most }) =>
    `Band ${shade} has ${count} threads: a count must be a whole number from 1 to ${most}.`,
  'band/shade': ({ shade }) =>
    `No shade has the letter ${shade}. Add it to the shade card, or use another letter.`,
  'sequence/empty': () => 'A sequence needs at least one band.',
  'sequence/bands': ({ bands, most }) => `That is ${bands} bands; a sequence takes at most ${most}.`,
  'sequence/threads': ({ threads, most }) =>
    `That sett is ${threads} threads long when laid out; at most ${most} threads are taken. Make the counts smaller.`,
  'weave/float': ({ over, under, most }) =>
    `A twill goes over and under at least 1 and at most ${most} threads, got ${over}/${under}.`,
  'weave/text': ({ text }) =>
    `“${text}” is not a weave. Write plain, a twill such as 2/2Z or 3/1/1/2S, or satin 8/3, hopsack 2, herringbone 2/2 8, honeycomb 6, crepe 12, …`,
  'weave/line': ({ line, most }) =>
    `“${line}” is not a twill’s line: overs and unders in turn, an even number of them, each from 1 to ${most}.`,
  'weave/size': ({ text, least, most }) =>
    `A number of this weave must be from ${least} to ${most}, got ${text}.`,
  'weave/satin': ({ ends, step, steps }) =>
    steps === ''
      ? `There is no satin of ${ends} ends: no step meets every end once without making a twill.`
      : `A satin of ${ends} ends cannot step by ${step}: it would meet some ends twice, or be a twill. Steps that do: ${steps}.`,
  'weave/matrix': ({ ends, picks, most }) =>
    `A structure has from 1 to ${most} ends and picks, not ${ends} × ${picks}.`,
  'weave/profile': ({ row }) => `Row ${row} of the profile is not as long as the others.`,
  'weave/block': ({ letter }) =>
    `The profile has a block ${letter}, but no weave stands for it. Add ${letter} = plain, or another.`,
  'weave/rows': ({ row }) =>
    `Row ${row} of the structure is not right: all rows are equally long and hold only # and . (or 1 and 0).`,
  'weave/unbound': ({ limit }) => `These floats cannot all be bound to ${limit}. Allow longer ones.`,
  'tiling/proportion': ({ text, most }) =>
    `A proportion must be above 0, at most ${most}, and a fraction of at most ${most}ths, got ${text}.`,
  'tiling/part': ({ text }) => `That must be a part of the whole, from 0 to 1, got ${text}.`,
  'tiling/between': ({ text, low, high }) => `That must lie between ${low} and ${high}, got ${text}.`,
  'tiling/diagonal': ({ text, most }) =>
    `A diagonal goes up and across by whole repeats, at most ${most} of each, such as 1/2; got ${text}.`,
  'tiling/level': ({ diagonal }) =>
    `With the diagonal ${diagonal} level, this tiling has no upright repeat. Take 0, or a tiling whose repeat is as high as wide.`,
  'tiling/shear': () =>
    'A tiling without an upright repeat cannot lean by a part of it. Turn it another way first.',
  'tiling/across': ({ measured }) =>
    `The width of that face across its ${measured} is no sum of square roots. Measure it across its ${measured === 'corners' ? 'flats' : 'corners'}, or give its side.`,
  'tiling/vanished': ({ by }) => `Taken in by ${by}, no face is left. Take in less.`,
  'growth/side': ({ face }) => `Face ${face} has no side to lie on.`,
  'growth/taken': ({ face }) => `Face ${face} would lie where there is a face already.`,
  'growth/overlap': ({ face }) => `Face ${face} would lie over another one.`,
  'growth/no-shift': () => growthSentence({ kind: 'no-shift' }),
  'growth/one-way': () => growthSentence({ kind: 'one-way' }),
  'growth/gaps': ({ open }) => growthSentence({ kind: 'gaps', open: Number(open) / 100 }),
  'tiling/ring': ({ text, before, behind }) =>
    `A ring lies between its neighbours, from ${behind} to ${before}, got ${text}.`,
  'tiling/size': ({ text, most }) => `A side or a repeat is at most ${most} m long, got ${text}.`,
  'tiling/neighbours': () =>
    'Six shades do not keep the neighbours of this tiling apart. Colour it another way.',
  'tiling/turn': ({ degrees, turns }) =>
    `Turned by ${degrees}°, this tiling has no upright repeat. It has one at ${turns}.`,
  'tiling/no-repeat': () => 'This tiling has no upright repeat.',
  'tiling/faces': ({ most }) => `One repeat would have more than ${most} faces. Simplify its proportions.`,
  'tiling/too-large': ({ width, height, most }) =>
    `One repeat would be ${width} × ${height} mm; at most ${most} m is made. Make it smaller.`,
  'tiling/no-counts': () => 'A tiling has no thread counts. Send it as a picture, a drawing or a design.',
  'tiling/none': () => 'Only a tiling has faces to list.',
  'tiling/degrees': ({ text }) => `A tiling is turned by whole steps of 15°, from 0 to 345, got ${text}.`,
  'start/tiling': () => 'Say one tiling: --config 4.8.8, --rhombus 3:4, or --from one of the start points.',
  'tiling/unknown': ({ text, known }) => `“${text}” is no tiling here. There are: ${known}.`,
  'draft/shaft': ({ end, shaft, most }) => `End ${end} is on shaft ${shaft}; a draft has from 1 to ${most}.`,
  'draft/tieup': ({ treadle, shaft, most }) =>
    `Treadle ${treadle} is tied to shaft ${shaft}; a draft has from 1 to ${most}.`,
  'draft/treadle': ({ pick, treadle, most }) =>
    `Pick ${pick} asks for treadle ${treadle}; there are ${most}.`,
  'draft/too-many': ({ shafts, most }) =>
    `This structure needs ${shafts} shafts; a draft has at most ${most}. Make some ends alike.`,
  'paint/drawn': ({ text, known }) => `“${text}” is no way of drawing cloth. There are: ${known}.`,
  'loom/absent': ({ port }) =>
    `No loom answers at port ${port}. Is it switched on? Without one, “npx vetro loom” starts a stand-in; VETRO_LOOM_PORT names another port.`,
  'loom/moved': ({ pick }) =>
    `Another window has woven on: pick ${pick} is next. Look at the loom before you throw it.`,
  'loom/silent': () => 'The loom did not say that it raised the shafts. The pick counts as not thrown.',
  'loom/lost': () => 'The line to the loom was lost. The pick counts as not thrown; throw it again.',
  'loom/stopped': () => 'The loom is stopped. Start it again, then throw the pick.',
  'loom/jammed': () => 'The loom has jammed. Clear it, then throw the pick again.',
  'loom/shafts': ({ shaft }) => `The loom has no shaft ${shaft}; this draft needs it.`,
  'loom/words': () => 'What answers at that port does not speak as a loom does.',
  'loom/other': ({ wanted, raised }) =>
    `The loom raised shafts ${raised}, not ${wanted}. Look at it before the pick is thrown.`,
  'loom/port': ({ port }) => `Something else listens at port ${port} already. Choose another with --port.`,
  'yarn/count': ({ text, most }) => `A yarn count must be more than 0 and at most ${most}, got “${text}”.`,
  'yarn/length': ({ text, most }) => `A length of cloth must be from 0 to ${most} m, got “${text}”.`,
  'yarn/percent': ({ text }) => `A share must be from 0 to 100 %, got “${text}”.`,
  'yarn/threads': ({ threads, most }) =>
    `That piece would have ${threads} threads; at most ${most} are counted.`,
  'wif/too-long': ({ length, most }) => `That file has ${length} characters; at most ${most} are read.`,
  'wif/binary': () => 'That is not a weave file: it is not text.',
  'wif/not-one': () => 'That is not a weave file: it has no section [WIF].',
  'wif/line': ({ line, text }) => `Line ${line}: “${text}” is neither a section in brackets nor key=value.`,
  'wif/missing': ({ section }) => `The weave file has no section [${section}].`,
  'wif/value': ({ section, line, text }) => `[${section}], line ${line}: “${text}” cannot be read there.`,
  'wif/range': ({ section, line, value, most }) =>
    `[${section}], line ${line}: ${value} is more than the ${most} that there are.`,
  'wif/too-small': ({ section, line, value, least }) =>
    `[${section}], line ${line}: ${value} is too little; there must be at least ${least}.`,
  'wif/contradiction': ({ section, line, value, other }) =>
    `[${section}], line ${line}: it names number ${value}, but the file says that there are ${other}.`,
  'wif/too-large': ({ ends, picks, most }) =>
    `One repeat has ${ends} ends and ${picks} picks; a weave file holds at most ${most}.`,
  'weave/none': () => 'Only cloth that is woven takes a weave.',
  'width/not-positive': ({ text }) => `A width must be more than nothing, got “${text}”.`,
  'width/too-wide': ({ text, most }) => `“${text}” is wider than ${most} mm, the widest band here.`,
  'notation/width': ({ word, width }) =>
    width === ''
      ? `“${word}” has no width. Write it behind the letter, such as ${word}12.5.`
      : `“${width}” is not a width. Write a number such as 12.5, 1/3 or 3/4in.`,
  'stripe/too-large': ({ width, height, most }) =>
    `That slope repeats only after ${width} × ${height} m; at most ${most} m are made. Choose a simpler slope or narrower bands.`,
  'stripe/unit': ({ text, known }) => `“${text}” is no unit of widths. There are: ${known}.`,
  'stripe/measured': ({ text }) => `Widths are measured “across” or along the “edge”, got “${text}”.`,
  'slope/none': () => 'A slope of 0/0 goes nowhere. Write its rise over its run, such as 7/10.',
  'slope/text': ({ text }) =>
    `“${text}” is not a slope. Write down, across, or its rise over its run, such as 7/10.`,
  'slope/range': ({ rise, run, most }) =>
    `A slope of ${rise}/${run} is too fine: rise and run go up to ${most}.`,
  'slope/degrees': ({ text, most }) => `An angle goes from −${most}° to ${most}°, got “${text}”.`,
  'slope/no-offer': ({ text }) =>
    `No slope near ${text}° repeats within 10 m with these bands. Make them narrower, or choose lines that run down or across.`,
  'send/no-threads': () => 'Pixels a thread are for cloth with threads. Choose a resolution instead.',
  'picture/bands': ({ bands, most }) =>
    `That line makes ${bands} bands; at most ${most} fit. Choose larger blocks, merge more, or give them more room.`,
  'picture/not-one': () => 'That is not a picture. A JPEG, a PNG or a WebP can be read.',
  'picture/kind': ({ kind, kinds }) =>
    `A picture of kind ${kind} is not read here. Kinds that are: ${kinds}.`,
  'picture/broken': ({ reason }) => `This picture is broken and cannot be read to its end: ${reason}.`,
  'picture/too-large': ({ width, height, most }) =>
    `That picture has ${width} × ${height} pixels; at most ${most} million are read. Make it smaller first.`,
  'print/strength': ({ text }) => `A strength must be from 0 to 1, got “${text}”.`,
  'print/text': ({ text, blends }) =>
    `“${text}” says nothing about printing. Write a blend (${blends}), a strength such as 1/2, and warp or weft for the stripes on top.`,
  'repeat/too-large': ({ ends, picks, most }) =>
    `Sett and weave come round together only after ${ends} ends and ${picks} picks, more than can be woven here (${most} threads). Choose counts that divide the weave.`,

  'notation/empty': () => 'Type a thread count, such as A/12 B6 C/4.',
  'notation/too-long': ({ length, most }) =>
    `That text is ${length} characters long; at most ${most} are read.`,
  'notation/band': ({ word }) => `“${word}” is not a band. Write a shade’s letter and a count, such as B6.`,
  'notation/shade': ({ shade, known }) =>
    `No shade has the letter ${shade}.${known === '' ? '' : ` The card has ${known}.`}`,
  'notation/count': ({ word, count, most }) =>
    count === ''
      ? `“${word}” has no count. Write the threads behind the letter, such as ${word}4.`
      : `“${count}” is not a thread count: it must be a whole number from 1 to ${most}.`,
  'notation/pivot': ({ word, marked }) =>
    marked === 'true'
      ? `“${word}” is marked as a pivot, but only the first and the last band can be.`
      : `Mark both pivots with a slash, or neither: “${word}” has none.`,

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

  'design/format': () => 'This is not a Vetro design.',
  'design/newer': ({ version, known }) =>
    `This design was made by a newer Vetro (version ${version}; this one knows ${known}). Update Vetro to open it.`,
  'design/version': ({ version }) => `This design’s version, “${version}”, is unknown.`,
  'design/json': () => 'This file is broken: it is not JSON.',
  'design/deep': ({ most }) => `This file is nested more than ${most} deep; no design is.`,
  'design/too-long': ({ length, most }) =>
    `This design is ${length} characters long; at most ${most} are read.`,
  'design/field': (facts) => {
    const { path, problem } = facts;
    const where = `The design is not right${path === '' ? '' : ` at “${path}”`}`;
    const beside = FIELDS[problem!];
    if (beside !== undefined) return `${where}: ${beside}.`;
    return `${where}. ${problemSentence(facts)}`.trim();
  },
  'start/nothing': () => 'Give thread counts with --warp, or a start point with --from.',
  'start/weave': ({ ways }) =>
    `Say the structure in one way: --weave, --twill, --satin or --matrix. There were ${ways}.`,
  'start/no-bands': () => 'Give the bands with --bands, or a start point with --from.',
  'start/and-counts': ({ key }) => `Give either the start point ${key} or counts with --warp, not both.`,
  'start/seed': ({ text }) => `A seed is a whole number of up to nine digits, got “${text}”.`,
  'number/not-whole': ({ text, least, most }) =>
    `This must be a whole number from ${least} to ${most}, got ${text}.`,
  'run/bands': ({ bands, most }) => `A run has from 1 to ${most} bands, got ${bands}.`,
  'run/zero': ({ band }) => `Band ${band} would have no thread. Choose larger widths, or fewer bands.`,
  'run/times': ({ times }) => `Say how often as a whole number from 1 to 1000, got ${times}.`,
  'run/no-fit': ({ times }) => `${times} repeats do not fit: there would be less than a thread for each.`,
  'overcheck/place': ({ at, count, threads }) =>
    `A line of ${count} threads does not fit at thread ${at}: the typed bands have ${threads}.`,
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
  'start/unknown': ({ key, known }) => `There is no start point “${key}”. There are: ${known}.`,
  'file/kind': ({ name, kinds }) => `“${name}” is of a kind that cannot be read here. Known kinds: ${kinds}.`,
  'file/kind-written': ({ name, kinds }) =>
    `“${name}” is of a kind that cannot be written here. Known kinds: ${kinds}.`,
  'option/idle': ({ option, why }) => `${option} would do nothing: ${why}. Leave it out.`,
  'file/too-large': ({ size, most }) => `That file has ${size} bytes; at most ${most} are read.`,
  'file/missing': ({ name }) => `There is no file “${name}”.`,
  'file/unwritable': ({ name }) => `“${name}” could not be written.`,

  'svg/too-many': ({ boxes, most }) =>
    `As a drawing this repeat has over ${boxes} boxes (at most ${most}). Send it as a PNG.`,
  'svg/no-repeat': () => 'A design that does not repeat cannot be sent as a tile.',
  'paint/size': ({ width, height }) => `A tile of ${width} × ${height} pixels cannot be painted.`,
  'send/too-large': ({ width, height, most }) =>
    `That would be ${width} × ${height} pixels; a side may have at most ${most}. Choose a smaller size or resolution.`,
  'send/vanishes': ({ dpi }) =>
    `At ${dpi} dpi one repeat is smaller than a pixel. Choose a finer resolution.`,
  'send/size': ({ text }) =>
    `“${text}” is not a size. Write one such as 12inx12in, 300 x 200 mm, 1.5 m or 1200 x 800 px.`,
  'send/repeats': ({ text, most }) =>
    `“${text}” is no number of repeats. Write whole numbers such as 3 x 2, each from 1 to ${most}.`,
  'send/per-thread': ({ text, most }) =>
    `Pixels a thread must be a whole number from 1 to ${most}, got “${text}”.`,

  ...SERVER_SENTENCES,
  'request/field': (facts) => `“${facts['path']}” is not right. ${problemSentence(facts)}`.trim(),
};

function problemSentence(facts: Readonly<Record<string, string>>): string {
  const problem = facts['problem'] ?? '';
  const known = [SENTENCES, SCHEMA_SENTENCES].find((sentences) => Object.hasOwn(sentences, problem));
  return known?.[problem]?.(facts) ?? problem;
}

/** What is wrong, in words that a designer understands. */
export function sentenceFor(code: string, facts: Facts): string {
  const words = Object.fromEntries(
    Object.entries(facts).map(([name, value]) => [
      name,
      Array.isArray(value) ? value.join(', ') : typeof value === 'number' ? grouped(value) : String(value),
    ]),
  );
  const sentence = Object.hasOwn(SENTENCES, code) ? SENTENCES[code] : undefined;
  return sentence === undefined ? `Something is not right here (${code}).` : sentence(words);
}

/** Whether a code has a sentence of its own; a test asks for every code of the core. */
export function hasSentence(code: string): boolean {
  return Object.hasOwn(SENTENCES, code);
}

/** 100000 → "100 000", with spaces that do not break. */
export function grouped(value: number): string {
  const text = String(value);
  return /^\d{5,}$/.test(text) ? text.replace(/\B(?=(\d{3})+$)/g, '\u00a0') : text;
}
