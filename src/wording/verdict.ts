import type { DirectionFacts } from '../core/design/construction.ts';
import { equals, toDecimal, toText } from '../core/exact/rational.ts';
import type { OpenReason, RepeatReport, ThreadCut } from '../core/repeat/check-repeat.ts';
import type { NumberProof } from '../core/repeat/close-numbers.ts';
import type { FittingResolution } from '../core/repeat/fitting-resolutions.ts';
import type { Join, JoinsClosed } from '../core/repeat/join.ts';
import { groupText } from './group-words.ts';
import { perMetreText, plural, sizeText } from './measures.ts';
import { grouped } from './sentences.ts';

/** One line under the verdict. */
export function verdictSentence(report: RepeatReport): string {
  const { fits } = report.pixels;
  switch (report.verdict) {
    case 'Exact':
      return 'It repeats, in numbers and in whole pixels.';
    case 'Fitted':
      return `It repeats in numbers. In pixels it is rounded by ${perMetreText(fits[0]!.errorX)} across and ${perMetreText(fits[0]!.errorY)} down.`;
    case 'Open':
      return OPEN[report.open!](report);
    default:
      return report.verdict satisfies never;
  }
}

const OPEN: Readonly<Record<OpenReason, (report: RepeatReport) => string>> = {
  numbers: ({ numbers }) => `It does not repeat: ${proofWords(numbers).open(numbers)}`,
  threads: ({ cuts }) => cuts.map(cutSentence).join(' '),
  'no-repeat': () => 'It has no upright repeat.',
  'pixels-vanish': ({ dpi }) =>
    `At ${toDecimal(dpi, 3)} dpi one repeat is smaller than a pixel. Choose a finer resolution.`,
  'pixels-too-many': ({ dpi, size }) =>
    `One repeat is ${size === null ? 'larger' : sizeText(size, 'mm')}: at ${toDecimal(dpi, 3)} dpi it has more pixels than a file can hold.`,
  painted: ({ painted }) =>
    `Its join can be seen: painted twice, half a repeat apart, ${grouped(painted?.differingBytes ?? 0)} bytes differ.`,
  leaks: ({ painted }) =>
    `The ground shows between faces, in ${grouped(painted?.leakingPixels ?? 0)} pixels.`,
};

/** "A step of 11/2 picks would cut a pick. 10 or 12 picks close." */
export function cutSentence({ of, step, ply, closing, steps }: ThreadCut): string {
  const counts = closing.map(({ threads }) => threads).join(' or ');
  return [
    `${ply === undefined ? 'A' : `In ply ${ply}, a`} step of ${toText(step)} ${of} would cut ${of === 'ends' ? 'an end' : 'a pick'}.`,
    ...(closing.length > 0 ? [`${counts} ${of} laid out close.`] : []),
    ...(steps.length > 0
      ? [
          `${steps.length > 1 ? 'Steps' : 'A step'} of ${steps.join(' or ')} ${steps.length > 1 ? 'close' : 'closes'}.`,
        ]
      : []),
  ].join(' ');
}

/** What a test found: first what that means, then the numbers that it rests on. */
export interface TestWords {
  readonly meaning: string;
  readonly details: string;
}

/** What is said of a proof of numbers. */
interface ProofWords<P extends NumberProof> {
  readonly open: (proof: P) => string;
  readonly details: (proof: P) => string;
}

const PROOFS: { readonly [K in NumberProof['kind']]: ProofWords<Extract<NumberProof, { kind: K }>> } = {
  cells: {
    open: ({ differing: [across, up], misses }) =>
      `${grouped(across + up + misses)} places differ one step of the lattice away.`,
    details: ({ compared }) => `Each of ${grouped(compared)} crossings equals the one a repeat away.`,
  },
  partition: {
    open: ({ loose, turned, misses }) => `${grouped(loose + turned + misses)} of its parts do not close.`,
    details: ({ vertices, edges, faces, loose, closed }) => {
      const sum = `${vertices} − ${edges} + ${faces} = ${vertices - edges + faces}`;
      return closed
        ? `${plural(faces, 'face')} ${faces === 1 ? 'covers' : 'cover'} the repeat once; each of ${plural(edges, 'edge')} has a face on either side (${sum}).`
        : `${plural(faces, 'face')} ${faces === 1 ? 'does' : 'do'} not cover the repeat as ${faces === 1 ? 'it' : 'they'} should; ${grouped(loose)} of ${plural(edges, 'edge')} lack a face on one side (${sum}).`;
    },
  },
  plies: {
    open: ({ plies }) => {
      const at = plies.findIndex(({ proof, fits }) => !proof.closed || !fits);
      const { proof } = plies[at]!;
      return proof.closed
        ? `ply ${at + 1} does not go whole times into the repeat.`
        : `in ply ${at + 1}, ${proofWords(proof).open(proof)}`;
    },
    details: ({ plies }) =>
      plies
        .map(({ proof, times }, at) => {
          const goes = `Ply ${at + 1} goes ${times.across} × ${times.down} times into the repeat.`;
          return `${goes} ${proofWords(proof).details(proof)}`;
        })
        .join(' '),
  },
};

function proofWords<P extends NumberProof>(proof: P): ProofWords<P> {
  return PROOFS[proof.kind] as unknown as ProofWords<P>;
}

/** What proves that the numbers close. */
export function numbersTest({ numbers }: RepeatReport): TestWords {
  return {
    meaning: `Numbers: ${numbers.closed ? 'the repeat closes exactly.' : 'the repeat does not close.'}`,
    details: proofWords(numbers).details(numbers),
  };
}

