import { Plus } from 'lucide-react';
import type { Shade } from '../../core/colour/shade.ts';
import type { TilingDesign } from '../../core/design/design-schema.ts';
import { parseNarrow } from '../../core/design/tiling/tiling-numbers.ts';
import { type LinesSpec, MAX_LINES } from '../../core/design/tiling/tiling-schema.ts';
import { CheckField } from '../../kit/fields/check-field.tsx';
import { Choice } from '../../kit/fields/choice.tsx';
import { NumberField } from '../../kit/fields/number-field.tsx';
import { type Options, SelectField } from '../../kit/fields/select-field.tsx';
import { ShadeSelect } from '../../kit/fields/shade-select.tsx';
import { FoldOut } from '../../kit/fold-out.tsx';
import { RemoveButton } from '../../kit/remove-button.tsx';
import { inMillimetres, LINE_NAMES, sideKindText } from '../../wording/tiling-words.ts';
import { few, keptBy, putTiling } from './put-tiling.ts';
import { usualLines } from './tiling-edits.ts';

/** Lines along sides and across faces. */
export function LinesPart({
  design,
  faceOptions,
  sides,
}: {
  design: TilingDesign;
  faceOptions: Options;
  sides: readonly string[];
}) {
  const { lines } = design.construction;
  const sideOptions = [
    { value: '', text: 'All sides' },
    ...sides.map((kind) => ({ value: kind, text: sideKindText(kind) })),
  ];
  return (
    <FoldOut title="Lines" state={lines.length === 0 ? '' : String(lines.length)}>
      {lines.map((each, at) => (
        <LineCard
          // biome-ignore lint/suspicious/noArrayIndexKey: lines have no identity but their place
          key={at}
          at={at}
          lines={each}
          shades={design.shades}
          options={each.what === 'sides' ? sideOptions : faceOptions}
          onChange={(next, tag) => putTiling({ lines: lines.with(at, next) }, tag && `line-${at}-${tag}`)}
          onRemove={() => putTiling({ lines: lines.filter((_, other) => other !== at) })}
        />
      ))}
      {lines.length < MAX_LINES && (
        <button
          type="button"
          className="button self-start"
          onClick={() => {
            const taken = lines.map(({ what }) => what);
            const what = (Object.keys(LINE_NAMES) as LinesSpec['what'][]).find(
              (each) => !taken.includes(each),
            );
            putTiling({ lines: [...lines, usualLines(what ?? 'sides', design.shades.at(-1)!.key)] });
          }}
        >
          <Plus size={16} aria-hidden="true" /> Add lines
        </button>
      )}
    </FoldOut>
  );
}

interface LineCardProps {
  readonly at: number;
  readonly lines: LinesSpec;
  readonly shades: readonly Shade[];
  readonly options: Options;
  readonly onChange: (lines: LinesSpec, tag?: string) => void;
  readonly onRemove: () => void;
}

function LineCard({ at, lines, shades, options, onChange, onRemove }: LineCardProps) {
  const { what, of, width, shade, ends, dashes, skip } = lines;
  return (
    <section aria-label={`Lines ${at + 1}`} className="flex flex-col gap-2 rounded-lg border border-rule p-3">
      <div className="grid grid-cols-[minmax(0,1fr)_32px] items-end gap-2">
        <SelectField
          label={`Lines ${at + 1}`}
          value={what}
          options={(Object.keys(LINE_NAMES) as LinesSpec['what'][]).map((value) => ({
            value,
            text: LINE_NAMES[value],
          }))}
          onChange={(next) => onChange({ ...lines, what: next, of: null })}
        />
        <RemoveButton label={`Remove lines ${at + 1}`} onClick={onRemove} />
      </div>
      <SelectField
        label="Of"
        value={of ?? ''}
        options={options}
        onChange={(next) => onChange({ ...lines, of: next === '' ? null : next })}
      />
      <div className="grid grid-cols-2 gap-3">
        <NumberField
          label="Width"
          text={width}
          resolve={inMillimetres}
          onChange={(text) => onChange({ ...lines, width: text.trim() }, 'width')}
        />
        <ShadeSelect
          label={`Shade of lines ${at + 1}`}
          shade={shade}
          shades={shades}
          onChange={(next) => onChange({ ...lines, shade: next })}
        />
      </div>
      {what === 'stars' && (
        <NumberField
          label="Joined to the middle so many on"
          text={String(skip)}
          resolve={(text) => String(few(text, 1, 20))}
          onChange={(text) => onChange({ ...lines, skip: few(text, 1, 20) }, 'skip')}
        />
      )}
      <Choice
        label="Ends and corners"
        value={ends}
        options={[
          { value: 'round', text: 'Round' },
          { value: 'sharp', text: 'Sharp' },
          { value: 'flat', text: 'Cut off' },
        ]}
        onChange={(next) => onChange({ ...lines, ends: next })}
      />
      <CheckField
        text="Dashed, whole dashes to each"
        on={dashes !== null}
        onChange={(on) => onChange({ ...lines, dashes: on ? { count: 3, share: '1/2' } : null })}
      />
      {dashes !== null && (
        <div className="grid grid-cols-2 gap-3">
          <NumberField
            label="Dashes"
            text={String(dashes.count)}
            resolve={(text) => String(few(text, 1, 60))}
            onChange={(text) =>
              onChange({ ...lines, dashes: { ...dashes, count: few(text, 1, 60) } }, 'count')
            }
          />
          <NumberField
            label="Each as long as"
            text={dashes.share}
            resolve={keptBy(parseNarrow)}
            onChange={(text) => onChange({ ...lines, dashes: { ...dashes, share: text.trim() } }, 'share')}
          />
        </div>
      )}
    </section>
  );
}
