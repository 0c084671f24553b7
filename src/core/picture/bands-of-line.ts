import { converter, differenceCiede2000, type Lab65 } from 'culori';
import { kmeans } from 'ml-kmeans';
import { hexOf } from '../colour/hex.ts';
import { BYTE_OF_LINEAR, LINEAR_ONE } from '../colour/linear.ts';
import type { Piece } from './blocks-on-line.ts';

/** What is made of the blocks under a line. */
export interface LineWish {
  /** Colours that differ by less become one, CIEDE2000, wherever they lie; 0 merges none. */
  readonly merge: number;
  /** Most different shades; ≥ 1. */
  readonly shades: number;
}

/** One band, its colour and how long the line lies in it, in pixels. */
export interface LineBand {
  readonly hex: string;
  readonly length: number;
}

/** The bands of a line, and what became of its colours. */
export interface LineOutcome {
  readonly bands: readonly LineBand[];
  /** Different colours of the blocks, before any became one. */
  readonly colours: number;
  /** How far the furthest of them came from its own, CIEDE2000. */
  readonly furthest: number;
}

const difference = differenceCiede2000();
const labOf = converter('lab65');

/** Any seed does; the same one makes the same line come out the same every time. */
const SEED = 1;

/**
 * The bands that the blocks under a line make. Neighbours that are nearly alike are joined first, then colours
 * that are alike wherever they lie, then colours are clustered in Lab when there are more than are wished; a cluster's
 * colour is the mean light of what is in it.
 */
export function bandsOfLine(pieces: readonly Piece[], { merge, shades }: LineWish): LineOutcome {
  const merged = joinAlike(joinNear(pieces, merge), merge);
  const clustered = cluster(merged, shades);
  const bands: { hex: string; length: number }[] = [];
  for (const { light, length } of clustered) {
    const hex = hexOfLight(light);
    const last = bands.at(-1);
    if (last?.hex === hex) last.length += length;
    else bands.push({ hex, length });
  }
  const colours = new Set(pieces.map(({ light }) => hexOfLight(light))).size;
  return { bands, colours, furthest: furthestOf(pieces, clustered) };
}

/** Blocks side by side that became one piece. */
interface Joined extends Piece {
  readonly blocks: number;
}

/** The largest difference between a block and what it came into. @param joined  of the pieces, in their order */
function furthestOf(pieces: readonly Piece[], joined: readonly Joined[]): number {
  const into = joined.flatMap(({ light, blocks }) => {
    const colour = colourOf(light);
    return Array.from({ length: blocks }, () => colour);
  });
  return pieces.reduce((most, { light }, at) => Math.max(most, difference(colourOf(light), into[at]!)), 0);
}

/** Neighbours of a smaller difference than `limit` as one, in the mean of their light by their lengths. */
function joinNear(pieces: readonly Piece[], limit: number): readonly Joined[] {
  const joined: Joined[] = [];
  for (const piece of pieces) {
    const last = joined.at(-1);
    if (last !== undefined && difference(colourOf(last.light), colourOf(piece.light)) < limit) {
      joined[joined.length - 1] = { ...meanOf([last, piece]), blocks: last.blocks + 1 };
    } else joined.push({ ...piece, blocks: 1 });
  }
  return joined;
}

/** Pieces of one colour, and the mean of their light. */
interface Group {
  readonly members: readonly number[];
  readonly mean: Piece;
}

/** The same pieces, those that differ by less than `limit` in one colour, wherever they lie. */
function joinAlike(pieces: readonly Joined[], limit: number): readonly Joined[] {
  let groups: readonly Group[] = pieces.map((mean, at) => ({ members: [at], mean }));
  // Means move when groups join, so that some may come nearer than the limit to each other.
  for (;;) {
    const joined = groupAlike(groups, limit);
    if (joined.length === groups.length) break;
    groups = joined;
  }
  const lights = new Map(
    groups.flatMap(({ members, mean }) => members.map((at) => [at, mean.light] as const)),
  );
  return pieces.map((piece, at) => ({ ...piece, light: lights.get(at)! }));
}

/** Joins each group to the nearest longer one within the limit. */
function groupAlike(groups: readonly Group[], limit: number): readonly Group[] {
  const joined: { group: Group; lightness: number }[] = [];
  for (const group of [...groups].sort((a, b) => b.mean.length - a.mean.length)) {
    const lightness = labOf(colourOf(group.mean.light))!.l;
    let nearest: { group: Group; lightness: number } | undefined;
    let least = limit;
    for (const other of joined) {
      // A difference of lightness counts at least half in CIEDE2000 (S_L ≤ 1.75, Sharma, Wu, Dalal 2005, eq. 15).
      if (Math.abs(other.lightness - lightness) > 2 * limit) continue;
      const apart = difference(colourOf(other.group.mean.light), colourOf(group.mean.light));
      if (apart < least) {
        nearest = other;
        least = apart;
      }
    }
    if (nearest === undefined) joined.push({ group, lightness });
    else {
      const mean = meanOf([nearest.group.mean, group.mean]);
      nearest.group = { members: [...nearest.group.members, ...group.members], mean };
    }
  }
  return joined.map(({ group }) => group);
}

/** The same pieces in at most so many colours. */
function cluster(pieces: readonly Joined[], most: number): readonly Joined[] {
  if (new Set(pieces.map(({ light }) => hexOfLight(light))).size <= most) return pieces;
  const points = pieces.map(({ light }): number[] => {
    const { l, a, b } = labOf(colourOf(light)) as Lab65;
    return [l, a, b];
  });
  const { clusters } = kmeans(points, most, { seed: SEED });
  const means = Array.from({ length: most }, (_, index) => {
    const members = pieces.filter((_piece, at) => clusters[at] === index);
    return members.length === 0 ? undefined : meanOf(members);
  });
  return pieces.map((piece, at) => ({ ...piece, light: means[clusters[at]!]!.light }));
}

function meanOf(pieces: readonly Piece[]): Piece {
  const length = pieces.reduce((sum, piece) => sum + piece.length, 0);
  const mean = (channel: 0 | 1 | 2) =>
    pieces.reduce((sum, piece) => sum + piece.light[channel] * piece.length, 0) / length;
  return { light: [mean(0), mean(1), mean(2)], length };
}

function colourOf([red, green, blue]: Piece['light']) {
  return { mode: 'lrgb' as const, r: red / LINEAR_ONE, g: green / LINEAR_ONE, b: blue / LINEAR_ONE };
}

/** The nearest sRGB colour of some linear light. */
export function hexOfLight([red, green, blue]: Piece['light']): string {
  const byte = (light: number) => BYTE_OF_LINEAR[Math.round(light)]!;
  return hexOf([byte(red), byte(green), byte(blue)]);
}
