import { CoreError } from '../../error.ts';
import { modulo } from '../../exact/modulo.ts';
import type { Place } from '../places.ts';
import { blockLabel, blockLabels, cyclicLabels, type LabelGroup } from './label-group.ts';
import { familiesOf } from './strap-families.ts';
import type { RoutePlace, StrapNet } from './strap-net.ts';
import { addSteps, lessSteps, type Step } from './strap-torus.ts';
import { waysAt } from './strap-way.ts';

/** What decides which of two straps goes over the other. */
export type StrapOrder =
  /** Along every strap in turn. */
  | { readonly by: 'turns' }
  /** One of two families over the other; where there are none, a later style over an earlier one. */
  | { readonly by: 'family' }
  /** Two families as the warp and the weft of a twill; 1/1 is plain weave. */
  | {
      readonly by: 'twill';
      readonly over: number;
      readonly under: number;
      readonly climbs: 'right' | 'left';
    }
  /** So many straps of each family together, one block over and one under another. */
  | { readonly by: 'basket'; readonly straps: number };

/**
 * An order as numbers, one a crossing: along a strap from one crossing to the next the number changes by a known amount.
 */
export interface OrderRule {
  readonly labels: LabelGroup;
  readonly ties: readonly OrderTie[];
  /** Which passage of a crossing goes over. */
  readonly over: (crossing: number, label: number) => 0 | 1;
}

/** A crossing and the next along a strap, so many vectors of the lattice further than where they are noted. */
export interface OrderTie {
  readonly from: number;
  readonly to: number;
  readonly step: Step;
  readonly adds: number;
}

/** @throws CoreError "straps/families" {order} where they have to be two; "straps/rank" where neither is over the other */
export function orderRule(net: StrapNet, order: StrapOrder): OrderRule {
  switch (order.by) {
    case 'turns':
      return inTurns(net);
    case 'family':
      return byFamily(net);
    case 'twill':
      return asTwill(net, order);
    case 'basket':
      return asBasket(net, order.straps);
    default:
      return order satisfies never;
  }
}

/** 0 where the first passage goes over. A strap that went over goes under next, so that numbers differ where it keeps its place. */
function inTurns(net: StrapNet): OrderRule {
  const ties = tiesOf(net, (from, to) => (from.which + to.which + 1) % 2);
  return { labels: cyclicLabels(2), ties, over: (_, label) => (label === 0 ? 0 : 1) };
}

/** @throws CoreError "straps/rank" */
function byFamily(net: StrapNet): OrderRule {
  const { crossings, straps } = net;
  const families = familiesOf(net);
  const rank = (strap: number) => families?.[strap] ?? straps[strap]!.style;
  for (const { passages } of crossings) {
    if (rank(passages[0].strap) === rank(passages[1].strap)) throw new CoreError('straps/rank', {});
  }
  const over = (crossing: number, label: number) => {
    const [one, other] = crossings[crossing]!.passages;
    const isFirst = rank(one.strap) > rank(other.strap);
    return isFirst === (label === 0) ? 0 : 1;
  };
  return { labels: cyclicLabels(1), ties: [], over };
}

/** A crossing of warp strap i and weft strap j has the number i + j, or i − j where the twill climbs to the left: straps up count leftward. */
function asTwill(net: StrapNet, { over, under, climbs }: Extract<StrapOrder, { by: 'twill' }>): OrderRule {
  const labels = cyclicLabels(over + under);
  const sign = climbs === 'right' ? 1 : -1;
  const weave = weaveOf(net, ({ warp, weft }) => modulo(warp + sign * weft, over + under));
  return { labels, ties: weave.ties, over: (crossing, label) => weave.overAt(crossing, label < over) };
}

/** Blocks of straps by i and j: a block further either way, the other family lies on top. */
function asBasket(net: StrapNet, size: number): OrderRule {
  const labels = blockLabels(size);
  const weave = weaveOf(net, ({ warp, weft }) => blockLabel(size, warp, weft));
  return {
    labels,
    ties: weave.ties,
    over: (crossing, label) => weave.overAt(crossing, label % (2 * size) < size),
  };
}

/** By how many warp and weft straps one crossing lies further than another. */
interface WeaveStep {
  readonly warp: number;
  readonly weft: number;
}

/**
 * Two families as warp and weft. Straps of a family are counted from right to left of their way: one that is crossed
 * from its right to its left counts one more. Half of that is counted at its middle line.
 *
 * @throws CoreError "straps/families"
 */
function weaveOf(net: StrapNet, adds: (step: WeaveStep) => number) {
  const families = familiesOf(net);
  const goOn = net.straps.every(({ comes }) => comes !== null && (comes[0] !== 0 || comes[1] !== 0));
  if (families === undefined || !goOn) throw new CoreError('straps/families', {});
  const sides = net.crossings.map((_, at) => sideOfCrossing(net, at, families));
  const ties = tiesOf(net, (from, to, strap) => {
    const way = isBackward(net, strap) ? -1 : 1;
    const crossed = (way * (sides[from.crossing]! + sides[to.crossing]!)) / 2;
    // Along a warp strap weft straps are crossed, and the other way round, from their other side.
    return adds(families[strap] === 0 ? { warp: 0, weft: -crossed } : { warp: crossed, weft: 0 });
  });
  const warpAt = (crossing: number) => (families[net.crossings[crossing]!.passages[0].strap] === 0 ? 0 : 1);
  const overAt = (crossing: number, isWarp: boolean) => {
    const warp = warpAt(crossing);
    return isWarp === (warp === 0) ? 0 : 1;
  };
  return { ties, overAt };
}

/** 1 where the weft crosses the warp from its right to its left, both on the way that their families run; else −1. */
function sideOfCrossing(net: StrapNet, crossing: number, families: Uint8Array): number {
  const ways = net.crossings[crossing]!.passages.map(({ strap, along }) => {
    const { comes, leaves } = waysAt(net.ways[strap]!, along);
    const mean: Place = { x: comes!.x + leaves!.x, y: comes!.y + leaves!.y };
    const way = isBackward(net, strap) ? -1 : 1;
    return { strap, x: way * mean.x, y: way * mean.y };
  });
  const warp = ways.find(({ strap }) => families[strap] === 0)!;
  const weft = ways.find(({ strap }) => families[strap] === 1)!;
  return warp.x * weft.y - warp.y * weft.x > 0 ? 1 : -1;
}

/** Whether a strap is noted against the way that its family runs: to the right, or straight up. */
function isBackward({ straps }: StrapNet, strap: number): boolean {
  const [i, j] = straps[strap]!.comes!;
  return i < 0 || (i === 0 && j < 0);
}

type Adds = (from: RoutePlace, to: RoutePlace, strap: number) => number;

function tiesOf({ routes, straps, crossings }: StrapNet, adds: Adds): readonly OrderTie[] {
  return routes.flatMap((route, strap) => {
    const { comes } = straps[strap]!;
    const places = comes === null ? route.slice(0, -1) : route;
    return places.map((from, at): OrderTie => {
      const isLast = at + 1 === route.length;
      const to = route[isLast ? 0 : at + 1]!;
      const start = crossings[from.crossing]!.passages[from.which].step;
      const end = crossings[to.crossing]!.passages[to.which].step;
      const reached = isLast ? addSteps(end, comes!) : end;
      return {
        from: from.crossing,
        to: to.crossing,
        step: lessSteps(reached, start),
        adds: adds(from, to, strap),
      };
    });
  });
}
