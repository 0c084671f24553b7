import { Plus } from 'lucide-react';
import type { Shade } from '../../core/colour/shade.ts';
import type { TilingDesign } from '../../core/design/design-schema.ts';
import { pixelOf } from '../../core/design/lay/lay-schema.ts';
import { parseNarrow } from '../../core/design/tiling/tiling-numbers.ts';
import { type LinesSpec, MAX_LINES } from '../../core/design/tiling/tiling-schema.ts';
import { CheckField } from '../../kit/fields/check-field.tsx';
import { Choice } from '../../kit/fields/choice.tsx';
import { LINE_ENDS } from '../../kit/fields/line-ends.ts';
import { NumberField } from '../../kit/fields/number-field.tsx';
import { type Options, SelectField } from '../../kit/fields/select-field.tsx';
import { ShadeSelect } from '../../kit/fields/shade-select.tsx';
import { RemoveButton } from '../../kit/remove-button.tsx';
import { inMillimetres, LINE_NAMES, sideKindText } from '../../wording/tiling-words.ts';
import { few, keptBy, putTiling } from './put-tiling.ts';
import { usualLines } from './tiling-edits.ts';

const KINDS = Object.keys(LINE_NAMES) as readonly LinesSpec['what'][];

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
    <section aria-label="Lines" className="flex flex-col gap-3 border-rule border-t pt-3">
      <h3 className="text-[14px]">Lines</h3>
      {lines.map((each, at) => (
        <LineCard
          // biome-ignore lint/suspicious/noArrayIndexKey: lines have no identity but their place
          key={at}
          at={at}
          lines={each}
          shades={design.shades}
          resolution={design.resolution}
          options={each.what === 'sides' ? sideOptions : faceOptions}
          onChange={(next, tag) => putTiling({ lines: lines.with(at, next) }, tag && `line-${at}-${tag}`)}
          onRemove={() => putTiling({ lines: lines.filter((_, other) => other !== at) })}
        />
      ))}
      {lines.length < MAX_LINES && (
        <div className="grid grid-cols-2 gap-1.5">
          {KINDS.map((what) => (
            <button
              key={what}
              type="button"
              className="button justify-start whitespace-normal px-2 text-left text-[12.5px] leading-tight"
              onClick={() => putTiling({ lines: [...lines, usualLines(what, design.shades.at(-1)!.key)] })}
            >
              <Plus size={14} className="flex-none" aria-hidden="true" /> {LINE_NAMES[what]}
            </button>
          ))}
        </div>
      )}
    </section>
  );
}

/** Corners and sides are counted from the highest, counterclockwise. */
function placeText(place: number): string {
  return place === 1 ? 'the highest' : `${place} from the highest, going left`;
}

interface LineCardProps {
  readonly at: number;
  readonly lines: LinesSpec;
  readonly shades: readonly Shade[];
  readonly resolution: string;
  readonly options: Options;
  readonly onChange: (lines: LinesSpec, tag?: string) => void;
  readonly onRemove: () => void;
}

function LineCard({ at, lines, shades, resolution, options, onChange, onRemove }: LineCardProps) {
  const { what, of, width, shade, ends, dashes, skip, every, first } = lines;
  return (
    <section aria-label={`Lines ${at + 1}`} className="flex flex-col gap-2 rounded-lg border border-rule p-3">
      <div className="grid grid-cols-[minmax(0,1fr)_32px] items-end gap-2">
        <SelectField
          label={`Lines ${at + 1}`}
          value={what}
          options={KINDS.map((value) => ({ value, text: LINE_NAMES[value] }))}
          onChange={(next) => onChange({ ...lines, what: next, of: null })}
        />
        <RemoveButton label={`Remove lines ${at + 1}`} onClick={onRemove} />
      </div>
      <SelectField
        label="Applies to"
        value={of ?? ''}
        options={options}
        onChange={(next) => onChange({ ...lines, of: next === '' ? null : next })}
      />
      <div className="grid grid-cols-2 gap-3">
        <NumberField
          label="Width"
          text={width}
          resolve={(text) => inMillimetres(text, pixelOf(resolution))}
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
          label="Connect to the n-th side"
          text={String(skip)}
          resolve={(text) => String(few(text, 1, 20))}
          onChange={(text) => onChange({ ...lines, skip: few(text, 1, 20) }, 'skip')}
        />
      )}
      {(what === 'spokes' || what === 'rays') && (
        <div className="grid grid-cols-2 gap-3">
          <NumberField
            label={what === 'spokes' ? 'To every n-th corner' : 'To every n-th side'}
            text={String(every)}
            resolve={(text) => String(few(text, 1, 60))}
            onChange={(text) => onChange({ ...lines, every: few(text, 1, 60) }, 'every')}
          />
          <NumberField
            label={what === 'spokes' ? 'Beginning at corner' : 'Beginning at side'}
            text={String(first + 1)}
            resolve={(text) => placeText(few(text, 1, 60))}
            onChange={(text) => onChange({ ...lines, first: few(text, 1, 60) - 1 }, 'first')}
          />
        </div>
      )}
      {what !== 'frames' && (
        <Choice
          label="Ends and corners"
          value={ends}
          options={LINE_ENDS}
          onChange={(next) => onChange({ ...lines, ends: next })}
        />
      )}
      {what !== 'frames' && (
        <CheckField
          text="Dashed, whole dashes to each"
          on={dashes !== null}
          onChange={(on) => onChange({ ...lines, dashes: on ? { count: 3, share: '1/2' } : null })}
        />
      )}
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
