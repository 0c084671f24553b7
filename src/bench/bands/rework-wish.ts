import { nameWithin } from '../../core/colour/free-name.ts';
import { freeKey, type Shade } from '../../core/colour/shade.ts';
import type { Direction } from '../../core/design/construction.ts';
import type { Design } from '../../core/design/design-schema.ts';
import { bandScale, pitchOf, pixelOf } from '../../core/design/lay/lay-schema.ts';
import { commonMultiple } from '../../core/exact/common-multiple.ts';
import { parseExact } from '../../core/exact/parse-exact.ts';
import { parsePortion } from '../../core/exact/parse-portion.ts';
import { divide, multiply, type Rational, rational, toDecimal, toText } from '../../core/exact/rational.ts';
import { typedThreads } from '../../core/thread/band.ts';
import type { Bands } from '../../core/thread/edit-bands.ts';
import { layLine } from '../../core/thread/overcheck.ts';
import {
  fitRepeats,
  repeatBands,
  reverseBands,
  rotateBands,
  scaleBands,
  scaleTo,
  spaceBands,
  tradeShades,
} from '../../core/thread/rework.ts';
import { graduatedRun } from '../../core/thread/runs.ts';
import { threadCount } from '../../core/thread/sequence.ts';
import { unitMillimetres } from '../../core/units/band-width.ts';
import { parseLength } from '../../core/units/length.ts';
import { whole } from '../../kit/fields/whole.ts';
import { measuresOf, sequenceOf } from '../state/band-edits.ts';

/** What can be done to a whole sequence. */
export const REWORKS = [
  'run',
  'line',
  'scale',
  'fit',
  'reverse',
  'rotate',
  'repeat',
  'space',
  'trade',
] as const;
export type Rework = (typeof REWORKS)[number];

/** What is wished, as it is typed; each kind looks at its own fields. */
export interface ReworkWish {
  readonly kind: Rework;
  readonly growth: 'arithmetic' | 'geometric' | 'fibonacci';
  /** First width; step, ratio or second width; number of bands. */
  readonly first: string;
  readonly by: string;
  readonly bands: string;
  /** A factor, a number of bands or repeats. */
  readonly times: string;
  readonly factor: string;
  /** Where a line begins, in typed threads, and how many it has. */
  readonly at: string;
  readonly count: string;
  readonly width: string;
  /** Whether the fitted repeat is the one thread larger that is short, not the one that fits. */
  readonly larger: boolean;
  readonly shade: string;
  readonly other: string;
  /** The colour of the shade that stands for `NEW_SHADE`. */
  readonly colour: string;
  /** Whether a spacer stands after the last band too. */
  readonly atWrap: boolean;
}

/** Stands for a shade that the card does not have yet. */
export const NEW_SHADE = '';

export interface ReworkResult {
  readonly bands: Bands;
  /** What one count of them is, in the unit of measured bands, where it is finer than it was. */
  readonly step: Rational | undefined;
  /** The card, with a shade more where a new one was wished. */
  readonly shades: readonly Shade[];
  /** What rounding did, or what stays over; empty when there is nothing to say. */
  readonly note: string;
}

/** The fields of each kind that are lengths: a bare number is in threads, or in the unit of measured bands. */
const LENGTHS: Readonly<Record<Rework, readonly ('first' | 'by' | 'at' | 'count')[]>> = {
  run: ['first', 'by'],
  line: ['at', 'count'],
  space: ['count'],
  scale: [],
  fit: [],
  reverse: [],
  rotate: [],
  repeat: [],
  trade: [],
};

/**
 * The bands that a wish makes of a sequence.
 * @throws CoreError of the readers and of the rework
 */
export function rework(design: Design, direction: Direction, wish: ReworkWish): ReworkResult {
  const { shades, named } = withNewShade(design.shades, wish);
  const { sequence, step, count } = steppedFor(design, direction, named);
  const { bands } = sequence;
  const made = (result: Bands, note = ''): ReworkResult => ({ bands: result, step, shades, note });
  switch (named.kind) {
    case 'run':
      return made(runOf(shades, named, count));
    case 'line':
      return made(
        layLine(sequence, wholeSteps(count('at'), 0), {
          shade: named.shade,
          count: wholeSteps(count('count'), 1),
        }),
      );
    case 'scale': {
      const factor = parsePortion(named.factor);
      const exact = multiply(factor, parseExact(String(typedThreads(bands))));
      const scaled = scaleBands(bands, factor);
      return made(scaled, `Exactly ${toDecimal(exact, 3)} typed threads; rounded, ${typedThreads(scaled)}.`);
    }
    case 'fit': {
      const fit = fitted(design, direction, named);
      return made(fit.bands, fit.note);
    }
    case 'reverse':
      return made(reverseBands(bands));
    case 'rotate':
      return made(rotateBands(bands, whole(named.times, 0)));
    case 'repeat':
      return made(repeatBands(bands, whole(named.times, 1)));
    case 'space':
      return made(
        spaceBands(
          bands,
          { shade: named.shade, count: wholeSteps(count('count'), 1) },
          named.atWrap && sequence.mirror === 'none',
        ),
      );
    case 'trade':
      return made(tradeShades(bands, named.shade, named.other));
    default:
      return named.kind satisfies never;
  }
}

