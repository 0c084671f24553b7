import type { PictureSpec } from '../../core/design/tiling/tiling-schema.ts';
import { Choice } from '../../kit/fields/choice.tsx';
import { SelectField } from '../../kit/fields/select-field.tsx';
import { FoldOut } from '../../kit/fold-out.tsx';
import { PictureField } from '../../picture/picture-field.tsx';
import { putTiling } from './put-tiling.ts';
import type { LettersPartProps } from './tiling-letters-part.tsx';

const WAYS = [
  { value: 'upright', text: 'Upright' },
  { value: 'turned', text: 'Turned with each face' },
] as const;

/** A picture in faces. */
export function PicturePart({ design, faceOptions }: LettersPartProps) {
  const { picture: spec } = design.construction;
  const change = (more: Partial<PictureSpec>) => {
    if (spec !== null) putTiling({ picture: { ...spec, ...more } });
  };
  return (
    <FoldOut title="Picture in faces" state={spec === null ? '' : spec.picture.name}>
      <PictureField
        picture={spec?.picture ?? null}
        within="each face"
        onChange={(picture) =>
          putTiling({
            picture: picture === null ? null : { ...(spec ?? { turned: false, of: null }), picture },
          })
        }
      />
      {spec !== null && (
        <>
          <Choice
            label="It stands"
            value={spec.turned ? 'turned' : 'upright'}
            options={WAYS}
            onChange={(how) => change({ turned: how === 'turned' })}
          />
          <SelectField
            label="Picture in"
            value={spec.of ?? ''}
            options={faceOptions}
            onChange={(of) => change({ of: of === '' ? null : of })}
          />
        </>
      )}
    </FoldOut>
  );
}
