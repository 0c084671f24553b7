import { Plus, Trash2 } from 'lucide-react';
import { useMemo } from 'react';
import type { TilingDesign } from '../core/design/design-schema.ts';
import { tilingOf } from '../core/design/tiling/compile-tiling.ts';
import {
  type FadeSpec,
  type LinesSpec,
  MAX_LINES,
  parseLengthOrNone,
  parseNarrow,
  parseSize,
} from '../core/design/tiling/tiling-schema.ts';
import { sideKinds } from '../core/tiling/face-lines.ts';
import { foldTiling } from '../core/tiling/torus.ts';
import { Choice } from '../kit/choice.tsx';
import { NumberField } from '../kit/number-field.tsx';
import { SelectField } from '../kit/select-field.tsx';
import { valueIfAny } from '../wording/attempt.ts';
import { lengthText } from '../wording/measures.ts';
import { LINE_NAMES, polygonText, sideKindText } from '../wording/tiling-words.ts';
import { FoldOut } from './fold-out.tsx';
import { few, keptBy, putTiling } from './put-tiling.ts';
import { usualLines } from './tiling-edits.ts';

const millimetres = (text: string) => `${lengthText(parseSize(text), 'mm')} mm`;

function ShadeSelect(props: {
  label: string;
  shade: string;
  design: TilingDesign;
  onChange: (key: string) => void;
}) {
  return (
    <SelectField
      label={props.label}
      value={props.shade}
      options={props.design.shades.map(({ key, name }) => ({ value: key, text: `${key} ${name}` }))}
      onChange={props.onChange}
    />
  );
}

/** A check box that a part begins with. */
function Switch(props: { text: string; on: boolean; onChange: (on: boolean) => void }) {
  return (
    <label className="flex items-center gap-2 text-[13px]">
      <input
        type="checkbox"
        className="accent-woad"
        checked={props.on}
        onChange={(event) => props.onChange(event.target.checked)}
      />
      {props.text}
    </label>
  );
}

/** Numbers of sides that the faces have, and the kinds of sides between them. */
function useKinds({ construction }: TilingDesign) {
  return useMemo(() => {
    const tiling = valueIfAny(() => tilingOf(construction));
    if (tiling === undefined) return { faces: [], sides: [] };
    const faces = [...new Set(tiling.faces.map(({ length }) => length))].sort((a, b) => a - b);
    return { faces, sides: sideKinds(foldTiling(tiling)) };
  }, [construction]);
}

/** What lies over the faces: a fade, gaps, lines. */
export function TilingLayers({ design }: { design: TilingDesign }) {
  const kinds = useKinds(design);
  const all = { value: '', text: 'All faces' };
  const faceOptions = [
    all,
    ...kinds.faces.map((sides) => ({ value: String(sides), text: polygonText(sides) })),
  ];
  return (
    <>
      <FadePart design={design} faceOptions={faceOptions} />
      <GapsPart design={design} />
      <LinesPart design={design} faceOptions={faceOptions} sides={kinds.sides} />
    </>
  );
}

type Options = readonly { readonly value: string; readonly text: string }[];

function FadePart({ design, faceOptions }: { design: TilingDesign; faceOptions: Options }) {
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
      <Switch
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
                design={design}
                onChange={(next) => change({ shades: fade.shades.with(at, next) })}
              />
              <Remove
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
            label="Toward"
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
            label="In"
            value={fade.of ?? ''}
            options={faceOptions}
            onChange={(of) => change({ of: of === '' ? null : of })}
          />
        </>
      )}
    </FoldOut>
  );
}

function GapsPart({ design }: { design: TilingDesign }) {
  const { gaps } = design.construction;
  const change = (more: Partial<NonNullable<typeof gaps>>, tag?: string) =>
    gaps !== null && putTiling({ gaps: { ...gaps, ...more } }, tag);
  return (
    <FoldOut title="Gaps between faces" state={gaps === null ? '' : gaps.by}>
      <Switch
        text="Take every face in"
        on={gaps !== null}
        onChange={(on) =>
          putTiling({ gaps: on ? { by: '1 mm', corner: '0', shade: design.shades.at(-1)!.key } : null })
        }
      />
      {gaps !== null && (
        <>
          <div className="grid grid-cols-2 gap-3">
            <NumberField
              label="By"
              text={gaps.by}
              resolve={millimetres}
              onChange={(text) => change({ by: text.trim() }, 'gap')}
            />
            <NumberField
              label="Corners rounded by"
              text={gaps.corner}
              resolve={(text) => `${lengthText(parseLengthOrNone(text), 'mm')} mm`}
              onChange={(text) => change({ corner: text.trim() }, 'corner')}
            />
          </div>
          <ShadeSelect
            label="Shade of the gaps"
            shade={gaps.shade}
            design={design}
            onChange={(shade) => change({ shade })}
          />
        </>
      )}
    </FoldOut>
  );
}

function LinesPart({
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
          design={design}
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
  readonly design: TilingDesign;
  readonly options: Options;
  readonly onChange: (lines: LinesSpec, tag?: string) => void;
  readonly onRemove: () => void;
}

function LineCard({ at, lines, design, options, onChange, onRemove }: LineCardProps) {
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
        <Remove label={`Remove lines ${at + 1}`} disabled={false} onClick={onRemove} />
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
          resolve={millimetres}
          onChange={(text) => onChange({ ...lines, width: text.trim() }, 'width')}
        />
        <ShadeSelect
          label={`Shade of lines ${at + 1}`}
          shade={shade}
          design={design}
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
      <Switch
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

function Remove(props: { label: string; disabled: boolean; onClick: () => void }) {
  return (
    <button
      type="button"
      className="button button-plain px-1"
      aria-label={props.label}
      disabled={props.disabled}
      onClick={props.onClick}
    >
      <Trash2 size={15} aria-hidden="true" />
    </button>
  );
}
