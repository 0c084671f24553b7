import type { TilingDesign } from '../../core/design/design-schema.ts';
import type { FadeSpec } from '../../core/design/tiling/tiling-schema.ts';
import { CheckField } from '../../kit/fields/check-field.tsx';
import { Choice } from '../../kit/fields/choice.tsx';
import { FadeShades } from '../../kit/fields/fade-shades.tsx';
import { type Options, SelectField } from '../../kit/fields/select-field.tsx';
import { FoldOut } from '../../kit/fold-out.tsx';
import { putTiling } from './put-tiling.ts';

/** Most shades of a fade. */
const MOST = 8;

/** Faces that fade from shade to shade. */
export function FadePart({ design, faceOptions }: { design: TilingDesign; faceOptions: Options }) {
  const { fade } = design.construction;
  const [first, second] = design.shades;
  const usual: FadeSpec = {
    shades: [first!.key, (second ?? first)!.key],
    angle: 6,
    turned: false,
    of: null,
  };
  const change = (more: Partial<FadeSpec>) => putTiling({ fade: { ...(fade ?? usual), ...more } });
  return (
    <FoldOut title="A fade across faces" state={fade === null ? '' : `${fade.shades.length} shades`}>
      <CheckField
        text="Fade faces from shade to shade"
        on={fade !== null}
        onChange={(on) => putTiling({ fade: on ? usual : null })}
      />
      {fade !== null && (
        <>
          <FadeShades
            keys={fade.shades}
            shades={design.shades}
            most={MOST}
            onChange={(shades) => change({ shades })}
          />
          <SelectField
            label="Direction of the fade"
            value={String(fade.angle)}
            options={Array.from({ length: 24 }, (_, step) => ({
              value: String(step),
              text: `${step * 15}°`,
            }))}
            onChange={(step) => change({ angle: Number(step) })}
          />
          <Choice
            label="The angle is"
            value={fade.turned ? 'turned' : 'fixed'}
            options={[
              { value: 'fixed', text: 'The same everywhere' },
              { value: 'turned', text: 'Turned with each face' },
            ]}
            onChange={(how) => change({ turned: how === 'turned' })}
          />
          <SelectField
            label="Applies to"
            value={fade.of ?? ''}
            options={faceOptions}
            onChange={(of) => change({ of: of === '' ? null : of })}
          />
        </>
      )}
    </FoldOut>
  );
}
