import type { Piece } from '../../../core/design/motif/motif-schema.ts';
import type { NumberShape } from '../../../core/design/motif/shapes.ts';
import { multiply, type Rational, rational, subtract, toText } from '../../../core/exact/rational.ts';
import type { Place } from '../../../core/shape/places.ts';
import { pieceName, shapeLabel } from '../../../wording/motif-words.ts';
import type { Dragged } from '../../cloth/hold.ts';
import { SnapHandle } from '../../cloth/snap-handle.tsx';
import type { ClothPlaces } from '../../cloth/use-cloth-view.ts';
import { withNumber } from '../motif-edits.ts';
import { mainOf, useMotif } from '../motif-store.ts';
import { piecesNow, putMotif, putPiece } from '../put-motif.ts';
import { addSteps, inSteps, numberOf } from './in-steps.ts';
import type { LaidMotif, LaidPiece } from './motif-places.ts';
import { movePieces } from './move-pieces.ts';
import { isPlain, type Size, sizesOf, textOf } from './shape-sizes.ts';
import { onGrid, type Snap, snapTo } from './snap.ts';
import { standOf } from './stand.ts';

interface PieceHandlesProps {
  readonly motif: LaidMotif;
  readonly laid: LaidPiece;
  readonly view: ClothPlaces;
}

/** What can be taken hold of on the cloth: the place of a piece, its size, the points of a line. */
export function PieceHandles({ motif, laid, view }: PieceHandlesProps) {
  const { piece } = laid;
  return (
    <>
      {sizesOf(piece, motif).map((size) => (
        <SizeHandle key={size.key} size={size} motif={motif} laid={laid} view={view} />
      ))}
      {piece.shape.kind === 'line' &&
        piece.shape.points.map((_, at) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: points have no identity but their place
          <PointHandle key={at} index={at} motif={motif} laid={laid} view={view} />
        ))}
      <MoveHandle motif={motif} laid={laid} view={view} />
    </>
  );
}

/** The place of the chosen piece; other chosen pieces go with it. */
function MoveHandle({ motif, laid, view }: PieceHandlesProps) {
  const { piece, at } = laid;
  return (
    <SnapHandle
      label={`Move ${pieceName(piece)} on the cloth`}
      title="Drag it, or use the arrows: a step, ten with Shift, a tenth with Alt"
      at={at}
      view={view}
      className="h-6 w-6 rounded-full"
      cursor="cursor-move"
      dragged={(by, how, tag) => dragPiece(motif, laid, { x: at.x + by.x, y: at.y + by.y }, how, tag)}
      moved={(by) => moveChosen(motif, by, 'arrows')}
    />
  );
}

/** Brings a piece to where it is dragged, and those that are chosen with it as far. */
export function dragPiece(
  motif: LaidMotif,
  laid: LaidPiece,
  to: Place,
  how: Parameters<Dragged>[1],
  tag: string,
): readonly (string | undefined)[] {
  const across = snapTo(to.x, 'x', motif, laid, how);
  const up = snapTo(to.y, 'y', motif, laid, how);
  const now = pieceNow(laid);
  const by = (snap: Snap, text: string) =>
    subtract(inSteps(snap.text, motif.scale), inSteps(text, motif.scale));
  if (useMotif.getState().chosen.length > 1) {
    moveChosen(motif, { x: by(across, now.x), y: by(up, now.y) }, tag);
  } else {
    putPiece(laid.piece.id, { x: across.text, y: up.text }, tag);
  }
  return [across.on, up.on];
}

/** A piece as it is now, while a drag that began with an earlier one goes on. */
function pieceNow({ piece }: LaidPiece): Piece {
  return piecesNow().find(({ id }) => id === piece.id) ?? piece;
}

function moveChosen(motif: LaidMotif, by: { readonly x: Rational; readonly y: Rational }, tag: string): void {
  const { chosen } = useMotif.getState();
  putMotif({ pieces: movePieces(piecesNow(), chosen, by, motif.scale) }, `${tag}-${mainOf({ chosen }) ?? 0}`);
}

interface SizeHandleProps extends PieceHandlesProps {
  readonly size: Size;
}

