import { useEffect, useRef } from 'react';
import type { MotifDesign } from '../../../core/design/design-schema.ts';
import type { Piece } from '../../../core/design/motif/motif-schema.ts';
import { isNumberShape } from '../../../core/design/motif/shapes.ts';
import { CheckField } from '../../../kit/fields/check-field.tsx';
import { NumberField } from '../../../kit/fields/number-field.tsx';
import { pieceName, READ_NUMBERS, SHAPE_NAMES } from '../../../wording/motif-words.ts';
import { useMotif } from '../motif-store.ts';
import { putPiece } from '../put-motif.ts';
import { useScale } from '../use-scale.ts';
import { LinePart } from './line-part.tsx';
import { MakingsPart } from './makings-part.tsx';
import { PaintPart } from './paint-part.tsx';
import { ShapeNumbers } from './shape-numbers.tsx';

interface PiecePartProps {
  readonly design: MotifDesign;
  readonly piece: Piece;
}

/** The numbers of the chosen piece, how it is painted, and what is made of it further. */
export function PiecePart({ design, piece }: PiecePartProps) {
  const scale = useScale(design);
  const { id, shape } = piece;
  const put = (change: Partial<Piece>, tag?: string) => putPiece(id, change, tag);
  const section = useRef<HTMLElement>(null);
  // A piece that was just added has its first number ready to be typed.
  useEffect(() => {
    if (useMotif.getState().added !== id) return;
    useMotif.setState({ added: undefined });
    const first = section.current?.querySelector<HTMLInputElement>('fieldset input');
    first?.focus();
    first?.select();
  }, [id]);
  const way = (text: string) => READ_NUMBERS.way(text, scale);
  return (
    <section
      ref={section}
      aria-label={`Piece: ${pieceName(piece)}`}
      className="flex flex-col gap-3 border-rule border-t pt-3"
    >
      <div className="flex items-baseline justify-between gap-3">
        <h3 className="text-[16px]">{SHAPE_NAMES[shape.kind]}</h3>
        <input
          aria-label="Name of the piece"
          className="min-w-0 flex-1 rounded px-1.5 py-1 text-right hover:bg-linen"
          placeholder="Name it"
          maxLength={120}
          value={piece.name}
          onChange={(event) => put({ name: event.target.value }, 'name')}
        />
      </div>
      <fieldset disabled={piece.locked} className="m-0 flex flex-col gap-3 border-0 p-0">
        {isNumberShape(shape) ? (
          <ShapeNumbers shape={shape} scale={scale} onChange={(next, tag) => put({ shape: next }, tag)} />
        ) : (
          <LinePart
            shape={shape}
            shades={design.shades}
            scale={scale}
            onChange={(next, tag) =>
              put(next.strap === null ? { shape: next } : { shape: next, outline: null }, tag)
            }
          />
        )}
        <div className="grid grid-cols-3 gap-3">
          <NumberField
            label="Place, across"
            text={piece.x}
            resolve={way}
            onChange={(x) => put({ x: x.trim() }, 'x')}
          />
          <NumberField
            label="Place, up"
            text={piece.y}
            resolve={way}
            onChange={(y) => put({ y: y.trim() }, 'y')}
          />
          <NumberField
            label="Turn, degrees"
            text={piece.turn}
            resolve={READ_NUMBERS.degrees}
            onChange={(turn) => put({ turn: turn.trim() }, 'turn')}
          />
        </div>
        <CheckField
          text="Mirrored left to right"
          on={piece.mirrored}
          onChange={(mirrored) => put({ mirrored })}
        />
        <PaintPart design={design} piece={piece} scale={scale} put={put} />
        <MakingsPart design={design} piece={piece} scale={scale} />
      </fieldset>
    </section>
  );
}
