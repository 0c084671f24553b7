import { useMemo, useState } from 'react';
import type { MotifDesign } from '../../../core/design/design-schema.ts';
import { arrange } from '../../../core/design/lay/arrange.ts';
import { parseSteps, parseWay } from '../../../core/design/motif/motif-numbers.ts';
import { divide } from '../../../core/exact/rational.ts';
import { copiedPart } from '../../../core/repeat/lay/copied-part.ts';
import { inverseMotion, moveWay } from '../../../core/shape/contour.ts';
import type { Place } from '../../../core/shape/places.ts';
import { valueIfAny } from '../../../wording/attempt.ts';
import { startDrag } from '../../cloth/hold.ts';
import { panCloth } from '../../cloth/pan-cloth.ts';
import { type ClothPlaces, useClothView } from '../../cloth/use-cloth-view.ts';
import { CrossingDots } from '../../straps/crossing-dots.tsx';
import { choosePiece, chooseToo, mainOf, togglePiece, useMotif } from '../motif-store.ts';
import { piecesNow, putMotif } from '../put-motif.ts';
import { DimensionLines } from './dimension-lines.tsx';
import { type LaidMotif, type LaidPiece, laidMotif, piecesAt } from './motif-places.ts';
import { type Frame, pickFramed, piecesInside } from './pick-framed.ts';
import { dragPiece, PieceHandles } from './piece-handles.tsx';

/** The box and its grid on the cloth, and the chosen piece with its handle and its numbers. */
export function MotifHand({ design }: { design: MotifDesign }) {
  const motif = useMemo(() => valueIfAny(() => laidMotif(design)), [design]);
  const chosen = useMotif((state) => state.chosen);
  const view = useClothView();
  const [frame, setFrame] = useState<Frame>();
  if (motif === undefined || view === undefined) return null;
  const { straps } = design.construction;
  const main = mainOf({ chosen });
  const laid = motif.pieces.find(({ piece }) => piece.id === main);
  const others = motif.pieces.filter(({ piece }) => piece.id !== main && chosen.includes(piece.id));
  return (
    <>
      <button
        type="button"
        tabIndex={-1}
        aria-label="Choose what is here"
        className="absolute inset-0 cursor-grab bg-transparent active:cursor-grabbing"
        onPointerDown={(event) => startPick(event, motif, view, setFrame)}
      />
      <BoxGrid motif={motif} view={view} copied={copiedIn(design, motif)} />
      {frame !== undefined && <FrameLine frame={frame} view={view} />}
      {others.map((each) => (
        <PieceOutline key={each.piece.id} laid={each} view={view} />
      ))}
      <CrossingDots
        design={design}
        turned={straps.turned}
        onChange={(turned) => putMotif({ straps: { ...straps, turned } })}
      />
      {laid !== undefined && (
        <>
          <PieceOutline laid={laid} view={view} />
          <DimensionLines motif={motif} laid={laid} view={view} />
          {!laid.piece.locked && <PieceHandles motif={motif} laid={laid} view={view} />}
        </>
      )}
    </>
  );
}

/**
 * Chooses what is under the pointer, the next below where it is chosen already; with Shift or Ctrl one more, or all that lie
 * in the rectangle that is drawn. A drag moves what is chosen, in whichever box it is taken hold of, and else pans the cloth.
 */
function startPick(
  event: React.PointerEvent<HTMLElement>,
  motif: LaidMotif,
  view: ClothPlaces,
  drawn: (frame: Frame | undefined) => void,
): void {
  const box = event.currentTarget.getBoundingClientRect();
  const point = { x: event.clientX - box.left, y: event.clientY - box.top };
  const under = piecesAt(motif, view.toCloth(point));
  const { chosen } = useMotif.getState();
  const several = event.shiftKey || event.ctrlKey || event.metaKey;
  const pick = () => {
    const ids = under.map(({ piece }) => piece.id);
    const next = ids[ids.indexOf(mainOf({ chosen }) ?? 0) + 1] ?? ids[0];
    if (several && next !== undefined) togglePiece(piecesNow(), next);
    else choosePiece(piecesNow(), next);
  };
  const held = under.find(({ piece }) => chosen.includes(piece.id) && !piece.locked);
  if (several && event.button === 0) {
    const picked = (frame: Frame) =>
      chooseToo(
        piecesNow(),
        piecesInside(motif, frame).map(({ piece }) => piece.id),
      );
    pickFramed(event, { view, drawn, picked, clicked: pick });
    return;
  }
  if (held === undefined || event.button !== 0) {
    panCloth(event, pick);
    return;
  }
  let isDragged = false;
  startDrag(
    event,
    view,
    (by, how, tag) => {
      isDragged ||= Math.hypot(by.x, by.y) * how.perMillimetre > STRAY;
      if (!isDragged) return;
      // In a box that is mirrored or turned, the piece goes the other way.
      const own = moveWay(by, inverseMotion(held.motion));
      dragPiece(motif, held, { x: held.at.x + own.x, y: held.at.y + own.y }, how, tag);
    },
    () => {
      if (!isDragged) pick();
    },
  );
}

