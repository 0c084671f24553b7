import { nearRepeat } from '../../../core/design/motif/lay-box.ts';
import type { Place } from '../../../core/shape/places.ts';
import { followPointer } from '../../../kit/follow-pointer.ts';
import type { ClothPlaces } from '../../cloth/use-cloth-view.ts';
import { boundsOf, type LaidMotif, type LaidPiece } from './motif-places.ts';

/** An upright rectangle on the cloth, in millimetres. */
export interface Frame {
  readonly left: number;
  readonly right: number;
  readonly bottom: number;
  readonly top: number;
}

/** CSS pixels that a pointer may stray and still have clicked. */
const STRAY = 4;

interface FramePick {
  readonly view: ClothPlaces;
  /** Hears the rectangle as it is drawn, and nothing when it is over. */
  readonly drawn: (frame: Frame | undefined) => void;
  readonly picked: (frame: Frame) => void;
  readonly clicked: () => void;
}

/** Draws a rectangle from where the pointer is pressed to where it is let go. */
export function pickFramed(
  event: React.PointerEvent<HTMLElement>,
  { view, drawn, picked, clicked }: FramePick,
): void {
  const room = event.currentTarget.getBoundingClientRect();
  const at = ({ clientX, clientY }: { clientX: number; clientY: number }) => ({
    x: clientX - room.left,
    y: clientY - room.top,
  });
  const from = at(event);
  let frame: Frame | undefined;
  followPointer(
    event,
    (moved) => {
      const to = at(moved);
      if (frame === undefined && Math.hypot(to.x - from.x, to.y - from.y) <= STRAY) return;
      frame = frameBetween(view.toCloth(from), view.toCloth(to));
      drawn(frame);
    },
    () => {
      drawn(undefined);
      if (frame === undefined) clicked();
      else picked(frame);
    },
  );
}

function frameBetween(one: Place, other: Place): Frame {
  return {
    left: Math.min(one.x, other.x),
    right: Math.max(one.x, other.x),
    bottom: Math.min(one.y, other.y),
    top: Math.max(one.y, other.y),
  };
}

/** The pieces of which a whole copy lies inside a frame, whichever box it is in. */
export function piecesInside({ pieces, laid }: LaidMotif, frame: Frame): readonly LaidPiece[] {
  const { x: width, y: height } = nearRepeat(laid);
  return pieces.filter((piece) =>
    laid.places.some((box) => {
      const { left, right, bottom, top } = boundsOf(piece, box.motion);
      return (
        comesInto(left, right, frame.left, frame.right, width) &&
        comesInto(bottom, top, frame.bottom, frame.top, height)
      );
    }),
  );
}

/** Whether a stretch, moved by whole repeats, lies within another. */
function comesInto(from: number, to: number, least: number, most: number, repeat: number): boolean {
  return to + Math.ceil((least - from) / repeat) * repeat <= most;
}
