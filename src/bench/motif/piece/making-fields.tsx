import type { Shade } from '../../../core/colour/shade.ts';
import { MAX_BANDS, MAX_COPIES, type Making } from '../../../core/design/motif/making-schema.ts';
import type { MotifScale } from '../../../core/design/motif/motif-numbers.ts';
import type { Piece } from '../../../core/design/motif/motif-schema.ts';
import { CheckField } from '../../../kit/fields/check-field.tsx';
import { Choice } from '../../../kit/fields/choice.tsx';
import { LINE_ENDS } from '../../../kit/fields/line-ends.ts';
import { NumberField } from '../../../kit/fields/number-field.tsx';
import { ShadeSelect } from '../../../kit/fields/shade-select.tsx';
import { whole } from '../../../kit/fields/whole.ts';
import { RemoveButton } from '../../../kit/remove-button.tsx';
import { pieceName, READ_NUMBERS } from '../../../wording/motif-words.ts';

interface MakingFieldsProps {
  readonly making: Making;
  /** Pieces that it may be made with. */
  readonly others: readonly Piece[];
  readonly shades: readonly Shade[];
  readonly scale: MotifScale;
  readonly onChange: (making: Making, tag?: string) => void;
}

/** Kinds of numbers in the fields below: how many, a way, a radius, degrees. */
type Kind = 'count' | 'way' | 'sizeOrNone' | 'degrees';

/** The numbers of each step that has nothing else, by their keys. */
const NUMBERS: Readonly<
  Partial<Record<Making['kind'], readonly (readonly [key: string, label: string, kind: Kind])[]>>
> = {
  copies: [
    ['count', 'How many in all', 'count'],
    ['x', 'Each further right by', 'way'],
    ['y', 'Each higher by', 'way'],
  ],
  round: [
    ['count', 'How many in all', 'count'],
    ['x', 'Middle, across', 'way'],
    ['y', 'Middle, up', 'way'],
  ],
  mirror: [
    ['x', 'Line through, across', 'way'],
    ['y', 'Line through, up', 'way'],
    ['angle', 'The line rises by, degrees', 'degrees'],
  ],
  grid: [
    ['across', 'Columns', 'count'],
    ['up', 'Rows', 'count'],
    ['x', 'Columns apart by', 'way'],
    ['y', 'Rows apart by', 'way'],
  ],
  rounded: [['radius', 'Radius', 'sizeOrNone']],
  moved: [
    ['x', 'To the right by', 'way'],
    ['y', 'Upward by', 'way'],
  ],
};

/** The numbers of one step that is made of a piece. */
export function MakingFields(props: MakingFieldsProps) {
  const { making } = props;
  if (making.kind === 'bands') return <BandFields {...props} making={making} />;
  if ('with' in making) return <PartnerFields {...props} making={making} />;
  return (
    <>
      <NumberFields {...props} />
      {making.kind === 'round' && <RoundAngle {...props} making={making} />}
    </>
  );
}

function NumberFields({ making, scale, onChange }: MakingFieldsProps) {
  const stored = making as unknown as Readonly<Record<string, string | number>>;
  return (
    <div className="grid grid-cols-2 gap-3">
      {NUMBERS[making.kind]!.map(([key, label, kind]) => {
        const read = (text: string) =>
          kind === 'count' ? Math.min(MAX_COPIES, whole(text, 1)) : text.trim();
        return (
          <NumberField
            key={key}
            label={label}
            text={String(stored[key])}
            resolve={(text) => (kind === 'count' ? String(read(text)) : READ_NUMBERS[kind](text, scale))}
            onChange={(text) => onChange({ ...making, [key]: read(text) } as Making, key)}
          />
        );
      })}
    </div>
  );
}

type Of<K extends Making['kind']> = MakingFieldsProps & { readonly making: Extract<Making, { kind: K }> };

function RoundAngle({ making, onChange }: Of<'round'>) {
  return (
    <>
      <CheckField
        text="Evenly all round"
        on={making.by === null}
        onChange={(on) => onChange({ ...making, by: on ? null : '30' })}
      />
      {making.by !== null && (
        <NumberField
          label="Each turned further by, degrees"
          text={making.by}
          resolve={READ_NUMBERS.degrees}
          onChange={(by) => onChange({ ...making, by: by.trim() }, 'by')}
        />
      )}
    </>
  );
}

const SIDES = [
  { value: 'outward', text: 'Outward' },
  { value: 'inward', text: 'Inward' },
] as const;

function BandFields({ making, shades, scale, onChange }: Of<'bands'>) {
  const { bands, side, corner } = making;
  const put = (next: typeof bands, tag?: string) => onChange({ ...making, bands: next }, tag);
  return (
    <>
      <ol className="m-0 flex list-none flex-col gap-2 p-0">
        {bands.map(({ width, shade }, at) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: bands have no identity but their place
          <li key={at} className="grid grid-cols-[80px_minmax(0,1fr)_30px] items-end gap-2">
            <NumberField
              label={`Band ${at + 1}`}
              text={width}
              resolve={(text) => READ_NUMBERS.size(text, scale)}
              onChange={(text) => put(bands.with(at, { width: text.trim(), shade }), `band-${at}`)}
            />
            <ShadeSelect
              label={`Shade of band ${at + 1}`}
              shade={shade ?? ''}
              shades={shades}
              none="Left open"
              onChange={(key) => put(bands.with(at, { width, shade: key === '' ? null : key }))}
            />
            <RemoveButton
              label={`Remove band ${at + 1}`}
              disabled={bands.length === 1}
              onClick={() => put(bands.filter((_, other) => other !== at))}
            />
          </li>
        ))}
      </ol>
      {bands.length < MAX_BANDS && (
        <button type="button" className="button" onClick={() => put([...bands, bands.at(-1)!])}>
          One more band
        </button>
      )}
      <Choice
        label="From the edge"
        value={side}
        options={SIDES}
        onChange={(next) => onChange({ ...making, side: next })}
      />
      <Choice
        label="Corners of the bands"
        value={corner}
        options={LINE_ENDS}
        onChange={(next) => onChange({ ...making, corner: next })}
      />
    </>
  );
}

function PartnerFields({ making, others, shades, onChange }: Of<'join' | 'cut' | 'overlap' | 'divide'>) {
  return (
    <div className="flex flex-col gap-1">
      {making.kind === 'divide' && (
        <ShadeSelect
          label="Shade of what lies inside"
          shade={making.shade ?? ''}
          shades={shades}
          none="Left open"
          onChange={(key) => onChange({ ...making, shade: key === '' ? null : key })}
        />
      )}
      {others.map((other) => (
        <CheckField
          key={other.id}
          text={pieceName(other)}
          on={making.with.includes(other.id)}
          onChange={(on) => {
            const next = on ? [...making.with, other.id] : making.with.filter((id) => id !== other.id);
            if (next.length > 0) onChange({ ...making, with: next });
          }}
        />
      ))}
      <p className="hint">A piece that another is made with is not painted for itself.</p>
    </div>
  );
}
