import { arrayMove } from '@dnd-kit/sortable';
import { Copy, Eye, EyeOff, Lock, LockOpen } from 'lucide-react';
import { useMemo } from 'react';
import type { MotifDesign } from '../../core/design/design-schema.ts';
import { madePieces, usedBy } from '../../core/design/motif/made-pieces.ts';
import type { Piece } from '../../core/design/motif/motif-schema.ts';
import { RemoveButton } from '../../kit/remove-button.tsx';
import { RowButton, SortableList, SortableRow } from '../../kit/sortable-list.tsx';
import { valueIfAny } from '../../wording/attempt.ts';
import { pieceName, pieceText } from '../../wording/motif-words.ts';
import { duplicatePiece, withoutPiece } from './motif-edits.ts';
import { choosePiece, togglePiece, useMotif } from './motif-store.ts';
import { PieceThumbnail } from './piece-thumbnail.tsx';
import { piecesNow, putMotif, putPiece } from './put-motif.ts';
import { useClipboard } from './use-clipboard.ts';
import { useScale } from './use-scale.ts';

/** The pieces of a motif in painting order; one of them is chosen. */
export function PieceList({ design }: { design: MotifDesign }) {
  const { construction, shades } = design;
  const { pieces } = construction;
  const scale = useScale(design);
  const made = useMemo(() => valueIfAny(() => madePieces({ pieces }, scale)), [pieces, scale]);
  const used = useMemo(() => usedBy({ pieces }), [pieces]);
  const clipboard = useClipboard();
  if (pieces.length === 0) return <p className="hint">The box is empty. Add a piece to it.</p>;
  return (
    <section aria-label="Pieces" {...clipboard}>
      <SortableList
        ids={pieces.map(({ id }) => id)}
        what="the piece"
        nameOf={(id) => nameOf(pieces, id)}
        onMove={(from, to) => putMotif({ pieces: arrayMove(pieces, from, to) })}
      >
        {pieces.map((piece) => (
          <PieceRow
            key={piece.id}
            piece={piece}
            note={used.has(piece.id) ? 'another is made with it' : ''}
            thumbnail={
              <PieceThumbnail made={made?.get(piece)} shades={shades} ground={construction.ground} />
            }
            onDuplicate={() => {
              const { pieces: more, made: id } = duplicatePiece(construction, piece.id);
              putMotif({ pieces: more });
              choosePiece(more, id);
            }}
            onRemove={() => putMotif({ pieces: withoutPiece(pieces, piece.id) })}
          />
        ))}
      </SortableList>
    </section>
  );
}

function nameOf(pieces: readonly Piece[], id: number): string {
  const piece = pieces.find((each) => each.id === id);
  return piece === undefined ? '' : pieceName(piece);
}

interface PieceRowProps {
  readonly piece: Piece;
  readonly note: string;
  readonly thumbnail: React.ReactNode;
  readonly onDuplicate: () => void;
  readonly onRemove: () => void;
}

function PieceRow({ piece, note, thumbnail, onDuplicate, onRemove }: PieceRowProps) {
  const chosen = useMotif((state) => state.chosen.includes(piece.id));
  const name = pieceName(piece);
  const { hidden, locked } = piece;
  return (
    <SortableRow id={piece.id} name={name} className={chosen ? 'bg-woad-pale' : 'bg-paper'}>
      <button
        type="button"
        aria-pressed={chosen}
        className={`flex min-w-0 flex-1 items-center gap-2 text-left ${hidden ? 'opacity-50' : ''}`}
        onClick={(event) => {
          if (event.shiftKey || event.ctrlKey || event.metaKey) togglePiece(piecesNow(), piece.id);
          else choosePiece(piecesNow(), chosen ? undefined : piece.id);
        }}
      >
        {thumbnail}
        <span className="min-w-0 flex-1 leading-tight">
          <span className="block truncate">{name}</span>
          <span className="numbers block truncate text-[11.5px] text-ash">
            {piece.group === null ? '' : `${piece.group} · `}
            {note || pieceText(piece)}
          </span>
        </span>
      </button>
      <span className="flex flex-none">
        {(chosen || hidden) && (
          <RowButton
            label={`${hidden ? 'Show' : 'Hide'} ${name}`}
            icon={hidden ? EyeOff : Eye}
            onClick={() => putPiece(piece.id, { hidden: !hidden })}
          />
        )}
        {(chosen || locked) && (
          <RowButton
            label={`${locked ? 'Unlock' : 'Lock'} ${name}`}
            icon={locked ? Lock : LockOpen}
            onClick={() => putPiece(piece.id, { locked: !locked })}
          />
        )}
        {chosen && <RowButton label={`Duplicate ${name}`} icon={Copy} onClick={onDuplicate} />}
        {chosen && <RemoveButton label={`Remove ${name}`} disabled={locked} onClick={onRemove} />}
      </span>
    </SortableRow>
  );
}
