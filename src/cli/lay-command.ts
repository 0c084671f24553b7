import { compile } from '../core/design/compile-design.ts';
import type { Design } from '../core/design/design-schema.ts';
import { cutsOfDesign } from '../core/design/lay/closing-cuts.ts';
import { ALL_LAYS } from '../core/design/lay/lay-offers.ts';
import type { Arrangement, Lay } from '../core/design/lay/lay-schema.ts';
import { isNearEnough, mostTurnedRepeats, nearestTurn, turnOffers } from '../core/design/lay/turn-offers.ts';
import { readDesign, writeDesignText } from '../core/design/read-design.ts';
import { CoreError } from '../core/error.ts';
import { multiply, rational, toNumber } from '../core/exact/rational.ts';
import { readDegrees } from '../core/exact/read-degrees.ts';
import { parseSlope } from '../core/exact/slope.ts';
import { divideSurds, rationalOf } from '../core/exact/surd.ts';
import { repeatSize } from '../core/repeat/repeat-unit.ts';
import { valueIfAny } from '../wording/attempt.ts';
import { errorSentence } from '../wording/error-sentence.ts';
import { layText } from '../wording/lay-words.ts';
import { degreesText, missText, nearestTurnSentence } from '../wording/lines.ts';
import { plural, sizeText } from '../wording/measures.ts';
import { cutSentence } from '../wording/verdict.ts';
import { readDesignFile } from './read-design-file.ts';
import { EXIT, tell, writeText } from './run.ts';

export interface LayOptions {
  readonly straight?: boolean;
  readonly halfDrop?: string;
  readonly brick?: string;
  readonly mirror?: 'across' | 'down' | 'both';
  readonly flip?: 'rows' | 'columns';
  readonly group?: string;
  readonly way?: 'across' | 'up';
  readonly vectors?: string;
  readonly pivots?: 'shared' | 'doubled';
  readonly scale?: string;
  readonly width?: string;
  readonly count?: string;
  readonly lines?: boolean;
  readonly slope?: string;
  readonly turn?: string;
  readonly list?: boolean;
  readonly output?: string;
}

/** `vetro lay`: a design laid another way, or the lays and turns that there are for it. */
export function layCommand(path: string, options: LayOptions): number {
  const design = readDesignFile(path);
  const laid = laidBy(design, options);
  if (options.list === true) {
    process.stdout.write(`${[...laysOf(laid), ...turnsOf(laid, options)].join('\n')}\n`);
    return EXIT.fine;
  }
  compile(laid);
  writeText(options.output, writeDesignText(laid));
  return EXIT.fine;
}

/** A design with what the options say of its lay. @throws CoreError of the options */
function laidBy(design: Design, options: LayOptions): Design {
  const { pivots, scale, width, count, lines = true } = options;
  const arrangement = arrangementOf(options);
  const lay: Lay = {
    ...design.lay,
    ...(arrangement !== undefined && { arrangement }),
    ...(pivots !== undefined && { pivots }),
    ...(scale !== undefined && { scale: { to: 'factor', factor: scale, lines } }),
    ...(width !== undefined && { scale: { to: 'width', width, lines } }),
    ...(count !== undefined && { scale: { to: 'count', ...readCount(count), lines } }),
  };
  const level = readDesign({ ...design, lay: { ...lay, slope: null } });
  if (options.list === true) return level;
  const slope = slopeOf(level, options);
  return readDesign({
    ...level,
    lay: { ...level.lay, slope: slope === undefined ? design.lay.slope : slope },
  });
}

function arrangementOf(options: LayOptions): Arrangement | undefined {
  const { halfDrop, brick, mirror, flip, group, way = 'across', vectors } = options;
  if (options.straight === true) return { kind: 'straight' };
  if (halfDrop !== undefined) return { kind: 'half-drop', by: halfDrop };
  if (brick !== undefined) return { kind: 'brick', by: brick };
  if (mirror === 'both') return { kind: 'group', group: 'p2mm', way };
  if (mirror !== undefined) return { kind: 'group', group: 'pm', way: mirror === 'across' ? 'across' : 'up' };
  if (flip !== undefined) return { kind: 'group', group: 'pg', way: flip === 'rows' ? 'across' : 'up' };
  if (group === 'p1') return { kind: 'straight' };
  if (group !== undefined) return { kind: 'group', group: group as never, way };
  return vectors === undefined ? undefined : readVectors(vectors);
}

