import { useState } from 'react';
import { isNumberShape, type NumberShape } from '../../core/design/motif/shapes.ts';
import type { Place } from '../../core/shape/places.ts';
import { attempt, valueIfAny } from '../../wording/attempt.ts';
import { READ_NUMBERS, shapeLabel } from '../../wording/motif-words.ts';
import type { ClothPlaces } from '../cloth/use-cloth-view.ts';
import { withNumber } from './motif-edits.ts';
import type { LaidMotif, LaidPiece } from './motif-places.ts';
import { putPiece } from './put-motif.ts';

/** A number of the chosen piece as it stands on the cloth, between two places of the view. */
interface Dimension {
  readonly label: string;
  readonly text: string;
  readonly from: Place;
  readonly to: Place;
  /** Where its extension lines come from. */
  readonly ends: readonly [Place, Place];
  readonly kind: 'size' | 'way';
  readonly put: (text: string) => void;
}

interface DimensionLinesProps {
  readonly motif: LaidMotif;
  readonly laid: LaidPiece;
  readonly view: ClothPlaces;
}

/** The numbers of the chosen piece as on a technical drawing; each is typed where it stands. */
export function DimensionLines({ motif, laid, view }: DimensionLinesProps) {
  const dimensions = [...sizesOf(laid, view), ...waysOf(motif, laid, view)];
  return (
    <>
      <svg className="pointer-events-none absolute inset-0 h-full w-full" aria-hidden="true">
        {dimensions.map(({ label, from, to, ends }) => (
          <g key={label} stroke="#2c5f7c" strokeWidth="1.4">
            <path
              d={`M${ends[0].x} ${ends[0].y}L${from.x} ${from.y}M${ends[1].x} ${ends[1].y}L${to.x} ${to.y}`}
              strokeDasharray="1.5 3.5"
            />
            <path d={`M${from.x} ${from.y}L${to.x} ${to.y}`} />
            <path d={`${tick(from)}${tick(to)}`} strokeWidth="2.2" />
          </g>
        ))}
      </svg>
      {dimensions.map((dimension) => (
        <DimensionNumber
          key={dimension.label}
          dimension={dimension}
          motif={motif}
          locked={laid.piece.locked}
        />
      ))}
    </>
  );
}

/** The stroke across a dimension line's end. */
function tick({ x, y }: Place): string {
  return `M${x - 5} ${y + 5}L${x + 5} ${y - 5}`;
}

/** CSS pixels that a dimension line stands off from what it measures. */
const OFF = 26;

/** How far the piece's place lies from the box's lower left. */
function waysOf(motif: LaidMotif, { piece, at, right }: LaidPiece, view: ClothPlaces): readonly Dimension[] {
  const corner = view.toView({ x: 0, y: 0 });
  const middle = view.toView(at);
  const below = Math.max(corner.y, middle.y) + OFF;
  const beside = view.toView({ x: Math.max(motif.box.width, right), y: 0 }).x + OFF;
  return [
    {
      label: 'Place, across',
      text: piece.x,
      from: { x: corner.x, y: below },
      to: { x: middle.x, y: below },
      ends: [corner, middle],
      kind: 'way',
      put: (x) => putPiece(piece.id, { x }, 'x'),
    },
    {
      label: 'Place, up',
      text: piece.y,
      from: { x: beside, y: corner.y },
      to: { x: beside, y: middle.y },
      ends: [corner, middle],
      kind: 'way',
      put: (y) => putPiece(piece.id, { y }, 'y'),
    },
  ];
}

/** Which number of a shape is its width, and which its height. */
const ACROSS: Readonly<Partial<Record<NumberShape['kind'], string>>> = {
  rectangle: 'width',
  disc: 'across',
  ellipse: 'width',
  ring: 'across',
  capsule: 'length',
};
const UP: Readonly<Partial<Record<NumberShape['kind'], string>>> = {
  rectangle: 'height',
  ellipse: 'height',
  capsule: 'width',
};

/** The piece's own width and height; none where it is turned or made further, and so not as wide as its numbers say. */
function sizesOf(laid: LaidPiece, view: ClothPlaces): readonly Dimension[] {
  const { id, shape, turn, made } = laid.piece;
  if (!isNumberShape(shape) || turn !== '0' || made.length > 0) return [];
  const upperLeft = view.toView({ x: laid.left, y: laid.top });
  const upperRight = view.toView({ x: laid.right, y: laid.top });
  const lowerLeft = view.toView({ x: laid.left, y: laid.bottom });
  const above = upperLeft.y - OFF;
  const before = upperLeft.x - OFF;
  const size = (
    key: string | undefined,
    line: Pick<Dimension, 'from' | 'to' | 'ends'>,
  ): readonly Dimension[] =>
    key === undefined
      ? []
      : [
          {
            ...line,
            label: shapeLabel(shape.kind, key),
            text: String((shape as unknown as Readonly<Record<string, string>>)[key]),
            kind: 'size',
            put: (text) => putPiece(id, { shape: withNumber(shape, key, text) }, `shape-${key}`),
          },
        ];
  return [
    ...size(ACROSS[shape.kind], {
      from: { x: upperLeft.x, y: above },
      to: { x: upperRight.x, y: above },
      ends: [upperLeft, upperRight],
    }),
    ...size(UP[shape.kind], {
      from: { x: before, y: upperLeft.y },
      to: { x: before, y: lowerLeft.y },
      ends: [upperLeft, lowerLeft],
    }),
  ];
}

interface DimensionNumberProps {
  readonly dimension: Dimension;
  readonly motif: LaidMotif;
  readonly locked: boolean;
}

/** The number on a dimension line: typed there, Tab goes on to the next. */
function DimensionNumber({ dimension, motif, locked }: DimensionNumberProps) {
  const { label, text, from, to, kind, put } = dimension;
  const [draft, setDraft] = useState<string>();
  const shown = draft ?? text;
  const read = attempt(() => READ_NUMBERS[kind](shown, motif.scale));
  return (
    <input
      aria-label={`${label}, on the cloth`}
      title={`${label}: ${'problem' in read ? read.problem : read.value}`}
      aria-invalid={'problem' in read}
      disabled={locked}
      className="-translate-x-1/2 -translate-y-1/2 numbers absolute min-h-6 rounded-md border border-woad bg-paper px-1 text-center font-semibold text-[13px] text-woad aria-invalid:border-madder aria-invalid:text-madder"
      style={{
        left: (from.x + to.x) / 2,
        top: (from.y + to.y) / 2,
        width: `${Math.max(4, shown.length + 3)}ch`,
      }}
      value={shown}
      autoComplete="off"
      onFocus={(event) => event.currentTarget.select()}
      onChange={(event) => {
        const typed = event.target.value;
        setDraft(typed);
        if (valueIfAny(() => READ_NUMBERS[kind](typed, motif.scale)) !== undefined) put(typed.trim());
      }}
      onBlur={() => setDraft(undefined)}
      onKeyDown={(event) => {
        event.stopPropagation();
        if (event.key === 'Enter' || event.key === 'Escape') event.currentTarget.blur();
      }}
    />
  );
}
