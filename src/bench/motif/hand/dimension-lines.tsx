import { useState } from 'react';
import type { Place } from '../../../core/shape/places.ts';
import { attempt, valueIfAny } from '../../../wording/attempt.ts';
import { READ_NUMBERS } from '../../../wording/motif-words.ts';
import type { ClothPlaces } from '../../cloth/use-cloth-view.ts';
import { type Dimension, dimensionsOf } from './dimensions.ts';
import type { LaidMotif, LaidPiece } from './motif-places.ts';

interface DimensionLinesProps {
  readonly motif: LaidMotif;
  readonly laid: LaidPiece;
  readonly view: ClothPlaces;
}

/** The numbers of the chosen piece as on a technical drawing; each is typed where it stands. */
export function DimensionLines({ motif, laid, view }: DimensionLinesProps) {
  const dimensions = dimensionsOf(motif, laid, view);
  return (
    <>
      <svg className="pointer-events-none absolute inset-0 h-full w-full" aria-hidden="true">
        {dimensions.map(({ label, from, to, ends }) => (
          <g key={label} stroke="#2c5f7c" strokeWidth="1.4">
            {/* On paper, so that it is seen on any cloth. */}
            <path
              d={`M${from.x} ${from.y}L${to.x} ${to.y}${tick(from)}${tick(to)}`}
              stroke="#fffdf8"
              strokeWidth="4.5"
              strokeOpacity="0.8"
            />
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

/** CSS pixels of a number's digit, of the paper round it, and of its height. */
const DIGIT = 8;
const PAPER = 30;
const HEIGHT = 26;

/** In the middle of its line, or beyond the end of one that is too short to hold it. */
function numberPlace(
  from: Place,
  to: Place,
  digits: number,
): { readonly left: number; readonly top: number } {
  const middle = { left: (from.x + to.x) / 2, top: (from.y + to.y) / 2 };
  const length = Math.hypot(to.x - from.x, to.y - from.y);
  if (length === 0) return { left: from.x + digits * DIGIT + PAPER, top: from.y };
  const across = (to.x - from.x) / length;
  const up = (to.y - from.y) / length;
  // As far as the number's paper reaches along the line.
  const reach = Math.abs(across) * (digits * DIGIT + PAPER) + Math.abs(up) * HEIGHT;
  if (length >= reach) return middle;
  const beyond = (length + reach) / 2 + 4;
  const sign = across < -0.001 || (Math.abs(across) <= 0.001 && up < 0) ? -1 : 1;
  return { left: middle.left + sign * across * beyond, top: middle.top + sign * up * beyond };
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
        ...numberPlace(from, to, shown.length),
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
