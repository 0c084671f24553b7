import type { MotifDesign } from '../../../core/design/design-schema.ts';
import { MAX_VARIED, type Piece } from '../../../core/design/motif/motif-schema.ts';
import { CheckField } from '../../../kit/fields/check-field.tsx';
import { NumberField } from '../../../kit/fields/number-field.tsx';
import { whole } from '../../../kit/fields/whole.ts';
import { READ_NUMBERS } from '../../../wording/motif-words.ts';
import { putMotif } from '../put-motif.ts';

interface VaryPartProps {
  readonly design: MotifDesign;
  readonly piece: Piece;
  readonly put: (change: Partial<Piece>, tag?: string) => void;
}

/** Copies that are lighter or darker than others, and after how many boxes they come again. */
export function VaryPart({ design, piece, put }: VaryPartProps) {
  const { vary } = design.construction;
  return (
    <>
      <CheckField
        text="Copies lighter or darker"
        on={piece.vary !== null}
        onChange={(on) => put({ vary: on ? '20%' : null })}
      />
      {piece.vary !== null && (
        <section
          aria-label="Copies that vary"
          className="grid grid-cols-3 gap-3 rounded-lg border border-rule p-3"
        >
          <NumberField
            label="By up to"
            text={piece.vary}
            resolve={READ_NUMBERS.share}
            onChange={(text) => put({ vary: text.trim() }, 'vary')}
          />
          <NumberField
            label="Boxes a side"
            text={String(vary.boxes)}
            resolve={(text) => String(boxesOf(text))}
            onChange={(text) => putMotif({ vary: { ...vary, boxes: boxesOf(text) } }, 'vary-boxes')}
          />
          <NumberField
            label="Seed"
            text={String(vary.seed)}
            resolve={(text) => String(whole(text, 0))}
            onChange={(text) => putMotif({ vary: { ...vary, seed: whole(text, 0) } }, 'vary-seed')}
          />
          <p className="hint col-span-3">
            The repeat becomes {vary.boxes} × {vary.boxes} boxes; the same seed gives the same copies.
          </p>
        </section>
      )}
    </>
  );
}

function boxesOf(text: string): number {
  return Math.min(MAX_VARIED, whole(text, 1));
}
