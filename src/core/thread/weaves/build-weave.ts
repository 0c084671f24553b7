import { CoreError } from '../../error.ts';
import { commonMultiple } from '../../exact/common-multiple.ts';
import { modulo } from '../../exact/modulo.ts';
import { gcd } from '../../exact/rational.ts';
import { type Interlacing, interlace, MAX_TWILL } from '../weave.ts';
import { crepe } from './crepe.ts';
import { drawdown } from './draft.ts';
import { parseMatrix } from './matrix.ts';
import { satinSteps } from './satin-steps.ts';
import { MAX_MATRIX, type TwillTurn, type WeaveSpec } from './weave-spec.ts';

/**
 * One repeat of any structure; the first pick lies below.
 * Sources: common practice of the trade; Z. Grosicki, Watson's Textile Design and Colour, 7th ed. 1975, for the names.
 *
 * @throws CoreError "weave/line" | "weave/size" {text, least, most} | "weave/satin" {ends, step, steps} |
 *         "weave/profile" {row} | "weave/block" {letter}, or of the parts
 */
export function buildWeave(spec: WeaveSpec): Interlacing {
  switch (spec.kind) {
    case 'twill':
      return interlace(spec);
    case 'line': {
      const size = checkLine(spec.line);
      const step = spec.hand === 'Z' ? spec.step : -spec.step;
      const picks = size / Number(gcd(BigInt(size), BigInt(checkSize(spec.step, 1, size))));
      return fill(size, picks, (end, pick) => onLine(spec.line, size, end - step * pick));
    }
    case 'steps':
      return stepped(spec.line, spec.steps);
    case 'rib': {
      const long = checkSize(spec.a, 1, MAX_TWILL) + checkSize(spec.b, 1, MAX_TWILL);
      return spec.face === 'warp'
        ? fill(2, long, (end, pick) => (end === 0) === pick < spec.a)
        : fill(long, 2, (end, pick) => (pick === 0) === end < spec.a);
    }
    case 'hopsack': {
      const ends = checkSize(spec.ends, 1, MAX_TWILL);
      const picks = checkSize(spec.picks, 1, MAX_TWILL);
      return fill(2 * ends, 2 * picks, (end, pick) => end < ends === pick < picks);
    }
    case 'turned':
      return turned(spec.line, checkSize(spec.run, 2, MAX_MATRIX / 2), spec.turn);
    case 'satin':
      return satin(spec.ends, spec.step, spec.face === 'warp' ? spec.ends - 1 : 1);
    case 'honeycomb':
      return honeycomb(checkSize(spec.size, 3, MAX_TWILL));
    case 'crepe':
      return crepe(spec);
    case 'shaded':
      return shaded(spec);
    case 'double':
      return double(spec.stitched);
    case 'matrix':
      return parseMatrix(spec.rows);
    case 'draft':
      return drawdown(spec);
    case 'blocks':
      return blocks(spec);
    default:
      return spec satisfies never;
  }
}

/** Fills a structure by a rule that says where the warp lies on top. */
export function fill(ends: number, picks: number, up: (end: number, pick: number) => boolean): Interlacing {
  if (ends > MAX_MATRIX || picks > MAX_MATRIX)
    throw new CoreError('weave/matrix', { ends, picks, most: MAX_MATRIX });
  const cells = new Uint8Array(ends * picks);
  for (let pick = 0; pick < picks; pick += 1) {
    for (let end = 0; end < ends; end += 1) cells[pick * ends + end] = up(end, pick) ? 1 : 0;
  }
  return { ends, picks, up: cells };
}

/** Threads of a line. */
function checkLine(line: readonly number[]): number {
  const fits = line.length >= 2 && line.length % 2 === 0 && line.length <= MAX_TWILL;
  if (!fits || line.some((floats) => !(Number.isSafeInteger(floats) && floats >= 1 && floats <= MAX_TWILL))) {
    throw new CoreError('weave/line', { line: line.join('/'), most: MAX_TWILL });
  }
  return line.reduce((sum, floats) => sum + floats, 0);
}

function checkSize(value: number, least: number, most: number): number {
  if (!(Number.isSafeInteger(value) && value >= least && value <= most)) {
    throw new CoreError('weave/size', { text: String(value), least, most });
  }
  return value;
}

/** Whether a place of a line, counted round it, is an over. */
function onLine(line: readonly number[], size: number, place: number): boolean {
  let left = modulo(place, size);
  for (let part = 0; ; part += 1) {
    if (left < line[part]!) return part % 2 === 0;
    left -= line[part]!;
  }
}