/** Where a shape ends to its right or at its top: its size follows, its middle stays. */
function SizeHandle({ size, motif, laid, view }: SizeHandleProps) {
  const { piece, at } = laid;
  const { key, axis, times, reach } = size;
  const shape = piece.shape as NumberShape;
  const stand = standOf(piece);
  const way = stand.onCloth(axis === 'x' ? { x: reach, y: 0 } : { x: 0, y: reach });
  const place = { x: at.x + way.x, y: at.y + way.y };
  const put = (text: string, tag: string) =>
    putPiece(piece.id, { shape: withNumber(piece.shape, key, text) }, `${tag}-${key}`);
  return (
    <SnapHandle
      label={`${shapeLabel(shape.kind, key)} of ${pieceName(piece)} on the cloth`}
      title={`${shapeLabel(shape.kind, key)}: drag it, or use the arrows`}
      at={place}
      view={view}
      className="h-4 w-4 rounded-sm"
      cursor={!isPlain(piece) ? 'cursor-move' : axis === 'x' ? 'cursor-ew-resize' : 'cursor-ns-resize'}
      dragged={(by, how, tag) => {
        if (!isPlain(piece)) {
          const half = inSteps(onGrid(reach + stand.inShape(by)[axis], motif.step, how), motif.scale);
          if (half.n > 0n) put(toText(multiply(half, rational(times))), tag);
          return [];
        }
        const end = snapTo(place[axis] + by[axis], axis, motif, laid, how);
        const half = subtract(inSteps(end.text, motif.scale), inSteps(piece[axis], motif.scale));
        if (half.n > 0n) put(toText(multiply(half, rational(times))), tag);
        return [end.on];
      }}
      moved={(by) => {
        const more = by[axis].n === 0n ? by[axis === 'x' ? 'y' : 'x'] : by[axis];
        const next = addSteps(textOf(piece.shape, key), more, motif.scale);
        if (!next.startsWith('-') && next !== '0') put(next, 'arrows');
      }}
    />
  );
}

interface PointHandleProps extends PieceHandlesProps {
  readonly index: number;
}

/** A point of a line. */
function PointHandle({ index, motif, laid, view }: PointHandleProps) {
  const { piece, at } = laid;
  if (piece.shape.kind !== 'line') return null;
  const { shape } = piece;
  const point = shape.points[index]!;
  const stand = standOf(piece);
  const way = stand.onCloth({
    x: numberOf(point.x, motif.scale) * motif.step,
    y: numberOf(point.y, motif.scale) * motif.step,
  });
  const here = { x: at.x + way.x, y: at.y + way.y };
  const put = (change: { readonly x?: string; readonly y?: string }, tag: string) =>
    putPiece(
      piece.id,
      { shape: { ...shape, points: shape.points.with(index, { ...point, ...change }) } },
      tag,
    );
  return (
    <SnapHandle
      label={`Point ${index + 1} of ${pieceName(piece)} on the cloth`}
      title={`Point ${index + 1}: drag it, or use the arrows`}
      at={here}
      view={view}
      className="h-3.5 w-3.5 rounded-full"
      cursor="cursor-move"
      dragged={(by, how, tag) => {
        if (!isPlain(piece)) {
          const { x, y } = stand.inShape({ x: way.x + by.x, y: way.y + by.y });
          put({ x: onGrid(x, motif.step, how), y: onGrid(y, motif.step, how) }, `${tag}-${index}`);
          return [];
        }
        const across = snapTo(here.x + by.x, 'x', motif, laid, how);
        const up = snapTo(here.y + by.y, 'y', motif, laid, how);
        const from = (snap: Snap, text: string) =>
          toText(subtract(inSteps(snap.text, motif.scale), inSteps(text, motif.scale)));
        put({ x: from(across, piece.x), y: from(up, piece.y) }, `${tag}-${index}`);
        return [across.on, up.on];
      }}
      moved={(by) =>
        put(
          { x: addSteps(point.x, by.x, motif.scale), y: addSteps(point.y, by.y, motif.scale) },
          `arrows-${index}`,
        )
      }
    />
  );
}
