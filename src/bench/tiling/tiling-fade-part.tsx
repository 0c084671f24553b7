import { Plus } from 'lucide-react';
import type { TilingDesign } from '../../core/design/design-schema.ts';
import type { FadeSpec } from '../../core/design/tiling/tiling-schema.ts';
import { CheckField } from '../../kit/fields/check-field.tsx';
import { Choice } from '../../kit/fields/choice.tsx';
import { type Options, SelectField } from '../../kit/fields/select-field.tsx';
import { ShadeSelect } from '../../kit/fields/shade-select.tsx';
import { FoldOut } from '../../kit/fold-out.tsx';
import { RemoveButton } from '../../kit/remove-button.tsx';
import { putTiling } from './put-tiling.ts';

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
          {fade.shades.map((key, at) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: shades of a fade have no identity but their place
            <div key={at} className="grid grid-cols-[minmax(0,1fr)_32px] items-end gap-2">
              <ShadeSelect
                label={`Fade, shade ${at + 1}`}
                shade={key}
                shades={design.shades}
                onChange={(next) => change({ shades: fade.shades.with(at, next) })}
              />
              <RemoveButton
                label={`Remove shade ${at + 1} of the fade`}
                disabled={fade.shades.length <= 2}
                onClick={() => change({ shades: fade.shades.filter((_, other) => other !== at) })}
              />
            </div>
          ))}
          {fade.shades.length < 8 && (
            <button
              type="button"
              className="button self-start"
              onClick={() => change({ shades: [...fade.shades, fade.shades[0]!] })}
            >
              <Plus size={16} aria-hidden="true" /> Add a shade
            </button>
          )}
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
