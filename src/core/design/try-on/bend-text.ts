import { CoreError } from '../../error.ts';
import { ONE } from '../../exact/rational.ts';
import { type MotifScale, SOME_SCALE } from '../motif/motif-numbers.ts';
import { readBend } from './read-bend.ts';
import type { BendKind, BendSpec } from './try-on-schema.ts';

/** The numbers of a bend, in the order in which they are written. */
export const BEND_NUMBERS = {
  arc: ['degrees'],
  waist: ['share', 'at', 'reach'],
  ripple: ['length', 'height'],
  folds: ['count', 'depth'],
  form: ['across', 'up'],
  perspective: ['corners'],
} as const satisfies Readonly<Record<BendKind, readonly string[]>>;

/** What is put in for numbers that are left out. */
const USUAL: Readonly<Partial<Record<BendKind, Readonly<Record<string, string>>>>> = {
  waist: { at: '50%', reach: '50%' },
  form: { up: '0' },
};

/**
 * Reads a bend: its kind and its numbers, such as "arc 30deg" or "folds 7 60mm"; "curve" is an arc too.
 * @throws CoreError "try-on/bend" {text}, or of its numbers
 */
export function parseBend(text: string): BendSpec {
  const [word = '', ...given] = text.trim().split(/\s+/);
  const kind = word.toLowerCase() === 'curve' ? 'arc' : (word.toLowerCase() as BendKind);
  const names: readonly string[] | undefined = Object.hasOwn(BEND_NUMBERS, kind)
    ? BEND_NUMBERS[kind]
    : undefined;
  if (names === undefined) throw new CoreError('try-on/bend', { text });
  if (kind === 'perspective') return parsePerspective(given, text);
  const usual = USUAL[kind] ?? {};
  const numbers = names.map((name, at) => [name, given[at] ?? usual[name]] as const);
  if (given.length > names.length || numbers.some(([, number]) => number === undefined)) {
    throw new CoreError('try-on/bend', { text });
  }
  return checked({ kind, ...Object.fromEntries(numbers) } as BendSpec);
}

function parsePerspective(given: readonly string[], text: string): BendSpec {
  const corners = given.map((each) => {
    const [x, y, ...more] = each.split(',');
    if (x === undefined || y === undefined || more.length > 0) throw new CoreError('try-on/bend', { text });
    return { x, y };
  });
  const [a, b, c, d] = corners;
  if (corners.length !== 4) throw new CoreError('try-on/bend', { text });
  return checked({ kind: 'perspective', corners: [a!, b!, c!, d!] });
}

const SCALE: MotifScale = { ...SOME_SCALE, step: ONE };

/** The same bend, once its numbers can be read. */
function checked(bend: BendSpec): BendSpec {
  readBend(bend, SCALE);
  return bend;
}
