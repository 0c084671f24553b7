import { Plus } from 'lucide-react';
import type { MotifDesign } from '../../core/design/design-schema.ts';
import { MAX_PIECES } from '../../core/design/motif/motif-schema.ts';
import { SHAPES, type ShapeName } from '../../core/design/motif/shapes.ts';
import { FileButton } from '../../kit/fields/file-button.tsx';
import { PICTURE_ACCEPT } from '../../picture/picture-field.tsx';
import { useKeeper } from '../../picture/use-keeper.ts';
import { SHAPE_NAMES } from '../../wording/motif-words.ts';
import { pictureInBox, pieceInBox } from './motif-edits.ts';
import { chooseAdded } from './motif-store.ts';
import { putMotif } from './put-motif.ts';

const KINDS = [...(Object.keys(SHAPES) as ShapeName[]), 'line'] as const;

/** A button for each shape: it lies in the middle of the box and its first number is next. */
export function PieceAdder({ design }: { design: MotifDesign }) {
  const { construction, shades } = design;
  const { pieces, ground } = construction;
  const { isBusy, problem, keepFile } = useKeeper((picture) => {
    const piece = pictureInBox(construction, { ...picture, fit: 'filling' });
    putMotif({ pieces: [...pieces, piece] });
    chooseAdded(piece.id);
  });
  if (pieces.length >= MAX_PIECES) return null;
  const add = (kind: ShapeName | 'line') => {
    const shade = shades.find(({ key }) => key !== ground) ?? shades[0]!;
    const piece = pieceInBox(construction, kind, shade.key);
    putMotif({ pieces: [...pieces, piece] });
    chooseAdded(piece.id);
  };
  return (
    <section aria-label="Add a piece">
      <h3 className="label">Add a piece</h3>
      <div className="flex flex-wrap gap-1.5">
        {KINDS.map((kind) => (
          <button
            key={kind}
            type="button"
            className="button min-h-7 px-2 py-0.5 text-[13px]"
            onClick={() => add(kind)}
          >
            <Plus size={13} aria-hidden="true" /> {SHAPE_NAMES[kind]}
          </button>
        ))}
        <FileButton
          text={
            <>
              <Plus size={13} aria-hidden="true" /> {isBusy ? 'Reading it…' : 'Picture'}
            </>
          }
          label="A picture to add"
          accept={PICTURE_ACCEPT}
          className="button min-h-7 px-2 py-0.5 text-[13px]"
          onFiles={([file]) => keepFile(file)}
        />
      </div>
      {problem !== '' && (
        <p role="alert" className="mt-2 mb-0 text-madder">
          {problem}
        </p>
      )}
    </section>
  );
}