/** Reads "3,1 0,4". @throws CoreError "lay/vectors" {text} */
function readVectors(text: string): Arrangement {
  const match = /^\s*([^\s,]+)\s*,\s*([^\s,]+)\s+([^\s,]+)\s*,\s*([^\s,]+)\s*$/.exec(text);
  if (match === null) throw new CoreError('lay/vectors', { text });
  const [, ax, ay, ux, uy] = match;
  return { kind: 'free', across: { x: ax!, y: ay! }, up: { x: ux!, y: uy! } };
}

/** Reads "5 in 1m". @throws CoreError "lay/count-in" {text} */
function readCount(text: string): { readonly count: string; readonly length: string } {
  const match = /^\s*(\S+)\s+in\s+(.+?)\s*$/.exec(text);
  if (match === null) throw new CoreError('lay/count-in', { text });
  return { count: match[1]!, length: match[2]! };
}

/**
 * The turn that is asked for: undefined where none is, null for level.
 * @throws CoreError "lay/no-turn" where it never repeats
 */
function slopeOf(level: Design, { slope, turn }: LayOptions): Lay['slope'] | undefined {
  if (slope === undefined && turn === undefined) return undefined;
  const unit = compile(level);
  const size = repeatSize(unit);
  if (size === null) throw new CoreError('lay/no-repeat', {});
  if (turn !== undefined) {
    const found = nearestTurn(unit, toNumber(readDegrees(turn)));
    tell(
      `Turned by ${degreesText(found.degrees)}, ${missText(found.error)}; it holds ${plural(found.repeats, 'repeat')}.`,
    );
    if (!isNearEnough(found)) tell(nearestTurnSentence(mostTurnedRepeats(unit)));
    return found.slope.up === 0 ? null : { ...found.slope, asked: turn };
  }
  const { rise, run: along } = parseSlope(slope!);
  if (rise === 0) return null;
  if (along === 0) return { up: rise, across: 0, asked: null };
  // So many millimetres up and across, in repeats.
  const inRepeats = rationalOf(divideSurds(size.width, size.height));
  if (inRepeats === undefined) throw new CoreError('lay/no-turn', {});
  const part = multiply(rational(rise, along), inRepeats);
  return { up: Number(part.n), across: Number(part.d), asked: null };
}

/** A line for every lay that a design may be given. */
function laysOf(design: Design): readonly string[] {
  const { unit } = design.lay;
  return ALL_LAYS.map((arrangement) => {
    const laid = { ...design, lay: { ...design.lay, arrangement } };
    const group = arrangement.kind === 'group' ? ` (${arrangement.group})` : '';
    const name = `${layText(arrangement)}${group}`;
    try {
      const made = compile(laid);
      const size = repeatSize(made);
      const cuts = cutsOfDesign(laid, made).map(cutSentence);
      return [`${name}: ${size === null ? 'no repeat' : sizeText(size, unit)}`, ...cuts].join('. ');
    } catch (error) {
      const problem = errorSentence(error);
      if (problem === undefined) throw error;
      return `${name}: ${problem}`;
    }
  });
}

/** A line for every turn near the angle that is asked for. */
function turnsOf(design: Design, { turn, slope }: LayOptions): readonly string[] {
  if (turn === undefined && slope === undefined) return [];
  const degrees =
    turn === undefined
      ? (Math.atan2(parseSlope(slope!).rise, parseSlope(slope!).run) * 180) / Math.PI
      : toNumber(readDegrees(turn));
  const unit = compile(design);
  const offers = valueIfAny(() => turnOffers(unit, degrees)) ?? [];
  const lines = offers.map(
    (offer) =>
      `Turned by ${degreesText(offer.degrees)} (${missText(offer.error)}): ${sizeText(offer.size, design.lay.unit)}, ${plural(offer.repeats, 'repeat')}`,
  );
  const isMet = offers.at(-1)?.error === 0;
  return offers.length === 0 || isMet ? lines : [...lines, nearestTurnSentence(mostTurnedRepeats(unit))];
}
