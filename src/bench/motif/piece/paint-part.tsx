import { useState } from 'react';
import type { MotifDesign } from '../../../core/design/design-schema.ts';
import type { MotifScale } from '../../../core/design/motif/motif-numbers.ts';
import type { Piece } from '../../../core/design/motif/motif-schema.ts';
import { isStrapPiece } from '../../../core/design/motif/straps/strap-pieces.ts';
import { CheckField } from '../../../kit/fields/check-field.tsx';
import { NumberField } from '../../../kit/fields/number-field.tsx';
import { ShadeSelect } from '../../../kit/fields/shade-select.tsx';
import { PictureField } from '../../../picture/picture-field.tsx';
import { READ_NUMBERS } from '../../../wording/motif-words.ts';
import { usualFade, usualShadow } from '../motif-edits.ts';
import { FadePart } from './fade-part.tsx';
import { OutlinePart } from './outline-part.tsx';
import { VaryPart } from './vary-part.tsx';

interface PaintPartProps {
  readonly design: MotifDesign;
  readonly piece: Piece;
  readonly scale: MotifScale;
  readonly put: (change: Partial<Piece>, tag?: string) => void;
}

/** What a piece is painted with: a shade or a fade, a picture, a line along its edge, a soft shadow, copies that vary. */
export function PaintPart({ design, piece, scale, put }: PaintPartProps) {
  const { shades } = design;
  const { shade, fade, shadow } = piece;
  // Somebody who has not chosen a picture yet is asked for one.
  const [isAsked, setAsked] = useState(false);
  const isShowing = isAsked || piece.picture !== null;
  const keys = [shade, ...shades.map(({ key }) => key)].filter((key) => key !== null);
  return (
    <>
      {fade === null && (
        <ShadeSelect
          label="Shade"
          shade={shade ?? ''}
          shades={shades}
          none={piece.picture === null ? 'Not painted' : 'Nothing beneath the picture'}
          onChange={(key) => put({ shade: key === '' ? null : key })}
        />
      )}
      <CheckField
        text="Fades from shade to shade"
        on={fade !== null}
        onChange={(on) => put({ fade: on ? usualFade([...new Set(keys)]) : null })}
      />
      {fade !== null && (
        <FadePart fade={fade} shades={shades} onChange={(next, tag) => put({ fade: next }, tag)} />
      )}
      <CheckField
        text="Shows a picture"
        on={isShowing}
        onChange={(on) => {
          setAsked(on);
          if (!on && piece.picture !== null) put({ picture: null });
        }}
      />
      {isShowing && (
        <PictureField
          picture={piece.picture}
          within="the piece"
          onChange={(picture) => put({ picture, ...(piece.picture === null && { shade: null }) })}
        />
      )}
      {!isStrapPiece(piece) && (
        <OutlinePart
          outline={piece.outline}
          shades={shades}
          scale={scale}
          onChange={(outline, tag) => put({ outline }, tag)}
        />
      )}
      <CheckField
        text="Soft shadow"
        on={shadow !== null}
        onChange={(on) => put({ shadow: on ? usualShadow(shades.at(-1)!.key) : null })}
      />
      {shadow !== null && <ShadowFields shadow={shadow} shades={shades} scale={scale} put={put} />}
      <VaryPart design={design} piece={piece} put={put} />
    </>
  );
}

interface ShadowFieldsProps extends Pick<PaintPartProps, 'scale' | 'put'> {
  readonly shadow: NonNullable<Piece['shadow']>;
  readonly shades: MotifDesign['shades'];
}

function ShadowFields({ shadow, shades, scale, put }: ShadowFieldsProps) {
  const change = (part: Partial<typeof shadow>, tag?: string) => put({ shadow: { ...shadow, ...part } }, tag);
  const way = (text: string) => READ_NUMBERS.way(text, scale);
  return (
    <section aria-label="Shadow" className="flex flex-col gap-3 rounded-lg border border-rule p-3">
      <div className="grid grid-cols-2 gap-3">
        <NumberField
          label="Shadow to the right by"
          text={shadow.x}
          resolve={way}
          onChange={(x) => change({ x: x.trim() }, 'shadow-x')}
        />
        <NumberField
          label="Shadow upward by"
          text={shadow.y}
          resolve={way}
          onChange={(y) => change({ y: y.trim() }, 'shadow-y')}
        />
        <NumberField
          label="Softness"
          text={shadow.softness}
          resolve={(text) => READ_NUMBERS.sizeOrNone(text, scale)}
          onChange={(softness) => change({ softness: softness.trim() }, 'softness')}
        />
        <NumberField
          label="Strength"
          text={shadow.strength}
          resolve={READ_NUMBERS.share}
          onChange={(strength) => change({ strength: strength.trim() }, 'strength')}
        />
      </div>
      <ShadeSelect
        label="Shade of the shadow"
        shade={shadow.shade}
        shades={shades}
        onChange={(shade) => change({ shade })}
      />
      <p className="hint">Softness is the standard deviation: two thirds of the blur lie within it.</p>
    </section>
  );
}
