import { useMemo, useState } from 'react';
import type { MotifDesign } from '../../core/design/design-schema.ts';
import { parseWay } from '../../core/design/motif/motif-numbers.ts';
import { add, divide, type Rational, rational, toText } from '../../core/exact/rational.ts';
import { wayOf } from '../../kit/arrow-keys.ts';
import { followPointer } from '../../kit/follow-pointer.ts';
import { valueIfAny } from '../../wording/attempt.ts';
import { pieceName } from '../../wording/motif-words.ts';
import { panCloth } from '../cloth/pan-cloth.ts';
import { type ClothPlaces, useClothView } from '../cloth/use-cloth-view.ts';
import { dispatch } from '../state/bench-store.ts';
import { DimensionLines } from './dimension-lines.tsx';
import { type LaidMotif, type LaidPiece, laidMotif, piecesAt } from './motif-places.ts';
import { choosePiece, useMotif } from './motif-store.ts';
import { putPiece } from './put-motif.ts';
import { snapTo } from './snap.ts';

/** The box and its grid on the cloth, and the chosen piece with its handle and its numbers. */
export function MotifHand({ design }: { design: MotifDesign }) {
  const motif = useMemo(() => valueIfAny(() => laidMotif(design)), [design]);
  const chosen = useMotif(({ piece }) => piece);
  const view = useClothView();
  if (motif === undefined || view === undefined) return null;
  const laid = motif.pieces.find(({ piece }) => piece.id === chosen);
  return (
    <>
      <button
        type="button"
        tabIndex={-1}
        aria-label="Choose what is here"
        className="absolute inset-0 cursor-grab bg-transparent active:cursor-grabbing"
        onPointerDown={(event) => startPick(event, motif, view)}
      />
      <BoxGrid motif={motif} view={view} />
      {laid !== undefined && (
        <>
          <PieceOutline laid={laid} view={view} />
          <DimensionLines motif={motif} laid={laid} view={view} />
          {!laid.piece.locked && <MoveHandle motif={motif} laid={laid} view={view} />}
        </>
      )}
    </>
  );
}

/** Chooses what is under the pointer, the next below where it is chosen already; a drag pans the cloth. */
function startPick(event: React.PointerEvent<HTMLElement>, motif: LaidMotif, view: ClothPlaces): void {
  const box = event.currentTarget.getBoundingClientRect();
  const point = { x: event.clientX - box.left, y: event.clientY - box.top };
  panCloth(event, () => {
    const under = piecesAt(motif, view.toCloth(point)).map(({ piece }) => piece.id);
    const now = under.indexOf(useMotif.getState().piece ?? 0);
    choosePiece(under[now + 1] ?? under[0]);
  });
}

/** Most lines of the grid that are drawn, and CSS pixels below which they would only be grey. */
const MOST_LINES = 200;
const LEAST_STEP = 6;

function BoxGrid({ motif, view }: { motif: LaidMotif; view: ClothPlaces }) {
  const { width, height } = motif.box;
  const from = view.toView({ x: 0, y: height });
  const to = view.toView({ x: width, y: 0 });
  const step = motif.step * view.perMillimetre;
  const linesIn = (length: number) =>
    step < LEAST_STEP ? 0 : Math.min(MOST_LINES, Math.floor(length / motif.step));
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

interface MoveHandleProps {
  readonly motif: LaidMotif;
  readonly laid: LaidPiece;
  readonly view: ClothPlaces;
}

/** The place of the chosen piece: dragged, or moved by the arrow keys. */
function MoveHandle({ motif, laid, view }: MoveHandleProps) {
  const [snapped, setSnapped] = useState('');
  const at = view.toView(laid.at);
  return (
    <>
      <button
        type="button"
        aria-label={`Move ${pieceName(laid.piece)} on the cloth`}
        title="Drag it, or use the arrows: a step, ten with Shift, a tenth with Alt"
        className="-translate-x-1/2 -translate-y-1/2 absolute h-6 w-6 cursor-move touch-none rounded-full border-2 border-paper bg-woad shadow-[0_1px_6px_rgb(32_41_43/0.45)]"
        style={{ left: at.x, top: at.y }}
        onPointerDown={(event) => startMove(event, { motif, laid, view }, setSnapped)}
        onKeyDown={(event) => {
          const way = wayOf(event.key);
          if (way === undefined) return;
          event.preventDefault();
          event.stopPropagation();
          const steps = event.shiftKey ? rational(10) : event.altKey ? rational(1, 10) : rational(1);
          const moved = (text: string, sign: number) =>
            toText(add(inSteps(text, motif), rational(BigInt(sign) * steps.n, steps.d)));
          const { id, x, y } = laid.piece;
          if (way.right !== 0) putPiece(id, { x: moved(x, way.right) }, 'arrows');
          if (way.up !== 0) putPiece(id, { y: moved(y, way.up) }, 'arrows');
        }}
      />
      {snapped !== '' && (
        <span
          className="pointer-events-none absolute rounded bg-ink px-1.5 py-0.5 text-[12px] text-paper"
          style={{ left: at.x + 16, top: at.y + 12 }}
        >
          {snapped}
        </span>
      )}
    </>
  );
}

/** A way as it is typed, in steps. */
function inSteps(text: string, { scale }: LaidMotif): Rational {
  return divide(parseWay(text, scale), scale.step);
}

function startMove(
  event: React.PointerEvent<HTMLElement>,
  { motif, laid, view }: MoveHandleProps,
  onSnap: (on: string) => void,
): void {
  if (event.button !== 0) return;
  event.stopPropagation();
  const from = { x: event.clientX, y: event.clientY };
  const tag = `drag-${event.timeStamp}`;
  followPointer(
    event,
    (moved) => {
      const how = { perMillimetre: view.perMillimetre, free: moved.altKey };
      const x = laid.at.x + (moved.clientX - from.x) / view.perMillimetre;
      const y = laid.at.y - (moved.clientY - from.y) / view.perMillimetre;
      const across = snapTo(x, 'x', motif, laid, how);
      const up = snapTo(y, 'y', motif, laid, how);
      onSnap([...new Set([across.on, up.on].filter((on) => on !== undefined))].join(', '));
      putPiece(laid.piece.id, { x: across.text, y: up.text }, tag);
    },
    () => {
      onSnap('');
      dispatch({ kind: 'settle' });
    },
  );
}