/** Why one direction's repeat is as long as it is: "24 ends laid out; with the weave’s 4 they come round after 24." */
export function directionSentence(facts: DirectionFacts, one: string): string {
  const { laidOut, period, weave, repeat } = facts;
  const laid = `${plural(laidOut, one)} laid out${period === laidOut ? '' : `, the same again after ${period}`}.`;
  const met =
    repeat === period
      ? `The weave’s ${weave} fit whole into ${period}.`
      : `With the weave’s ${weave} it comes round only after ${grouped(repeat)}, ${timesText(repeat / period)} as many.`;
  return `${laid} ${met}`;
}

function timesText(times: number): string {
  return times === 2 ? 'twice' : `${times} times`;
}

/** Said where the sequence is typed, when the weave makes the repeat longer than the sequence; else undefined. */
export function lateSentence({ period, weave, repeat }: DirectionFacts, one: string): string | undefined {
  // Threads of one shade fit any weave.
  if (repeat === period || period === 1) return undefined;
  return `The weave’s ${weave} do not fit into ${grouped(period)}: the cloth repeats only after ${grouped(repeat)} ${one}s, ${timesText(repeat / period)} as many.`;
}

/** Whether the repeat is painted the same wherever it begins; undefined where nothing was painted. */
export function seamTest({ painted }: RepeatReport): TestWords | undefined {
  if (painted === null) return undefined;
  const { width, height, comparedBytes, differingBytes } = painted;
  return {
    meaning: `Painting: ${differingBytes === 0 ? 'the same wherever the tile begins.' : 'it changes with where the tile begins.'}`,
    details: `Painted twice at ${width} × ${height} px, half a repeat apart, and rolled back: ${grouped(differingBytes)} of ${grouped(comparedBytes)} bytes differ.`,
  };
}

const OVER_WORDS: Readonly<Record<Join['over'], string>> = {
  across: 'to the right',
  up: 'upward',
  aslant: 'aslant',
};

const CLOSED_WORDS: Readonly<Record<JoinsClosed, string>> = {
  ended: 'let its fades end with the shade that they begin with',
  mirrored: 'lay it mirrored both ways',
};

/** Whether fades and pictures meet themselves so that it is seen. */
export function joinTest({
  joins: { joins, closed },
}: RepeatReport): TestWords & { readonly holds: boolean } {
  const [largest, ...others] = joins;
  if (largest === undefined) {
    return {
      holds: true,
      meaning: 'Joins: none can be seen.',
      details:
        'No fade and no picture meets itself otherwise than it goes on. Edges that were typed are no joins.',
    };
  }
  const { what, ply, difference, at, over } = largest;
  const where = `${ply === undefined ? 'A' : `In ply ${ply}, a`} ${what} meets itself where it comes again ${OVER_WORDS[over]}: ΔE ${difference.toFixed(1)} by itself, at ${millimetres(at.x)}, ${millimetres(at.y)} mm.`;
  const more = others.map(
    (join) =>
      `${join.ply === undefined ? '' : `Ply ${join.ply}, `}${join.what}, ${OVER_WORDS[join.over]}: ΔE ${join.difference.toFixed(1)}.`,
  );
  const mend =
    closed.length === 0 ? [] : [`To leave none, ${closed.map((how) => CLOSED_WORDS[how]).join(', or ')}.`];
  return { holds: false, meaning: 'Joins: one can be seen.', details: [where, ...more, ...mend].join(' ') };
}

function millimetres(value: number): string {
  return String(Number(value.toFixed(2)));
}

/** Whether what is copied by a plane group has it; undefined where nothing is. */
export function groupTest({ laid }: RepeatReport): (TestWords & { readonly holds: boolean }) | undefined {
  if (laid === null) return undefined;
  const { asked, found, images } = laid;
  const isPainted = images === null || images.differingBytes === 0;
  const meaning =
    found === null
      ? 'not looked for: there is nothing on it, or too much.'
      : found === asked
        ? `${groupText(found)}, as it was asked for.`
        : `${groupText(found)} is what is seen; ${asked} was asked for.`;
  const painted =
    images === null
      ? 'None of its motions keeps the pixels.'
      : `Painted at ${images.width} × ${images.height} px and compared with its image under ${plural(images.motions, 'mirror or turn', 'mirrors and turns')}: ${grouped(images.differingBytes)} of ${grouped(images.comparedBytes)} bytes differ by more than rounding.`;
  return {
    holds: isPainted && (found === null || found === asked),
    meaning: `Symmetry: ${meaning}`,
    details: painted,
  };
}

/** Whether anything shows between faces; undefined where there are none, or nothing was painted. */
export function hairlineTest({ painted }: RepeatReport): TestWords | undefined {
  if (painted === null || painted.leakingPixels === null) return undefined;
  const { leakingPixels, width, height } = painted;
  return {
    meaning: `Hairline test: ${leakingPixels === 0 ? 'nothing shows between faces.' : 'the ground shows between faces.'}`,
    details: `Painted over a loud ground: ${leakingPixels === 0 ? 'none' : grouped(leakingPixels)} of ${grouped(width * height)} pixels take any of it.`,
  };
}

/** "12 px a thread", "12.5 × 13.636 px a thread". */
export function perThreadText({ perStep }: Pick<RepeatReport['pixels'], 'perStep'>): string {
  const x = toDecimal(perStep.x, 3);
  const y = toDecimal(perStep.y, 3);
  return `${equals(perStep.x, perStep.y) ? x : `${x} × ${y}`} px a thread`;
}

/** "288 dpi: 12 px a thread". */
export function offerSentence(offer: FittingResolution): string {
  const what =
    offer.whole === 'threads' ? perThreadText(offer) : `the repeat is ${offer.width} × ${offer.height} px`;
  return `${toDecimal(offer.dpi, 3)} dpi: ${what}`;
}
