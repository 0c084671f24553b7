import { CoreError } from '../../error.ts';
import { parseExact } from '../../exact/parse-exact.ts';
import { parsePortion } from '../../exact/parse-portion.ts';
import { compare, type Rational, rational, toNumber } from '../../exact/rational.ts';
import { sceneOf } from '../../scene/scenes.ts';
import { parseWay, SOME_SCALE } from '../motif/motif-numbers.ts';

/** Heights of a person that are drawn, in millimetres. */
const PERSON = { least: 300, most: 2500 } as const;

/** Distances that a scene is looked at from, in millimetres. */
const SEEN_FROM = { least: 100, most: 100_000 } as const;

/** A minute of arc, as a part of the distance: what the eye still parts (common practice; 0.9 mm at 3 m). */
const MINUTE = Math.tan(Math.PI / 180 / 60);

/** Reads a part of something, below 0 too: "30%", "-1/4". @throws CoreError as `parsePortion` */
export function parsePart(text: string): Rational {
  return parsePortion(text);
}

/** Reads a part from none to all. @throws CoreError as `parsePortion`, "try-on/part" {text} */
export function parseShading(text: string): Rational {
  const share = parsePortion(text);
  if (share.n < 0n || compare(share, rational(1)) > 0) throw new CoreError('try-on/part', { text });
  return share;
}

/** Reads a person's height. @returns millimetres @throws CoreError as `parseWay`, "try-on/person" {text, least, most} */
export function parsePersonHeight(text: string): number {
  const height = toNumber(parseWay(text, SOME_SCALE));
  if (!(height >= PERSON.least && height <= PERSON.most)) {
    throw new CoreError('try-on/person', { text, ...PERSON });
  }
  return height;
}

/** Reads from how far away something is seen. @returns millimetres @throws CoreError as `parseWay`, "try-on/from" {text, least, most} */
export function parseSeenFrom(text: string): number {
  const far = toNumber(parseWay(text, SOME_SCALE));
  if (!(far >= SEEN_FROM.least && far <= SEEN_FROM.most)) {
    throw new CoreError('try-on/from', { text, ...SEEN_FROM });
  }
  return far;
}

/** The finest that the eye parts from a distance; both in millimetres. */
export function finestSeen(far: number): number {
  return far * MINUTE;
}

/**
 * Reads one of a scene's numbers: millimetres, or a whole count.
 * @throws CoreError as `parseWay` and `parseExact`, "scene/number" {label, text, least, most}, "scene/no-number" {scene, number}
 */
export function readSceneNumber(scene: string, key: string, text: string): number {
  const found = sceneOf(scene).numbers.find((each) => each.key === key);
  if (found === undefined) throw new CoreError('scene/no-number', { scene, number: key.slice(0, 60) });
  const { label, least, most } = found;
  const value = toNumber(found.in === 'mm' ? parseWay(text, SOME_SCALE) : parseExact(text));
  const isWhole = found.in === 'mm' || Number.isInteger(value);
  if (!(value >= least && value <= most) || !isWhole) {
    throw new CoreError('scene/number', { label, text, least, most });
  }
  return value;
}

/** Most that a drawing is made smaller or larger. */
const MOST_SMALLER = 1000;

/** Reads a drawing's scale: "1:10", "1/10" or "10", so many millimetres of the thing to one. @throws CoreError as `parseExact`, "try-on/smaller" {text, most} */
export function parseSmaller(text: string): number {
  const match = /^\s*(.+?)\s*[:/]\s*(.+?)\s*$/.exec(text);
  const smaller =
    match === null
      ? toNumber(parseExact(text))
      : toNumber(parseExact(match[2]!)) / toNumber(parseExact(match[1]!));
  if (!(smaller >= 1 / MOST_SMALLER && smaller <= MOST_SMALLER)) {
    throw new CoreError('try-on/smaller', { text, most: MOST_SMALLER });
  }
  return smaller;
}
