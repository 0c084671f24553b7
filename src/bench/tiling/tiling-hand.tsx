import { useEffect, useMemo } from 'react';
import type { TilingDesign } from '../../core/design/design-schema.ts';
import type { Place } from '../../core/shape/places.ts';
import { valueIfAny } from '../../wording/attempt.ts';
import { ClothHandle } from '../cloth/cloth-handle.tsx';
import { panCloth } from '../cloth/pan-cloth.ts';
import { type ClothPlaces, useClothView } from '../cloth/use-cloth-view.ts';
import { CrossingDots } from '../straps/crossing-dots.tsx';
import { type FamilyHandle, familyHandles } from './family-handles.ts';
import { putTiling } from './put-tiling.ts';
import { StarHandle } from './star-handle.tsx';
import { type LaidPlaces, laidPlaces, placeAt, type TilingPlace } from './tiling-places.ts';
import { useTilingPlace } from './tiling-store.ts';

/** CSS pixels within which a corner or a side is meant and not the face. */
const REACH = 7;

/** What is pointed at on the cloth of a tiling, and the corners of a family that can be dragged. */
export function TilingHand({ design }: { design: TilingDesign }) {
  const places = useMemo(() => valueIfAny(() => laidPlaces(design)), [design]);
  const chosen = useTilingPlace(({ place }) => place);
  const view = useClothView();
  const { form, dual, star } = design.construction;
  // Another tiling has other faces: what was chosen is not among them.
  // biome-ignore lint/correctness/useExhaustiveDependencies: the tiling is what is waited for
  useEffect(() => useTilingPlace.setState({ place: undefined }), [form, dual]);
  if (places === undefined || view === undefined) return null;
  const handles = isPlain(design) ? familyHandles(design.construction.form) : [];
  return (
    <>
      <button
        type="button"
        tabIndex={-1}
        aria-label="Choose what is here"
        className="absolute inset-0 cursor-grab bg-transparent active:cursor-grabbing"
        onPointerDown={(event) => startPick(event, places, view)}
      />
      {chosen !== undefined && <Mark places={places} chosen={chosen} view={view} />}
      {star?.line?.strap && (
        <CrossingDots
          design={design}
          turned={star.turned}
          onChange={(turned) => putTiling({ star: { ...star, turned } })}
        />
      )}
      {star !== null && <StarHandle star={star} places={places} view={view} />}
      {handles.map((handle) => (
        <Handle key={handle.name} handle={handle} scale={places.side} view={view} />
      ))}
    </>
  );
}

/** Whether a form lies as its numbers put it. */
function isPlain({ construction }: TilingDesign): boolean {
  const { dual, turn, stretch, shear, diagonal } = construction;
  return !dual && turn === 0 && stretch === '1' && shear === '0' && diagonal === '0';
}

/** Chooses what is under the pointer, unless it is dragged: then the cloth is panned. */
function startPick(event: React.PointerEvent<HTMLElement>, places: LaidPlaces, view: ClothPlaces): void {
  const box = event.currentTarget.getBoundingClientRect();
  const point = { x: event.clientX - box.left, y: event.clientY - box.top };
  panCloth(event, () =>
    useTilingPlace.setState({ place: placeAt(places, view.toCloth(point), REACH / view.perMillimetre) }),
  );
}

/** What is chosen, outlined. */
function Mark({ places, chosen, view }: { places: LaidPlaces; chosen: TilingPlace; view: ClothPlaces }) {
  const face = places.faces[chosen.index];
  if (face === undefined) return null;
  const points = face.corners.map(({ x, y }) =>
    view.toView({ x: x + chosen.across * places.width, y: y + chosen.up * places.height }),
  );
  const from = points[chosen.at]!;
  const to = points[(chosen.at + 1) % points.length]!;
  const outline = points.map(({ x, y }) => `${x},${y}`).join(' ');
  return (
    <svg className="pointer-events-none absolute inset-0 h-full w-full" aria-hidden="true">
      {chosen.kind === 'face' && (
        <>
          <polygon points={outline} fill="none" stroke="#fffdf8" strokeWidth="5" />
          <polygon points={outline} fill="none" stroke="#2c5f7c" strokeWidth="2.5" />
        </>
      )}
      {chosen.kind === 'side' && (
        <>
          <line x1={from.x} y1={from.y} x2={to.x} y2={to.y} stroke="#fffdf8" strokeWidth="7" />
          <line x1={from.x} y1={from.y} x2={to.x} y2={to.y} stroke="#2c5f7c" strokeWidth="4" />
        </>
      )}
      {chosen.kind === 'corner' && (
        <circle cx={from.x} cy={from.y} r="8" fill="#fffdf8" stroke="#2c5f7c" strokeWidth="3" />
      )}
    </svg>
  );
}

/** A corner that is dragged along what the numbers allow; arrow keys move it by the same steps. */
function Handle({ handle, scale, view }: { handle: FamilyHandle; scale: number; view: ClothPlaces }) {
  const move = (place: Place, tag: string) => putTiling({ form: handle.moved(place) }, tag);
  const step = handle.step ?? 1 / 20;
  return (
    <ClothHandle
      name={handle.name}
      tag="corner"
      at={{ x: handle.at.x * scale, y: handle.at.y * scale }}
      view={view}
      onDrag={({ x, y }, tag) => move({ x: x / scale, y: y / scale }, tag)}
      onArrow={({ right, up }, _far, tag) =>
        move({ x: handle.at.x + right * step, y: handle.at.y + up * step }, tag)
      }
    />
  );
}
