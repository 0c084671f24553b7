import { polyline } from '../contour.ts';
import type { Figure } from '../figure.ts';
import type { Place } from '../places.ts';
import type { PassageRoom } from './passage-room.ts';
import type { StrapNet } from './strap-net.ts';
import { addSteps, lessSteps, type Step, stepped } from './strap-torus.ts';
import { firstRound, linkAt, placeAlong, type StrapWay, stretchOf, waysAt } from './strap-way.ts';

/** Where a strap goes under another, as both lie there. */
export interface UnderPass {
  /** The strap that goes under, and how far along it: below 0 and beyond its length it comes round. */
  readonly way: StrapWay;
  readonly along: number;
  readonly crossing: number;
  readonly over: StrapWay;
  readonly overAlong: number;
  /** From where the over strap is noted to where it lies. */
  readonly overStep: Step;
  /** From the way of the under strap counterclockwise to that of the over one; never nearer to 0 than `FLATTEST`. */
  readonly sine: number;
  readonly cosine: number;
  /** Along the strap that goes under, and along the one above. */
  readonly room: PassageRoom;
  readonly overRoom: PassageRoom;
}

/** @param step  from where the passing strap is noted to where it lies @param round  of the strap that goes under */
export function underPass(
  net: StrapNet,
  {
    crossing,
    which,
    round,
    step,
  }: { readonly crossing: number; readonly which: 0 | 1; readonly round: number; readonly step: Step },
): UnderPass {
  const { passages } = net.crossings[crossing]!;
  const opposite = which === 0 ? 1 : 0;
  const passage = passages[which];
  const other = passages[opposite];
  const way = net.ways[passage.strap]!;
  const over = net.ways[other.strap]!;
  const under = meanWay(way, passage.along);
  const above = meanWay(over, other.along);
  return {
    way,
    along: passage.along + round * way.length,
    crossing,
    over,
    overAlong: other.along,
    overStep: lessSteps(addSteps(passage.step, step), other.step),
    sine: noFlatter(under.x * above.y - under.y * above.x),
    cosine: under.x * above.x + under.y * above.y,
    room: net.rooms[crossing]![which],
    overRoom: net.rooms[crossing]![opposite],
  };
}

/** Straps that cross at a smaller angle than of this sine are cut and shaded as if they crossed at it: else without end. */
const FLATTEST = 0.05;

function noFlatter(sine: number): number {
  return (sine < 0 ? -1 : 1) * Math.max(FLATTEST, Math.abs(sine));
}

/** The direction of a strap at a place; at a corner, half way between both. */
function meanWay(way: StrapWay, along: number): Place {
  const { comes, leaves } = waysAt(way, along);
  const x = (comes?.x ?? 0) + (leaves?.x ?? 0);
  const y = (comes?.y ?? 0) + (leaves?.y ?? 0);
  const length = Math.hypot(x, y);
  return { x: x / length, y: y / length };
}

/** Parts of its half width by which a cut reaches past the strap's edges, so that nothing is left of them. */
const PAST = 1 / 16;

/** Times further that bent straps are followed, as they may draw away from each other more slowly than straight ones. */
const BENT = 1.8;

/**
 * A length along a strap from a crossing, at most twice as far as to the next one: straps that cross at a small angle
 * would lie over each other without end.
 */
export function withinRoom(reach: number, room: number): number {
  return Math.min(reach, 2 * room);
}

/** Half widths of the strap that goes under and of the cut: half of the over strap and the gap. */
interface CutWidths {
  readonly under: number;
  readonly over: number;
}

/** What is taken from a strap where it goes under another. */
export interface StrapCut {
  readonly pass: UnderPass;
  readonly figure: Figure;
  /** Millimetres along the strap between which it is cut. */
  readonly from: number;
  readonly to: number;
}

/**
 * The strap above with a gap at each side, as far as it lies over the one beneath. Between straight pieces that is a
 * parallelogram.
 */
export function cutOf(pass: UnderPass, { under, over }: CutWidths, net: StrapNet): StrapCut {
  const { torus } = net;
  const sine = Math.abs(pass.sine);
  const wide = under * (1 + PAST);
  const along = (over + wide * Math.abs(pass.cosine)) / sine;
  const alongOver = (wide + over * Math.abs(pass.cosine)) / sine;
  if (isStraight(pass.way, pass.along, along) && isStraight(pass.over, pass.overAlong, alongOver)) {
    const middle = placeAlong(pass.way, pass.along, torus);
    const one = meanWay(pass.way, firstRound(pass.way, pass.along).along);
    const other = meanWay(pass.over, pass.overAlong);
    const corner = (i: number, j: number): Place => ({
      x: middle.x + (i * over * one.x + j * wide * other.x) / sine,
      y: middle.y + (i * over * one.y + j * wide * other.y) / sine,
    });
    const contours = [polyline([corner(-1, -1), corner(1, -1), corner(1, 1), corner(-1, 1)], true)];
    return { pass, figure: { kind: 'outline', contours }, ...reachFrom(pass.along, along) };
  }
  const line = (places: readonly Place[], width: number): Figure => ({
    kind: 'line',
    contour: polyline(places, false),
    width,
    ends: 'sharp',
    capped: false,
    dashes: null,
  });
  const above = reachFrom(pass.overAlong, alongOver * BENT, pass.overRoom);
  const beneath = reachFrom(pass.along, along * BENT, pass.room);
  const placesAbove = stretchOf(pass.over, above.from, above.to, torus).map((place) =>
    stepped(torus, place, pass.overStep),
  );
  const placesBeneath = stretchOf(pass.way, beneath.from, beneath.to, torus);
  return {
    pass,
    figure: { kind: 'overlap', parts: [line(placesAbove, 2 * over), line(placesBeneath, 2 * wide)] },
    ...beneath,
  };
}

/** So far to both sides of a length along a strap. */
function reachFrom(along: number, reach: number, room?: PassageRoom): { from: number; to: number } {
  if (room === undefined) return { from: along - reach, to: along + reach };
  return { from: along - withinRoom(reach, room.before), to: along + withinRoom(reach, room.after) };
}

/** Whether a strap is straight so far to both sides of a place. */
export function isStraight(way: StrapWay, along: number, reach: number): boolean {
  const round = firstRound(way, along);
  const link = linkAt(way, round.along);
  return round.along - reach >= link.along && round.along + reach <= link.along + link.length;
}