/** A line shifted by each step in turn, as often as it takes until it has come round. */
function stepped(line: readonly number[], steps: readonly number[]): Interlacing {
  const size = checkLine(line);
  if (steps.length === 0) throw new CoreError('weave/size', { text: '0', least: 1, most: MAX_MATRIX });
  for (const step of steps) checkSize(step, -size, size);
  const once = modulo(
    steps.reduce((sum, step) => sum + step, 0),
    size,
  );
  const rounds = once === 0 ? 1 : size / Number(gcd(BigInt(size), BigInt(once)));
  const starts: number[] = [];
  let start = 0;
  for (let pick = 0; pick < steps.length * rounds; pick += 1) {
    starts.push(start);
    start += steps[pick % steps.length]!;
  }
  return fill(size, starts.length, (end, pick) => onLine(line, size, end - starts[pick]!));
}

/**
 * A twill one way for `run` ends, then the other way. Pointed, the turning ends stand once; at a cut, the other way is
 * complemented, so that every over meets an under, or begins half a line on, which keeps its face: the same of a line
 * that is its own complement there.
 */
function turned(line: readonly number[], run: number, turn: TwillTurn): Interlacing {
  const size = checkLine(line);
  if (turn === 'point') {
    const ends = 2 * (run - 1);
    return fill(ends, size, (end, pick) => onLine(line, size, Math.min(end, ends - end) - pick));
  }
  return fill(2 * run, size, (end, pick) => {
    const back = 2 * run - 1 - end;
    if (end < run) return onLine(line, size, end - pick);
    if (turn === 'complemented') return !onLine(line, size, back - pick);
    return onLine(line, size, back - pick + Math.floor(size / 2));
  });
}

/** A satin whose picks each have `up` ends on top, beside its one binding point. */
function satin(ends: number, step: number, up: number): Interlacing {
  const steps = satinSteps(ends);
  if (!steps.includes(step)) throw new CoreError('weave/satin', { ends, step, steps: steps.map(String) });
  // Of a warp-faced satin it is the one point that is not on top that lies on the step.
  return fill(ends, ends, (end, pick) => modulo(end - step * pick - (up === ends - 1 ? 1 : 0), ends) < up);
}

/** On a pointed threading: an outline that binds the weft floats, and beyond a gap the warp floats. */
function honeycomb(size: number): Interlacing {
  const round = 2 * (size - 1);
  const fold = (at: number) => Math.min(at, round - at);
  return fill(round, round, (end, pick) => {
    const sum = fold(end) + fold(pick);
    return sum === size - 1 || sum > size;
  });
}

function shaded({ ends, step, tones }: { ends: number; step: number; tones: number }): Interlacing {
  checkSize(tones, 2, Math.max(2, ends - 1));
  const pieces = Array.from({ length: tones }, (_, tone) =>
    satin(ends, step, 1 + Math.round((tone * (ends - 2)) / (tones - 1))),
  );
  return fill(ends * tones, ends, (end, pick) => {
    const piece = pieces[Math.floor(end / ends)]!;
    return piece.up[pick * ends + (end % ends)] === 1;
  });
}

/** Each letter of the profile as its structure, over the size in which all of them come round. */
function blocks({ profile, weaves }: Extract<WeaveSpec, { kind: 'blocks' }>): Interlacing {
  const columns = profile[0]?.length ?? 0;
  const uneven = profile.findIndex((row) => row.length !== columns);
  if (columns === 0 || uneven >= 0) throw new CoreError('weave/profile', { row: Math.max(0, uneven) + 1 });
  const built = new Map(weaves.map(({ letter, weave }) => [letter, buildWeave(weave)]));
  const missing = [...profile.join('')].find((letter) => !built.has(letter));
  if (missing !== undefined) throw new CoreError('weave/block', { letter: missing });
  const all = [...built.values()];
  const wide = all.reduce((size, { ends }) => commonMultiple(size, ends), 1);
  const tall = all.reduce((size, { picks }) => commonMultiple(size, picks), 1);
  return fill(columns * wide, profile.length * tall, (end, pick) => {
    const row = profile[profile.length - 1 - Math.floor(pick / tall)]!;
    const { ends, picks, up } = built.get(row[Math.floor(end / wide)]!)!;
    return up[(pick % picks) * ends + (end % ends)] === 1;
  });
}

/** Ends and picks of the upper cloth at even places, of the lower at odd ones; stitched, one lower end comes up. */
function double(stitched: boolean): Interlacing {
  const size = stitched ? 8 : 4;
  return fill(size, size, (end, pick) => {
    const lowerEnd = end % 2 === 1;
    const lowerPick = pick % 2 === 1;
    if (stitched && end === 1 && pick === 2) return true;
    if (lowerEnd !== lowerPick) return lowerPick;
    return (Math.floor(end / 2) + Math.floor(pick / 2)) % 2 === 0;
  });
}
