import type { Design } from '../../../core/design/design-schema.ts';
import { type SpecifiedPart, tryOnScale } from '../../../core/design/try-on/compile-try-on.ts';
import type { Place } from '../../../core/shape/places.ts';
import { wayOf } from '../../../kit/arrow-keys.ts';
import { followPointer } from '../../../kit/follow-pointer.ts';
import { valueIfAny } from '../../../wording/attempt.ts';
import { dispatch } from '../../state/bench-store.ts';
import { bendsOf, changeBends, tryOnOf } from '../try-on-edits.ts';
import { afterBend, type BendHandle, handlesOf } from './bend-handles.ts';
import { type ScenePlace, toScene, toView } from './scene-camera.ts';

interface SceneHandlesProps {
  readonly design: Design;
  readonly part: SpecifiedPart;
  /** Which of its bends. */
  readonly bend: number;
  readonly place: ScenePlace;
}

/** The handles of one bend of a part: dragged, or moved by the arrow keys. */
export function SceneHandles({ design, part, bend, place }: SceneHandlesProps) {
  const { part: drawn } = part.drawn;
  const specs = bendsOf(tryOnOf(design), drawn.key);
  const spec = specs[bend];
  if (spec === undefined) return null;
  const scale = tryOnScale(design);
  const made = valueIfAny(() => ({
    handles: handlesOf(spec, drawn, scale),
    after: afterBend(specs, bend, drawn, scale),
  }));
  if (made === undefined) return null;
  const { handles, after } = made;
  const onDrawing = ({ at }: BendHandle): Place => {
    const moved = after.there(at);
    return { x: moved.x + drawn.at.x, y: moved.y + drawn.at.y };
  };
  const put = (handle: BendHandle, to: Place, tag: string) => {
    const inBox = after.back({ x: to.x - drawn.at.x, y: to.y - drawn.at.y });
    if (!Number.isFinite(inBox.x + inBox.y)) return;
    const edit = changeBends(drawn.key, (bends) => bends.toSpliced(bend, 1, handle.moved(inBox)));
    dispatch({ kind: 'edit', edit, tag });
  };
  return handles.map((handle) => {
    const scene = onDrawing(handle);
    const { x, y } = toView(place, scene);
    return (
      <button
        key={handle.name}
        type="button"
        aria-label={handle.name}
        title={`${handle.name}: drag it, or use the arrows`}
        className="-translate-x-1/2 -translate-y-1/2 absolute h-6 w-6 cursor-move touch-none rounded-full border-2 border-paper bg-woad shadow-[0_1px_6px_rgb(32_41_43/0.45)]"
        style={{ left: x, top: y }}
        onPointerDown={(event) => {
          if (event.button !== 0) return;
          event.stopPropagation();
          const box = event.currentTarget.parentElement!.getBoundingClientRect();
          const tag = `bend-${event.timeStamp}`;
          followPointer(
            event,
            ({ clientX, clientY }) =>
              put(handle, toScene(place, { x: clientX - box.left, y: clientY - box.top }), tag),
            () => dispatch({ kind: 'settle' }),
          );
        }}
        onKeyDown={(event) => {
          const way = wayOf(event.key);
          if (way === undefined) return;
          event.preventDefault();
          event.stopPropagation();
          const step = ((event.shiftKey ? 10 : 1) * Math.max(drawn.box.width, drawn.box.height)) / 200;
          put(handle, { x: scene.x + way.right * step, y: scene.y + way.up * step }, `bend-${handle.name}`);
        }}
      />
    );
  });
}
