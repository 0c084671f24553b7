import type { Design } from '../../../core/design/design-schema.ts';
import { type SpecifiedPart, tryOnScale } from '../../../core/design/try-on/compile-try-on.ts';
import type { Place } from '../../../core/shape/places.ts';
import { valueIfAny } from '../../../wording/attempt.ts';
import { ClothHandle } from '../../cloth/cloth-handle.tsx';
import type { ClothPlaces } from '../../cloth/use-cloth-view.ts';
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
  const specs = bendsOf(tryOnOf(design), drawn);
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
    const edit = changeBends(drawn, (bends) => bends.toSpliced(bend, 1, handle.moved(inBox)));
    dispatch({ kind: 'edit', edit, tag });
  };
  const view: ClothPlaces = {
    perMillimetre: place.perMillimetre,
    toView: (at) => toView(place, at),
    toCloth: (at) => toScene(place, at),
  };
  return handles.map((handle) => {
    const scene = onDrawing(handle);
    return (
      <ClothHandle
        key={handle.name}
        name={handle.name}
        tag={`bend-${handle.name}`}
        at={scene}
        view={view}
        onDrag={(to, tag) => put(handle, to, tag)}
        onArrow={(way, far, tag) => {
          const step = ((far ? 10 : 1) * Math.max(drawn.box.width, drawn.box.height)) / 200;
          put(handle, { x: scene.x + way.right * step, y: scene.y + way.up * step }, tag);
        }}
      />
    );
  });
}
