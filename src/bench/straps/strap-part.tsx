import { Plus } from 'lucide-react';
import type { Shade } from '../../core/colour/shade.ts';
import { MAX_DIPS, MAX_EDGES, type StrapSpec } from '../../core/design/strap/strap-schema.ts';
import { CheckField } from '../../kit/fields/check-field.tsx';
import { Choice } from '../../kit/fields/choice.tsx';
import { NumberField } from '../../kit/fields/number-field.tsx';
import { ShadeSelect } from '../../kit/fields/shade-select.tsx';
import { whole } from '../../kit/fields/whole.ts';
import { RemoveButton } from '../../kit/remove-button.tsx';

/** How lengths of a strap are typed: what each comes to in words, and what they are to begin with. */
export interface StrapLengths {
  readonly size: (text: string) => string;
  readonly sizeOrNone: (text: string) => string;
  readonly thin: string;
  readonly dash: string;
  readonly dip: string;
}

interface StrapPartProps {
  readonly strap: StrapSpec;
  readonly shades: readonly Shade[];
  readonly lengths: StrapLengths;
  readonly onChange: (strap: StrapSpec, tag?: string) => void;
}

/** A gap beside what goes over, lines along a strap, and what shows where it dips. */
export function StrapPart(props: StrapPartProps) {
  const { strap, shades, lengths, onChange } = props;
  const { gap, centre } = strap;
  const last = shades.at(-1)!.key;
  return (
    <section aria-label="Strap" className="flex flex-col gap-3 rounded-lg border border-rule p-3">
      <NumberField
        label="Gap beside a strap that goes over it"
        text={gap}
        resolve={lengths.sizeOrNone}
        onChange={(text) => onChange({ ...strap, gap: text.trim() }, 'strap-gap')}
      />
      <EdgeLines {...props} />
      <CheckField
        text="A line along the middle"
        on={centre !== null}
        onChange={(on) =>
          onChange({ ...strap, centre: on ? { width: lengths.thin, shade: last, dashes: null } : null })
        }
      />
      {centre !== null && (
        <div className="grid grid-cols-2 gap-3">
          <NumberField
            label="Width of the middle line"
            text={centre.width}
            resolve={lengths.size}
            onChange={(text) =>
              onChange({ ...strap, centre: { ...centre, width: text.trim() } }, 'strap-middle')
            }
          />
          <ShadeSelect
            label="Shade of the middle line"
            shade={centre.shade}
            shades={shades}
            onChange={(shade) => onChange({ ...strap, centre: { ...centre, shade } })}
          />
          <div className="col-span-2">
            <CheckField
              text="Middle line dashed"
              on={centre.dashes !== null}
              onChange={(on) =>
                onChange({
                  ...strap,
                  centre: { ...centre, dashes: on ? { length: lengths.dash, gap: lengths.dash } : null },
                })
              }
            />
          </div>
        </div>
      )}
      <DipFields {...props} />
    </section>
  );
}

function EdgeLines({ strap, shades, lengths, onChange }: StrapPartProps) {
  const { edges } = strap;
  const put = (at: number, change: Partial<StrapSpec['edges'][number]>, tag?: string) =>
    onChange(
      { ...strap, edges: edges.with(at, { ...edges[at]!, ...change }) },
      tag && `strap-edge-${at}-${tag}`,
    );
  return (
    <>
      {edges.map(({ inset, width, shade }, at) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: lines have no identity but their place
        <div key={at} className="grid grid-cols-[1fr_1fr_1fr_30px] items-start gap-1.5">
          <NumberField
            label="Inset"
            text={inset}
            resolve={lengths.sizeOrNone}
            onChange={(text) => put(at, { inset: text.trim() }, 'inset')}
          />
          <NumberField
            label="Width"
            text={width}
            resolve={lengths.size}
            onChange={(text) => put(at, { width: text.trim() }, 'width')}
          />
          <ShadeSelect
            label={`Shade ${at + 1}`}
            shade={shade}
            shades={shades}
            onChange={(next) => put(at, { shade: next })}
          />
          <RemoveButton
            label={`Remove edge line ${at + 1}`}
            onClick={() => onChange({ ...strap, edges: edges.filter((_, other) => other !== at) })}
          />
        </div>
      ))}
      {edges.length < MAX_EDGES && (
        <button
          type="button"
          className="button"
          onClick={() =>
            onChange({
              ...strap,
              edges: [...edges, { inset: '0', width: lengths.thin, shade: shades.at(-1)!.key }],
            })
          }
        >
          <Plus size={15} aria-hidden="true" /> Add a line along both edges
        </button>
      )}
    </>
  );
}

const DIPS = [
  { value: 'none', text: 'Nothing' },
  { value: 'lines', text: 'Lines' },
  { value: 'shade', text: 'A shade' },
] as const;

function DipFields({ strap, shades, lengths, onChange }: StrapPartProps) {
  const { dip } = strap;
  const last = shades.at(-1)!.key;
  const choose = (kind: (typeof DIPS)[number]['value']) => {
    const length = dip?.length ?? lengths.dip;
    const shade = dip?.shade ?? last;
    const { thin } = lengths;
    const lines = { kind: 'lines', count: 5, length, apart: thin, width: thin, taper: true, shade } as const;
    onChange({ ...strap, dip: kind === 'none' ? null : kind === 'lines' ? lines : { kind, length, shade } });
  };
  return (
    <>
      <Choice label="Where it goes under" value={dip?.kind ?? 'none'} options={DIPS} onChange={choose} />
      {dip !== null && (
        <div className="grid grid-cols-2 gap-3">
          <NumberField
            label="So far along"
            text={dip.length}
            resolve={lengths.size}
            onChange={(text) => onChange({ ...strap, dip: { ...dip, length: text.trim() } }, 'strap-dip')}
          />
          <ShadeSelect
            label="Shade where it goes under"
            shade={dip.shade}
            shades={shades}
            onChange={(shade) => onChange({ ...strap, dip: { ...dip, shade } })}
          />
        </div>
      )}
      {dip?.kind === 'lines' && (
        <>
          <div className="grid grid-cols-3 gap-3">
            <NumberField
              label="Lines"
              text={String(dip.count)}
              resolve={(text) => String(lines(text))}
              onChange={(text) =>
                onChange({ ...strap, dip: { ...dip, count: lines(text) } }, 'strap-dip-count')
              }
            />
            <NumberField
              label="Apart"
              text={dip.apart}
              resolve={lengths.sizeOrNone}
              onChange={(text) =>
                onChange({ ...strap, dip: { ...dip, apart: text.trim() } }, 'strap-dip-apart')
              }
            />
            <NumberField
              label="Thick"
              text={dip.width}
              resolve={lengths.size}
              onChange={(text) =>
                onChange({ ...strap, dip: { ...dip, width: text.trim() } }, 'strap-dip-width')
              }
            />
          </div>
          <CheckField
            text="To a point"
            on={dip.taper}
            onChange={(taper) => onChange({ ...strap, dip: { ...dip, taper } })}
          />
        </>
      )}
    </>
  );
}

function lines(text: string): number {
  return Math.min(MAX_DIPS, whole(text, 1));
}
