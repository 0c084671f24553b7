import {
  AlignCenterHorizontal,
  AlignCenterVertical,
  AlignEndHorizontal,
  AlignEndVertical,
  AlignHorizontalSpaceAround,
  AlignStartHorizontal,
  AlignStartVertical,
  AlignVerticalSpaceAround,
} from 'lucide-react';
import { useState } from 'react';
import type { MotifDesign } from '../../core/design/design-schema.ts';
import { IconButton } from '../../kit/icon-button.tsx';
import { valueIfAny } from '../../wording/attempt.ts';
import { plural } from '../../wording/measures.ts';
import { laidMotif } from './hand/motif-places.ts';
import { type Alignment, alignPieces, spreadPieces } from './hand/move-pieces.ts';
import { withoutPiece } from './motif-edits.ts';
import { choosePiece } from './motif-store.ts';
import { putMotif } from './put-motif.ts';

const ALIGNMENTS: readonly (readonly [Alignment, string, typeof AlignStartVertical])[] = [
  ['left', 'Left sides in line', AlignStartVertical],
  ['centre', 'Middles in line, across', AlignCenterVertical],
  ['right', 'Right sides in line', AlignEndVertical],
  ['top', 'Upper sides in line', AlignStartHorizontal],
  ['middle', 'Middles in line, up', AlignCenterHorizontal],
  ['bottom', 'Lower sides in line', AlignEndHorizontal],
];

const SPREADS = [
  ['x', 'Spread evenly across', AlignHorizontalSpaceAround],
  ['y', 'Spread evenly up', AlignVerticalSpaceAround],
] as const;

interface SeveralPartProps {
  readonly design: MotifDesign;
  readonly ids: readonly number[];
}

/** What is done to several chosen pieces: brought in line with the last, spread, grouped, taken away. */
export function SeveralPart({ design, ids }: SeveralPartProps) {
  const { pieces } = design.construction;
  const some = pieces.filter(({ id }) => ids.includes(id));
  const groups = new Set(some.map(({ group }) => group));
  const [name, setName] = useState('Group');
  const group = (next: string | null) => {
    putMotif({ pieces: pieces.map((piece) => (ids.includes(piece.id) ? { ...piece, group: next } : piece)) });
  };
  const motif = () => valueIfAny(() => laidMotif(design));
  return (
    <section aria-label="Several pieces" className="flex flex-col gap-3 border-rule border-t pt-3">
      <h3 className="text-[16px]">{plural(some.length, 'piece')} chosen</h3>
      <div className="flex flex-wrap gap-1">
        {ALIGNMENTS.map(([how, label, icon]) => (
          <IconButton
            key={how}
            name={label}
            icon={icon}
            onClick={() => {
              const laid = motif();
              if (laid !== undefined) putMotif({ pieces: alignPieces(laid, pieces, ids, how) });
            }}
          />
        ))}
        {SPREADS.map(([axis, label, icon]) => (
          <IconButton
            key={axis}
            name={label}
            icon={icon}
            disabled={some.length < 3}
            onClick={() => {
              const laid = motif();
              if (laid !== undefined) putMotif({ pieces: spreadPieces(laid, pieces, ids, axis) });
            }}
          />
        ))}
      </div>
      <div className="flex items-end gap-2">
        {groups.size === 1 && !groups.has(null) ? (
          <button type="button" className="button" onClick={() => group(null)}>
            Ungroup {[...groups][0]}
          </button>
        ) : (
          <>
            <div className="min-w-0 flex-1">
              <label className="label" htmlFor="group-name">
                Name of the group
              </label>
              <input
                id="group-name"
                className="field"
                value={name}
                maxLength={60}
                onChange={(event) => setName(event.target.value)}
              />
            </div>
            <button
              type="button"
              className="button"
              disabled={name.trim() === ''}
              onClick={() => group(name.trim())}
            >
              Group
            </button>
          </>
        )}
      </div>
      <div className="flex">
        <button
          type="button"
          className="button"
          disabled={some.some(({ locked }) => locked)}
          onClick={() => {
            putMotif({ pieces: ids.reduce((left, id) => withoutPiece(left, id), [...pieces]) });
            choosePiece(pieces, undefined);
          }}
        >
          Remove them
        </button>
      </div>
      <p className="hint">
        The last one chosen stays where it is. Ctrl C copies them as text, to paste here or in another motif.
      </p>
    </section>
  );
}