/** The card and the wish with a letter for the shade that is new, where one is wished. */
function withNewShade(shades: readonly Shade[], wish: ReworkWish) {
  if (wish.shade !== NEW_SHADE && wish.other !== NEW_SHADE) return { shades, named: wish };
  const key = freeKey(new Set(shades.map((shade) => shade.key)));
  const name = nameWithin(shades, wish.colour);
  const letter = (given: string) => (given === NEW_SHADE ? key : given);
  return {
    shades: [...shades, { key, name, hex: wish.colour }],
    named: { ...wish, shade: letter(wish.shade), other: letter(wish.other) },
  };
}

/** A sequence in steps so fine that every length that is typed is whole; threads are never parted. */
function steppedFor(design: Design, direction: Direction, wish: ReworkWish) {
  const sequence = sequenceOf(design, direction);
  const measures = measuresOf(design);
  const lengths = LENGTHS[wish.kind].filter((field) => field !== 'by' || wish.growth !== 'geometric');
  const typed = new Map(lengths.map((field) => [field, stepsOf(wish[field], design, direction)] as const));
  const parts =
    measures === undefined
      ? 1
      : [...typed.values()].reduce((all, { d }) => commonMultiple(all, Number(d)), 1);
  const count = (field: 'first' | 'by' | 'at' | 'count') => multiply(typed.get(field)!, rational(parts));
  if (parts === 1) return { sequence, step: measures?.step, count };
  const bands = sequence.bands.map((band) => ({ shade: band.shade, count: band.count * parts }));
  return { sequence: { ...sequence, bands }, step: divide(measures!.step, rational(parts)), count };
}

/** A typed length in threads, or in steps of measured bands. @throws CoreError as `parseLength`, `parseExact` */
function stepsOf(text: string, design: Design, direction: Direction): Rational {
  const measures = measuresOf(design);
  const hasUnit = /[a-z"]\s*$/i.test(text);
  if (hasUnit && /threads?\s*$/i.test(text) && measures === undefined)
    return parseExact(text.replace(/threads?\s*$/i, ''));
  if (hasUnit) {
    return divide(
      parseLength(text, design.lay.unit, pixelOf(design.resolution)),
      stepLength(design, direction),
    );
  }
  const value = parseExact(text);
  return measures === undefined ? value : divide(value, measures.step);
}

/** @throws CoreError "number/not-whole" {text, least, most} */
function wholeSteps(value: Rational, least: number): number {
  return whole(toText(value), least);
}

function runOf(
  shades: readonly Shade[],
  { growth, by, bands, shade, other }: ReworkWish,
  count: (field: 'first' | 'by') => Rational,
): Bands {
  const keys = shades.some(({ key }) => key === other) ? [shade, other] : [shade];
  const width = count('first');
  const rules = {
    arithmetic: () => ({ kind: 'arithmetic', first: width, step: count('by') }) as const,
    geometric: () => ({ kind: 'geometric', first: width, ratio: parseExact(by) }) as const,
    fibonacci: () => ({ kind: 'fibonacci', first: width, second: count('by') }) as const,
  };
  return graduatedRun(rules[growth](), whole(bands, 1), keys);
}

/** Scales the sequence so that a number of its repeats fit a width of cloth. */
function fitted(
  design: Design,
  direction: Direction,
  { width, times, larger }: ReworkWish,
): Pick<ReworkResult, 'bands' | 'note'> {
  const step = stepLength(design, direction);
  const threads = divide(parseLength(width, design.lay.unit, pixelOf(design.resolution)), step);
  const fits = fitRepeats(threads, whole(times, 1));
  const fit = fits[larger ? 1 : 0]!;
  const sequence = sequenceOf(design, direction);
  const bands = scaleTo(sequence, fit.threads);
  const reached = threadCount({ ...sequence, bands });
  return {
    bands,
    note: `${toDecimal(threads, 3)} threads lie in that width: ${times} repeats of ${reached} ${leftText(fit.left)}.`,
  };
}

/** Millimetres of one thread, or of one step of the rail. */
function stepLength(design: Design, direction: Direction): Rational {
  const measures = measuresOf(design);
  if (measures !== undefined) {
    return multiply(unitMillimetres(measures.unit, bandScale(design)), measures.step);
  }
  const pitch = pitchOf(design.lay);
  return direction === 'warp' ? pitch.x : pitch.y;
}

function leftText(left: Rational): string {
  if (left.n === 0n) return 'fill it';
  return left.n > 0n
    ? `leave ${toDecimal(left, 3)} over`
    : `are ${toDecimal({ ...left, n: -left.n }, 3)} too many`;
}
