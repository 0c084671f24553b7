import type { Sentences } from '../sentence.ts';

/** What may be wrong with bands, sequences, weaves, prints and yarn. */
export const THREADS = {
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
  'draft/shaft': ({ end, shaft, most }) => `End ${end} is on shaft ${shaft}; a draft has from 1 to ${most}.`,
  'draft/tieup': ({ treadle, shaft, most }) =>
    `Treadle ${treadle} is tied to shaft ${shaft}; a draft has from 1 to ${most}.`,
  'draft/treadle': ({ pick, treadle, most }) =>
    `Pick ${pick} asks for treadle ${treadle}; there are ${most}.`,
  'draft/too-many': ({ shafts, most }) =>
    `This structure needs ${shafts} shafts; a draft has at most ${most}. Make some ends alike.`,
  'yarn/count': ({ text, most }) => `A yarn count must be more than 0 and at most ${most}, got “${text}”.`,
  'yarn/length': ({ text, most }) => `A length of cloth must be from 0 to ${most} m, got “${text}”.`,
  'yarn/percent': ({ text }) => `A share must be from 0 to 100 %, got “${text}”.`,
  'yarn/threads': ({ threads, most }) =>
    `That piece would have ${threads} threads; at most ${most} are counted.`,
  'weave/none': () => 'Only cloth that is woven takes a weave.',
  'stripe/too-large': ({ width, height, most }) =>
    `That slope repeats only after ${width} × ${height} m; at most ${most} m are made. Choose a simpler slope or narrower bands.`,
  'stripe/unit': ({ text, known }) => `“${text}” is no unit of widths. There are: ${known}.`,
  'stripe/measured': ({ text }) => `Widths are measured “across” or along the “edge”, got “${text}”.`,
  'print/strength': ({ text }) => `A strength must be from 0 to 1, got “${text}”.`,
  'print/text': ({ text, blends }) =>
    `“${text}” says nothing about printing. Write a blend (${blends}), a strength such as 1/2, and warp or weft for the stripes on top.`,
  'repeat/too-large': ({ ends, picks, most }) =>
    `Sett and weave come round together only after ${ends} ends and ${picks} picks, more than can be woven here (${most} threads). Choose counts that divide the weave.`,
  'run/bands': ({ bands, most }) => `A run has from 1 to ${most} bands, got ${bands}.`,
  'run/zero': ({ band }) => `Band ${band} would have no thread. Choose larger widths, or fewer bands.`,
  'run/times': ({ times }) => `Say how often as a whole number from 1 to 1000, got ${times}.`,
  'run/no-fit': ({ times }) => `${times} repeats do not fit: there would be less than a thread for each.`,
  'overcheck/place': ({ at, count, threads }) =>
    `A line of ${count} threads does not fit at thread ${at}: the typed bands have ${threads}.`,
} satisfies Partial<Sentences>;
