import type { MotifDesign } from '../../../core/design/design-schema.ts';
import type { Making, MakingKind } from '../../../core/design/motif/making-schema.ts';
import type { MotifScale } from '../../../core/design/motif/motif-numbers.ts';
import type { Piece } from '../../../core/design/motif/motif-schema.ts';
import { SelectField } from '../../../kit/fields/select-field.tsx';
import { RemoveButton } from '../../../kit/remove-button.tsx';
import { MAKING_NAMES } from '../../../wording/motif-words.ts';
import { partners, usualMaking } from '../motif-edits.ts';
import { putPiece } from '../put-motif.ts';
import { MakingFields } from './making-fields.tsx';

/** Most that is made of one piece. */
const MOST = 20;

interface MakingsPartProps {
  readonly design: MotifDesign;
  readonly piece: Piece;
  readonly scale: MotifScale;
}

/** What is made of a piece further, step by step; each can be changed and taken away. */
export function MakingsPart({ design, piece, scale }: MakingsPartProps) {
  const { construction, shades } = design;
  const { id, made } = piece;
  const others = partners(construction.pieces, id);
  const kinds = (Object.keys(MAKING_NAMES) as MakingKind[]).filter(
    (kind) => others.length > 0 || !['join', 'cut', 'overlap', 'divide'].includes(kind),
  );
  const put = (next: Making[], tag?: string) => putPiece(id, { made: next }, tag);
  return (
    <section aria-label="Made further" className="flex flex-col gap-2">
      {made.map((making, at) => (
        <section
          // biome-ignore lint/suspicious/noArrayIndexKey: steps have no identity but their place
          key={at}
          aria-label={`${at + 1}: ${MAKING_NAMES[making.kind]}`}
          className="flex flex-col gap-2 rounded-lg border border-rule p-3"
        >
          <div className="flex items-center justify-between">
            <h4 className="font-semibold text-[13px]">{MAKING_NAMES[making.kind]}</h4>
            <RemoveButton
              label={`Remove ${at + 1}: ${MAKING_NAMES[making.kind]}`}
              onClick={() => put(made.filter((_, other) => other !== at))}
            />
          </div>
          <MakingFields
            making={making}
            others={others}
            shades={shades}
            scale={scale}
            onChange={(next, tag) => put(made.with(at, next), tag && `made-${at}-${tag}`)}
          />
        </section>
      ))}
      {made.length < MOST && (
        <SelectField
          label="Make further"
          value=""
          none="Choose what…"
          options={kinds.map((value) => ({ value, text: MAKING_NAMES[value] }))}
          onChange={(kind: MakingKind) =>
            put([...made, usualMaking(kind, construction, others, shades.at(-1)!.key)])
          }
        />
      )}
    </section>
  );
}
