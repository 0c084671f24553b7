import { type Contour, polyline } from '../contour.ts';
import type { StrapNet } from './strap-net.ts';
import { lessSteps, NO_STEP } from './strap-torus.ts';
import { restingPlace, stretchOf } from './strap-way.ts';
import type { StrapCut, UnderPass } from './under-cut.ts';

/** A part of a strap's middle line. */
export interface Stretch {
  readonly contour: Contour;
  /** Whether a cut reaches into this part, and is its own. */
  readonly isCutBy: (cut: StrapCut) => boolean;
  /** Whether the strap goes under within this part: there is one such part for each place where it does. */
  readonly holds: (pass: UnderPass) => boolean;
}

/**
 * The middle line of a strap; one that comes round elsewhere is drawn from the middle of a piece without corners, a little further
 * at both ends, under what it goes on in. A strap that crosses itself is parted between its crossings, so that what goes
 * over is not cut with what goes under.
 */
export function stretchesOf(net: StrapNet, strap: number, width: number): readonly Stretch[] {
  const way = net.ways[strap]!;
  const { comes, points } = way.strap;
  const route = net.routes[strap]!;
  const reachesInto = (from: number, to: number) => (cut: StrapCut) =>
    cut.to > from - width && cut.from < to + width;
  const between = (from: number, to: number) => (pass: UnderPass) => pass.along >= from && pass.along < to;
  const drawnOut = (from: Rest, to: Rest) => {
    const beyond = ({ room }: Rest) => Math.min(width, room * NEARLY);
    return polyline(stretchOf(way, from.along - beyond(from), to.along + beyond(to), net.torus), false);
  };
  if (!route.some(({ crossing }) => isThroughItself(net, crossing))) {
    const places = points.map(({ place }) => place);
    if (comes === null) return [{ contour: polyline(places, false), isCutBy: () => true, holds: () => true }];
    if (comes[0] === 0 && comes[1] === 0) {
      const isFirstRound = between(0, way.length);
      return [
        {
          contour: polyline(places.slice(0, -1), true),
          isCutBy: ({ pass }) => isFirstRound(pass),
          holds: isFirstRound,
        },
      ];
    }
    const rest = restingPlace(way, 0, way.length);
    const end = { ...rest, along: rest.along + way.length };
    return [
      {
        contour: drawnOut(rest, end),
        isCutBy: reachesInto(rest.along, end.along),
        holds: between(rest.along, end.along),
      },
    ];
  }
  const alongs = route.map(({ crossing, which }) => net.crossings[crossing]!.passages[which].along);
  const rests = alongs.map((along, at): Rest => {
    const next = alongs[at + 1] ?? alongs[0]! + way.length;
    return comes === null && at + 1 === alongs.length
      ? { along: way.length, room: 0 }
      : restingPlace(way, along, next);
  });
  return route.map(({ crossing }, at): Stretch => {
    const here = alongs[at]!;
    const before = rests[at - 1] ?? { ...rests.at(-1)!, along: rests.at(-1)!.along - way.length };
    const isNear = reachesInto(before.along, rests[at]!.along);
    // The same crossing is come to twice: only where it is this passage is it cut.
    const isCutBy = (cut: StrapCut) =>
      isNear(cut) && (cut.pass.crossing !== crossing || Math.abs(cut.pass.along - here) < NEAR);
    return { contour: drawnOut(before, rests[at]!), isCutBy, holds: between(before.along, rests[at]!.along) };
  });
}

/** Whether a strap crosses itself, and not a copy of it elsewhere. */
function isThroughItself({ crossings, straps }: StrapNet, crossing: number): boolean {
  const [one, other] = crossings[crossing]!.passages;
  if (one.strap !== other.strap) return false;
  const [i, j] = lessSteps(one.step, other.step);
  const [across, up] = straps[one.strap]!.comes ?? NO_STEP;
  // As many rounds along it as lead from one passage to the other.
  if (across === 0 && up === 0) return i === 0 && j === 0;
  const rounds = across === 0 ? j / up : i / across;
  return Number.isInteger(rounds) && i === rounds * across && j === rounds * up;
}

/** The middle of a piece without a sharp corner, and how much of it lies to each side. */
type Rest = ReturnType<typeof restingPlace>;

/** Parts of such a piece that are drawn at most, so that its end is not reached. */
const NEARLY = 0.9;

/** Millimetres within which two lengths along a strap are one. */
const NEAR = 1e-6;
