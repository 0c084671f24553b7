import { type KeyboardEvent, type PointerEvent, useRef } from 'react';
import { parseWay } from '../../../core/design/motif/motif-numbers.ts';
import type { SpecifiedPart } from '../../../core/design/try-on/compile-try-on.ts';
import { tryOnScale } from '../../../core/design/try-on/compile-try-on.ts';
import { toNumber } from '../../../core/exact/rational.ts';
import type { Place } from '../../../core/shape/places.ts';
import { wayOf } from '../../../kit/arrow-keys.ts';
import { followPointer } from '../../../kit/follow-pointer.ts';
import { benchState, dispatch } from '../../state/bench-store.ts';
import { changeParts } from '../try-on-edits.ts';
import { choosePart, useTryOn } from '../try-on-store.ts';
import { flatWay, handText, partAt } from './hold-scene.ts';
import { fitScene, zoomScene } from './scene-actions.ts';
import { pannedBy, type ScenePlace, toScene } from './scene-camera.ts';

/** CSS pixels that a pointer may stray and still have clicked. */
const STRAY = 4;

interface Held {
  readonly parts: readonly SpecifiedPart[];
  /** The chosen one. */
  readonly part: SpecifiedPart | undefined;
  readonly place: ScenePlace | undefined;
}

/** A click chooses a part, a drag on the chosen one moves its cloth, any other pans; keys do the same. */
export function useScenePointer({ parts, part, place }: Held) {
  // Fingers that are down: where there are two, neither drags.
  const down = useRef(0);
  return {
    onPointerDown: (event: PointerEvent<HTMLElement>) => {
      if (place === undefined || (event.button !== 0 && event.button !== 1)) return;
      const box = event.currentTarget.getBoundingClientRect();
      const pointOf = ({ clientX, clientY }: { clientX: number; clientY: number }): Place => ({
        x: clientX - box.left,
        y: clientY - box.top,
      });
      const from = pointOf(event);
      const under = partAt(parts, toScene(place, from));
      const holds = event.button === 0 && under !== undefined && (under === part || parts.length === 1);
      const shift = holds ? shiftOf(under) : undefined;
      const tag = `cloth-${event.timeStamp}`;
      let moving = false;
      let isAlone = down.current === 0;
      down.current += 1;
      followPointer(
        event,
        (moved) => {
          const to = pointOf(moved);
          moving ||= Math.hypot(to.x - from.x, to.y - from.y) > STRAY;
          isAlone &&= down.current === 1;
          if (!moving || !isAlone) return;
          if (under !== undefined && shift !== undefined) {
            const { bent, part: drawn } = under.drawn;
            const way = flatWay(bent, drawn.at, toScene(place, from), toScene(place, to));
            if (way !== undefined) putShift(drawn.key, { x: shift.x + way.x, y: shift.y + way.y }, tag);
          } else {
            useTryOn.setState({ camera: pannedBy(place, { x: to.x - from.x, y: to.y - from.y }) });
          }
        },
        () => {
          down.current -= 1;
          if (!moving && event.button === 0 && under !== undefined) choosePart(under.drawn.part.key);
          dispatch({ kind: 'settle' });
        },
      );
    },
    onKeyDown: (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey) return;
      const way = wayOf(event.key);
      if (way !== undefined && part !== undefined) {
        const step = event.shiftKey ? 10 : event.altKey ? 0.1 : 1;
        const { x, y } = shiftOf(part);
        const shift = { x: x + way.right * step, y: y + way.up * step };
        putShift(part.drawn.part.key, shift, 'cloth-keys');
      } else if (event.key === '+' || event.key === '=') zoomScene(1.25);
      else if (event.key === '-' || event.key === '−') zoomScene(0.8);
      else if (event.key === 'Home') fitScene();
      else return;
      event.preventDefault();
    },
  };
}

/** How far a part's cloth is moved, in millimetres. */
function shiftOf({ spec: { shift } }: SpecifiedPart): Place {
  const scale = tryOnScale(benchState().history.present);
  return { x: toNumber(parseWay(shift.x, scale)), y: toNumber(parseWay(shift.y, scale)) };
}

function putShift(key: string, { x, y }: Place, tag: string): void {
  const edit = changeParts([key], () => ({ shift: { x: handText(x), y: handText(y) } }));
  dispatch({ kind: 'edit', edit, tag });
}
