import type { Direction } from '../../core/design/construction.ts';
import type { LaidBand } from '../../core/thread/sequence.ts';
import { followPointer } from '../../kit/follow-pointer.ts';
import { editBands, sequenceOf, setSequence } from '../state/band-edits.ts';
import { benchState, dispatch } from '../state/bench-store.ts';
import { dragEdge, dropBand, dropPlace } from './band-drag.ts';
import { bandAt, edgeAt, type RailAxis, threadsAt } from './rail-geometry.ts';

/** CSS pixels on each side of an edge within which it is grasped, and that a press may wander and still be a click. */
export const REACH = 5;
const WANDER = 4;

/** Where along a rail the pointer is, in CSS pixels. */
export function placeOf(
  event: { clientX: number; clientY: number },
  host: HTMLElement,
  direction: Direction,
): number {
  const box = host.getBoundingClientRect();
  return direction === 'warp' ? event.clientX - box.left : event.clientY - box.top;
}

interface DragSetting {
  readonly axis: RailAxis;
  readonly laid: readonly LaidBand[];
  readonly host: HTMLElement;
  readonly setDrop: (drop: number | undefined) => void;
}

/** A press on a rail: on an edge it draws the edge, on a band it selects and, when it wanders, moves the band. */
export function startDrag(event: React.PointerEvent, { axis, laid, host, setDrop }: DragSetting): void {
  if (event.button !== 0) return;
  const { direction } = axis;
  const from = placeOf(event, host, direction);
  const threads = threadsAt(axis, from);
  const edge = edgeAt(laid, threads, REACH / axis.step);
  const band = bandAt(laid, threads);
  const sequence = sequenceOf(benchState().history.present, direction);
  const tag = `drag-${direction}-${event.timeStamp}`;
  let wandered = false;
  if (band !== undefined) dispatch({ kind: 'select', selection: { direction, band: band.source } });

  const move = (moved: PointerEvent) => {
    const place = placeOf(moved, host, direction);
    wandered ||= Math.abs(place - from) > WANDER;
    if (!wandered) return;
    if (edge !== undefined) {
      const drawn = Math.round(threadsAt(axis, place) - threads);
      const bands = dragEdge(sequence.bands, edge, drawn, moved.altKey);
      dispatch({ kind: 'edit', edit: setSequence(direction, { ...sequence, bands }), tag });
    } else if (band !== undefined) {
      setDrop(dropPlace(laid, threadsAt(axis, place)));
    }
  };
  const end = (released: PointerEvent) => {
    setDrop(undefined);
    if (wandered && edge === undefined && band !== undefined && released.type === 'pointerup') {
      const place = threadsAt(axis, placeOf(released, host, direction));
      const select = { direction, band: dropPlace(laid, place) };
      dispatch({
        kind: 'edit',
        edit: editBands(direction, (all) => dropBand(all, band.source, laid, place)),
        select,
      });
    }
    dispatch({ kind: 'settle' });
  };
  followPointer(event, move, end, host);
}
