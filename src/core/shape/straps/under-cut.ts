import { polyline } from '../contour.ts';
import type { Figure } from '../figure.ts';
import type { Place } from '../places.ts';
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
  /** From the way of the under strap counterclockwise to that of the over one. */
  readonly sine: number;
  readonly cosine: number;
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
  const passage = passages[which];
  const other = passages[which === 0 ? 1 : 0];
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
    sine: under.x * above.y - under.y * above.x,
    cosine: under.x * above.x + under.y * above.y,
  };
}

/** The direction of a strap at a place; at a corner, half way between both. */
function meanWay(way: StrapWay, along: number): Place {
  const { comes, leaves } = waysAt(way, along);
  const x = (comes?.x ?? 0) + (leaves?.x ?? 0);
  const y = (comes?.y ?? 0) + (leaves?.y ?? 0);
  const length = Math.hypot(x, y);
  return { x: x / length, y: y / length };
}

/** Straps that cross at a smaller angle than this sine are cut as if they crossed at it. */
const FLATTEST = 0.05;

/** Parts of its half width by which a cut reaches past the strap's edges, so that nothing is left of them. */
const PAST = 1 / 16;

/** Times further that bent straps are followed, as they may draw away from each other more slowly than straight ones. */
const BENT = 1.8;

/** Half widths of the strap that goes under and of the cut: half of the over strap and the gap. */
interface CutWidths {
  readonly under: number;
  readonly over: number;
}

/**
 * What is taken from a strap where another goes over it: the other with a gap at each side, as far as it lies over this
 * one. Between straight pieces that is a parallelogram.
 */
export function cutOf(pass: UnderPass, { under, over }: CutWidths, net: StrapNet): Figure {
  const { torus } = net;
  const sine = Math.max(FLATTEST, Math.abs(pass.sine));
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
    return {
      kind: 'outline',
      contours: [polyline([corner(-1, -1), corner(1, -1), corner(1, 1), corner(-1, 1)], true)],
    };
  }
  const line = (places: readonly Place[], width: number): Figure => ({
    kind: 'line',
    contour: polyline(places, false),
    width,
    ends: 'sharp',
    capped: false,
    dashes: null,
  });
  const reach = alongOver * BENT;
  const above = stretchOf(pass.over, pass.overAlong - reach, pass.overAlong + reach, torus).map((place) =>
    stepped(torus, place, pass.overStep),
  );
  const beneath = stretchOf(pass.way, pass.along - along * BENT, pass.along + along * BENT, torus);
  return { kind: 'overlap', parts: [line(above, 2 * over), line(beneath, 2 * wide)] };
}

/** Whether a strap is straight so far to both sides of a place. */
export function isStraight(way: StrapWay, along: number, reach: number): boolean {
  const round = firstRound(way, along);
  const link = linkAt(way, round.along);
  return round.along - reach >= link.along && round.along + reach <= link.along + link.length;
}
