import type { StarSpec } from '../../core/design/tiling/star/star-schema.ts';
import { parseStarAngle } from '../../core/design/tiling/star/star-schema.ts';
import { toNumber } from '../../core/exact/rational.ts';
import type { Place } from '../../core/shape/places.ts';
import { valueIfAny } from '../../wording/attempt.ts';
import { ClothHandle } from '../cloth/cloth-handle.tsx';
import type { ClothPlaces } from '../cloth/use-cloth-view.ts';
import { putTiling } from './put-tiling.ts';
import type { LaidPlaces } from './tiling-places.ts';

/** Degrees that an angle snaps to when it is dragged, and its least and most. */
const STEP = 0.5;
const LEAST = 5;
const MOST = 85;

/** Parts of a side that the handle stands from the middle of it. */
const REACH = 0.45;

interface StarHandleProps {
  readonly star: StarSpec;
  readonly places: LaidPlaces;
  readonly view: ClothPlaces;
}

/** A handle on the first line of the face with the most sides, by which its angle is set. */
export function StarHandle({ star, places, view }: StarHandleProps) {
  const side = firstSide(places);
  const degrees = valueIfAny(() => toNumber(parseStarAngle(star.angle)));
  if (side === undefined || degrees === undefined) return null;
  const put = (angle: number, tag: string) => {
    const snapped = Math.min(MOST, Math.max(LEAST, Math.round(angle / STEP) * STEP));
    putTiling({ star: { ...star, angle: String(snapped) } }, tag);
  };
  return (
    <ClothHandle
      name={`Angle of the star lines: ${degrees}°`}
      tag="star-angle"
      at={placeAt(side, degrees)}
      view={view}
      onDrag={(place, tag) => put(degreesTo(side, place), tag)}
      onArrow={({ right, up }, far, tag) => put(degrees + STEP * (right + up) * (far ? 10 : 1), tag)}
    />
  );
}

interface Side {
  readonly middle: Place;
  readonly way: Place;
}

function firstSide({ faces }: LaidPlaces): Side | undefined {
  const most = Math.max(0, ...faces.map(({ corners }) => corners.length));
  const [from, to] = faces.find(({ corners }) => corners.length === most)?.corners ?? [];
  if (from === undefined || to === undefined) return undefined;
  return {
    middle: { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 },
    way: { x: to.x - from.x, y: to.y - from.y },
  };
}

function placeAt({ middle, way }: Side, degrees: number): Place {
  const angle = (degrees * Math.PI) / 180;
  const x = REACH * Math.cos(angle);
  const y = REACH * Math.sin(angle);
  return { x: middle.x + x * way.x - y * way.y, y: middle.y + x * way.y + y * way.x };
}

/** The angle from a side's way to a place, on its left. */
function degreesTo({ middle, way }: Side, { x, y }: Place): number {
  const dx = x - middle.x;
  const dy = y - middle.y;
  return (Math.atan2(way.x * dy - way.y * dx, way.x * dx + way.y * dy) * 180) / Math.PI;
}
