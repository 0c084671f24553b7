import { Minus, Plus, Scissors, Trash2 } from 'lucide-react';
import { useEffect, useRef } from 'react';
import type { Shade } from '../../core/colour/shade.ts';
import type { Direction } from '../../core/design/construction.ts';
import type { Design } from '../../core/design/design-schema.ts';
import { bandScale } from '../../core/design/lay/lay-schema.ts';
import { CoreError } from '../../core/error.ts';
import { exactDecimal } from '../../core/exact/exact-decimal.ts';
import { parseExact } from '../../core/exact/parse-exact.ts';
import { isWhole, toText } from '../../core/exact/rational.ts';
import { type Band, MAX_COUNT } from '../../core/thread/band.ts';
import {
  type Bands,
  removeBand,
  setCount,
  setShade,
  setStrength,
  splitBand,
} from '../../core/thread/edit-bands.ts';
import { parseStrength } from '../../core/thread/print.ts';
import { readWidth, widthIn } from '../../core/units/band-width.ts';
import { NumberField } from '../../kit/fields/number-field.tsx';
import { wordsOf } from '../rails/rail-words.ts';
import {
  type BandMeasures,
  editBands,
  hasStrengths,
  measuresOf,
  sequenceOf,
  setWidth,
  sharesSequence,
} from '../state/band-edits.ts';
import { dispatch, useBenchState, useDesign } from '../state/bench-store.ts';

interface BandListProps {
  readonly direction: Direction;
  /** Another number whenever the selected band was added here, so that its editor takes the focus. */
  readonly asked: number;
}

/** The typed bands of a sequence, one a row; the selected one opens. */
export function BandList({ direction, asked }: BandListProps) {
  const design = useDesign();
  const { bands, mirror } = sequenceOf(design, direction);
  const { countText } = wordsOf(design);
  const selection = useBenchState((state) => state.selection);
  const selected = selection?.direction === direction || sharesSequence(design) ? selection?.band : undefined;
  const open = useRef<HTMLLIElement>(null);
  const focusing = useRef(false);
  const before = useRef(asked);
  // biome-ignore lint/correctness/useExhaustiveDependencies: scrolls whenever another band is selected
  useEffect(() => {
    void open.current?.scrollIntoView({ block: 'nearest' });
    if (focusing.current || asked !== before.current) open.current?.querySelector('input')?.focus();
    focusing.current = false;
    before.current = asked;
  }, [selected, asked]);
  return (
    <ul className="m-0 max-h-[240px] list-none overflow-y-auto border-rule border-t p-0" aria-label="Bands">
      {bands.map((band, index) => {
        const pivot = mirror !== 'none' && (index === 0 || index === bands.length - 1);
        const shade = design.shades.find(({ key }) => key === band.shade)!;
        return (
          // biome-ignore lint/suspicious/noArrayIndexKey: a band has no identity but its place
          <li key={index} ref={index === selected ? open : undefined} className="border-rule/70 border-b">
            {index === selected ? (
              <OpenBand direction={direction} index={index} band={band} only={bands.length === 1} />
            ) : (
              <button
                type="button"
                className="flex w-full items-center gap-3 px-1 py-1 text-left hover:bg-linen"
                onClick={() => {
                  focusing.current = true;
                  dispatch({ kind: 'select', selection: { direction, band: index } });
                }}
              >
                <span className="chip" style={{ backgroundColor: shade.hex }} />
                <span className="min-w-0 flex-1 truncate">{shade.name}</span>
                <span className="numbers">
                  {countText(band)}
                  {band.strength !== undefined && ` @ ${band.strength}`}
                </span>
                <span className="w-10 text-right text-[12.5px] text-ash">{pivot ? 'pivot' : ''}</span>
              </button>
            )}
          </li>
        );
      })}
    </ul>
  );
}

interface OpenBandProps {
  readonly direction: Direction;
  readonly index: number;
  readonly band: Band;
  readonly only: boolean;
}