/** CSS pixels that a pointer may stray and still have clicked. */
const STRAY = 4;

/** Most lines of the grid that are drawn, and CSS pixels below which they would only be grey. */
const MOST_LINES = 200;
const LEAST_STEP = 6;

/** What a plane group copies: pieces are drawn once in it. */
function copiedIn(
  { lay, construction }: MotifDesign,
  { box, scale }: LaidMotif,
): readonly Place[] | undefined {
  if (lay.arrangement.kind !== 'group') return undefined;
  const arranged = arrange(lay.arrangement, {
    way: (text, axis) =>
      divide(
        parseWay(text, scale),
        parseSteps(axis === 'x' ? construction.box.width : construction.box.height, scale),
      ),
  });
  return copiedPart(arranged, { x: box.width, y: box.height });
}

interface BoxGridProps {
  readonly motif: LaidMotif;
  readonly view: ClothPlaces;
  /** Corners of what the lay copies, where that is less than all of the plane. */
  readonly copied: readonly Place[] | undefined;
}

function BoxGrid({ motif, view, copied }: BoxGridProps) {
  const { width, height } = motif.box;
  const from = view.toView({ x: 0, y: height });
  const to = view.toView({ x: width, y: 0 });
  const step = motif.step * view.perMillimetre;
  const linesIn = (length: number) =>
    step < LEAST_STEP ? 0 : Math.min(MOST_LINES, Math.floor(length / motif.step));
  const outline = (places: readonly Place[]) =>
    `M${places
      .map((place) => view.toView(place))
      .map(({ x, y }) => `${x} ${y}`)
      .join('L')}Z`;
  const lines = [
    ...Array.from({ length: linesIn(width) }, (_, at) => `M${from.x + (at + 1) * step} ${from.y}V${to.y}`),
    ...Array.from({ length: linesIn(height) }, (_, at) => `M${from.x} ${to.y - (at + 1) * step}H${to.x}`),
  ];
  return (
    <svg className="pointer-events-none absolute inset-0 h-full w-full" aria-hidden="true">
      <path d={lines.join('')} stroke="#fffdf8" strokeOpacity="0.45" fill="none" />
      <rect
        x={from.x}
        y={from.y}
        width={to.x - from.x}
        height={to.y - from.y}
        fill="none"
        stroke="#2c5f7c"
        strokeWidth="1.5"
        strokeDasharray="2 4"
      />
      {copied !== undefined && (
        <>
          <path
            d={`M-9999 -9999H19999V19999H-9999Z${outline(copied)}`}
            fill="#f5f1e8"
            fillOpacity="0.5"
            fillRule="evenodd"
          />
          <path
            d={outline(copied)}
            stroke="#2c5f7c"
            strokeWidth="1.5"
            strokeDasharray="8 3 2 3"
            fill="none"
          />
        </>
      )}
    </svg>
  );
}

function FrameLine({ frame, view }: { frame: Frame; view: ClothPlaces }) {
  const from = view.toView({ x: frame.left, y: frame.top });
  const to = view.toView({ x: frame.right, y: frame.bottom });
  return (
    <svg className="pointer-events-none absolute inset-0 h-full w-full" aria-hidden="true">
      <rect
        x={from.x}
        y={from.y}
        width={to.x - from.x}
        height={to.y - from.y}
        fill="#2c5f7c"
        fillOpacity="0.12"
        stroke="#2c5f7c"
        strokeDasharray="5 3"
      />
    </svg>
  );
}

function PieceOutline({ laid, view }: { laid: LaidPiece; view: ClothPlaces }) {
  const path = laid.polygons
    .map((polygon) => {
      const points = polygon.map((place) => {
        const { x, y } = view.toView(place);
        return `${x.toFixed(1)} ${y.toFixed(1)}`;
      });
      return `M${points.join('L')}z`;
    })
    .join('');
  return (
    <svg className="pointer-events-none absolute inset-0 h-full w-full" aria-hidden="true">
      <path d={path} fill="none" stroke="#fffdf8" strokeWidth="4.5" />
      <path d={path} fill="none" stroke="#2c5f7c" strokeWidth="2" />
    </svg>
  );
}
