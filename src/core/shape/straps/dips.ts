import { polyline } from '../contour.ts';
import type { FadeWay } from '../fade-way.ts';
import type { Figure } from '../figure.ts';
import type { Place } from '../places.ts';
import type { DipLines } from './strap-style.ts';
import type { StrapTorus } from './strap-torus.ts';
import { firstRound, placeAlong, type StrapWay, stretchOf } from './strap-way.ts';
import { isStraight, type UnderPass, withinRoom } from './under-cut.ts';

/** Both sides of where a strap goes under. */
const SIDES = [-1, 1] as const;

/**
 * How far along a strap the edge of the cut lies from its middle, on a line beside the middle line: the other strap's
 * edge is at d·cos ± half, over the sine of the angle between them.
 * @param beside  to the left
 */
function cutEdge({ sine, cosine, room }: UnderPass, beside: number, half: number, side: number): number {
  const edge = (beside * cosine + side * Math.sign(sine) * half) / sine;
  return edge < 0 ? -withinRoom(-edge, room.before) : withinRoom(edge, room.after);
}

/** Lines along a strap from the middle of what goes over it: what lies under that is cut away with the strap. */
export function dipLines(pass: UnderPass, dip: DipLines, half: number, torus: StrapTorus): readonly Figure[] {
  const { count, apart, length, taper } = dip;
  return SIDES.flatMap((side) =>
    Array.from({ length: count }, (_, at): Figure => {
      const beside = (at - (count - 1) / 2) * apart;
      const edge = cutEdge(pass, beside, half, side);
      const from = cutEdge(pass, beside, 0, side);
      const tip = edge + side * length;
      const steps = isStraight(pass.way, pass.along + tip / 2, Math.abs(tip)) ? 1 : CURVE_STEPS;
      // Positions along, each with the share of the width that is left there.
      const stations = [
        { along: from, share: 1 },
        { along: edge, share: 1 },
        ...Array.from({ length: steps }, (_, step) => {
          const part = (step + 1) / steps;
          return { along: edge + (tip - edge) * part, share: taper ? 1 - part : 1 };
        }),
      ];
      const sideAt = (left: number) =>
        stations.map(({ along, share }) =>
          besidePlace(pass.way, pass.along + along, beside + (left * share * dip.width) / 2, torus),
        );
      const outline = [...sideAt(1), ...sideAt(-1).reverse()];
      return { kind: 'outline', contours: [polyline(taper ? withoutTwice(outline) : outline, true)] };
    }),
  );
}

/** Steps in which a shading line follows a curve. */
const CURVE_STEPS = 8;

/** A tip is one corner. */
function withoutTwice(places: readonly Place[]): readonly Place[] {
  return places.filter(({ x, y }, at) => at === 0 || x !== places[at - 1]!.x || y !== places[at - 1]!.y);
}

/** A place beside a strap's middle line, to its left; beyond an end that does not go on, beside that end. */
function besidePlace(way: StrapWay, far: number, beside: number, torus: StrapTorus): Place {
  const along = way.strap.comes === null ? firstRound(way, far).along : far;
  const place = placeAlong(way, along, torus);
  const before = placeAlong(way, along - CHORD, torus);
  const after = placeAlong(way, along + CHORD, torus);
  const x = after.x - before.x;
  const y = after.y - before.y;
  const length = Math.hypot(x, y);
  return { x: place.x - (y / length) * beside, y: place.y + (x / length) * beside };
}

/** Millimetres to both sides of a place between which a strap's direction is taken. */
const CHORD = 0.01;

/** A stretch of a strap that fades from where it goes under. */
export interface DipFade {
  readonly figure: Figure;
  readonly way: FadeWay;
}

export function dipFades(
  pass: UnderPass,
  { width, length, half }: { readonly width: number; readonly length: number; readonly half: number },
  torus: StrapTorus,
): readonly DipFade[] {
  return SIDES.map((side): DipFade => {
    const edge = cutEdge(pass, 0, half, side);
    const tip = edge + side * length;
    const ends = side < 0 ? ([tip, 0] as const) : ([0, tip] as const);
    const places = stretchOf(pass.way, pass.along + ends[0], pass.along + ends[1], torus);
    const figure: Figure = {
      kind: 'line',
      contour: polyline(places, false),
      width,
      ends: 'sharp',
      capped: false,
      dashes: null,
    };
    const at = (along: number) => placeAlong(pass.way, pass.along + along, torus);
    return { figure, way: { kind: 'along', from: at(edge), to: at(tip), every: null } };
  });
}