/** The band that is worked on: its shade, its count, cut and remove. */
function OpenBand({ direction, index, band, only }: OpenBandProps) {
  const design = useDesign();
  const { shades } = design;
  const { perKey } = wordsOf(design);
  const measures = measuresOf(design);
  const one = measures !== undefined && measures.unit !== 'thread' ? `1 ${measures.unit}` : 'One thread';
  const change = (edit: (bands: Bands) => Bands, tag?: string) =>
    dispatch({ kind: 'edit', edit: editBands(direction, edit), ...(tag === undefined ? {} : { tag }) });
  return (
    <div className="bg-woad-pale px-2 py-2">
      <div className="flex items-start gap-2">
        <NumberField
          {...(measures !== undefined
            ? widthField(measures, design, index)
            : {
                label: 'Threads of this band',
                text: String(band.count),
                resolve: resolveCount,
                onChange: (text: string) =>
                  change(
                    (bands) => setCount(bands, index, Number(resolveCount(text))),
                    `field-${direction}-${index}`,
                  ),
              })}
          hideLabel
          after={
            <span className="flex">
              <Tool
                label={`${one} less`}
                onClick={() => change((bands) => setCount(bands, index, band.count - perKey))}
              >
                <Minus size={15} />
              </Tool>
              <Tool
                label={`${one} more`}
                onClick={() => change((bands) => setCount(bands, index, band.count + perKey))}
              >
                <Plus size={15} />
              </Tool>
              <Tool
                label="Split this band"
                disabled={band.count < 2}
                onClick={() => change((bands) => splitBand(bands, index))}
              >
                <Scissors size={15} />
              </Tool>
              <Tool
                label="Remove this band"
                disabled={only}
                onClick={() => change((bands) => removeBand(bands, index))}
              >
                <Trash2 size={15} />
              </Tool>
            </span>
          }
        />
      </div>
      {hasStrengths(design) && (
        <NumberField
          label="Strength of this band, empty for that of all"
          text={band.strength ?? ''}
          resolve={(text) => {
            if (text.trim() !== '') parseStrength(text);
            return text.trim();
          }}
          onChange={(text) =>
            change(
              (bands) => setStrength(bands, index, text.trim() === '' ? undefined : text.trim()),
              `strength-${direction}-${index}`,
            )
          }
        />
      )}
      <ShadePicker
        shades={shades}
        value={band.shade}
        onChange={(key) => change((bands) => setShade(bands, index, key))}
      />
    </div>
  );
}

/** A band's width as it is typed, with what it comes to in the unit of all of them. */
function widthField({ unit, widthOf }: BandMeasures, design: Design, index: number) {
  return {
    label: 'Width of this band',
    text: widthOf(index),
    resolve: (text: string) => {
      const width = exactDecimal(widthIn(text, unit, bandScale(design)));
      return readWidth(text).unit === undefined ? width : `${width} ${unit}`;
    },
    onChange: (width: string) =>
      dispatch({
        kind: 'edit',
        edit: setWidth(index, width),
        tag: `width-${index}`,
      }),
  };
}

interface ToolProps {
  readonly label: string;
  readonly disabled?: boolean;
  readonly onClick: () => void;
  readonly children: React.ReactNode;
}

function Tool({ label, disabled, onClick, children }: ToolProps) {
  return (
    <button
      type="button"
      aria-label={label}
      title={label}
      disabled={disabled}
      onClick={onClick}
      className="button button-plain"
    >
      {children}
    </button>
  );
}

interface ShadePickerProps {
  readonly shades: readonly Shade[];
  readonly value: string;
  readonly onChange: (key: string) => void;
}

function ShadePicker({ shades, value, onChange }: ShadePickerProps) {
  return (
    <fieldset className="m-0 mt-1 flex flex-wrap gap-1 border-0 p-0" aria-label="Shade of this band">
      {shades.map(({ key, name, hex }) => (
        <button
          key={key}
          type="button"
          title={`${name} (${key})`}
          aria-label={name}
          aria-pressed={key === value}
          className={`chip h-7 w-7 ${key === value ? 'ring-2 ring-woad ring-offset-2 ring-offset-woad-pale' : ''}`}
          style={{ backgroundColor: hex }}
          onClick={() => onChange(key)}
        />
      ))}
    </fieldset>
  );
}

/** A whole count of threads from arithmetic such as 2*12. */
function resolveCount(text: string): string {
  const value = parseExact(text);
  if (!isWhole(value) || value.n < 1n || value.n > BigInt(MAX_COUNT)) {
    throw new CoreError('notation/count', { word: text, count: toText(value), most: MAX_COUNT });
  }
  return toText(value);
}
