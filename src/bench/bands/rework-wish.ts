import type { Direction } from '../../core/design/construction.ts';
import type { Design } from '../../core/design/design-schema.ts';
import { bandScale, pitchOf } from '../../core/design/lay.ts';
import { parseExact } from '../../core/exact/parse-exact.ts';
import { divide, multiply, type Rational, toDecimal } from '../../core/exact/rational.ts';
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
}

export interface ReworkResult {
  readonly bands: Bands;
  /** What rounding did, or what stays over; empty when there is nothing to say. */
  readonly note: string;
}

/**
 * The bands that a wish makes of a sequence.
 * @throws CoreError of the readers and of the rework
 */
export function rework(design: Design, direction: Direction, wish: ReworkWish): ReworkResult {
  const sequence = sequenceOf(design, direction);
  const { bands } = sequence;
  const plain = (made: Bands): ReworkResult => ({ bands: made, note: '' });
  switch (wish.kind) {
    case 'run':
      return plain(runOf(design, wish));
    case 'line':
      return plain(layLine(sequence, whole(wish.at, 0), { shade: wish.shade, count: whole(wish.count, 1) }));
    case 'scale': {
      const factor = parseExact(wish.factor);
      const exact = multiply(factor, parseExact(String(typedThreads(bands))));
      const made = scaleBands(bands, factor);
      return {
        bands: made,
        note: `Exactly ${toDecimal(exact, 3)} typed threads; rounded, ${typedThreads(made)}.`,
      };
    }
    case 'fit':
      return fitted(design, direction, wish);
    case 'reverse':
      return plain(reverseBands(bands));
    case 'rotate':
      return plain(rotateBands(bands, whole(wish.times, 0)));
    case 'repeat':
      return plain(repeatBands(bands, whole(wish.times, 1)));
    case 'space':
      return plain(spaceBands(bands, { shade: wish.shade, count: whole(wish.count, 1) }));
    case 'trade':
      return plain(tradeShades(bands, wish.shade, wish.other));
    default:
      return wish.kind satisfies never;
  }
}

function runOf({ shades }: Design, { growth, first, by, bands, shade, other }: ReworkWish): Bands {
  const keys = shades.some(({ key }) => key === other) ? [shade, other] : [shade];
  const width = parseExact(first);
  const next = parseExact(by);
  const rules = {
    arithmetic: { kind: 'arithmetic', first: width, step: next },
    geometric: { kind: 'geometric', first: width, ratio: next },
    fibonacci: { kind: 'fibonacci', first: width, second: next },
  } as const;
  return graduatedRun(rules[growth], whole(bands, 1), keys);
}

/** Scales the sequence so that a number of its repeats fit a width of cloth. */
function fitted(design: Design, direction: Direction, { width, times, larger }: ReworkWish): ReworkResult {
  const step = stepLength(design, direction);
  const threads = divide(parseLength(width, design.lay.unit), step);
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
