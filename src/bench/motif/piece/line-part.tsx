import { Plus } from 'lucide-react';
import type { Shade } from '../../../core/colour/shade.ts';
import type { MotifScale } from '../../../core/design/motif/motif-numbers.ts';
import { type LineShape, MAX_POINTS } from '../../../core/design/motif/motif-schema.ts';
import { CheckField } from '../../../kit/fields/check-field.tsx';
import { Choice } from '../../../kit/fields/choice.tsx';
import { LINE_ENDS } from '../../../kit/fields/line-ends.ts';
import { NumberField } from '../../../kit/fields/number-field.tsx';
import { RemoveButton } from '../../../kit/remove-button.tsx';
import { READ_NUMBERS } from '../../../wording/motif-words.ts';
import { type StrapLengths, StrapPart } from '../../straps/strap-part.tsx';
import { DashesFields } from './outline-part.tsx';

const RUNS = [
  { value: 'open', text: 'Stops' },
  { value: 'closed', text: 'Closes' },
  { value: 'onward', text: 'Goes on' },
] as const;

interface LinePartProps {
  readonly shape: LineShape;
  readonly shades: readonly Shade[];
  readonly scale: MotifScale;
  readonly onChange: (shape: LineShape, tag?: string) => void;
}

/** A gap of an eighth of a step, and no more, to begin with. */
const USUAL_STRAP = { gap: '1/8', edges: [], centre: null, dip: null };

const IN_STEPS = { thin: '1/8', dash: '1/4', dip: '1' };

/** The points of a line, how it goes on at its ends, and how wide it is. */
export function LinePart({ shape, shades, scale, onChange }: LinePartProps) {
  const { points, run, width, ends, dashes, strap } = shape;
  const lengths: StrapLengths = {
    ...IN_STEPS,
    size: (text) => READ_NUMBERS.size(text, scale),
    sizeOrNone: (text) => READ_NUMBERS.sizeOrNone(text, scale),
  };
  const size = (text: string) => READ_NUMBERS.size(text, scale);
  const least = run === 'closed' ? 3 : 2;
  return (
    <>
      <PointTable shape={shape} scale={scale} least={least} onChange={onChange} />
      {points.length < MAX_POINTS && (
        <button
          type="button"
          className="button"
          onClick={() => onChange({ ...shape, points: [...points, pointAfter(points.at(-1)!)] })}
        >
          <Plus size={15} aria-hidden="true" /> Add a point
        </button>
      )}
      <Choice
        label="At its ends"
        value={run}
        options={points.length < 3 ? RUNS.filter(({ value }) => value !== 'closed') : RUNS}
        onChange={(next) => onChange({ ...shape, run: next })}
      />
      {run === 'onward' && (
        <p className="hint">The last point is where the first one comes in the next box.</p>
      )}
      <CheckField
        text="Filled, without a width"
        on={width === null}
        onChange={(on) => onChange({ ...shape, width: on ? null : '1/2' })}
      />
      {width !== null && (
        <>
          <NumberField
            label="Width of the line"
            text={width}
            resolve={size}
            onChange={(text) => onChange({ ...shape, width: text.trim() }, 'line-width')}
          />
          <Choice
            label="Ends and corners"
            value={ends}
            options={LINE_ENDS}
            onChange={(next) => onChange({ ...shape, ends: next })}
          />
          {strap === null && (
            <DashesFields
              dashes={dashes}
              scale={scale}
              onChange={(next, tag) => onChange({ ...shape, dashes: next }, tag)}
            />
          )}
          <CheckField
            text="A strap: goes over and under others"
            on={strap !== null}
            onChange={(on) => onChange({ ...shape, strap: on ? USUAL_STRAP : null })}
          />
          {strap !== null && (
            <StrapPart
              strap={strap}
              shades={shades}
              lengths={lengths}
              onChange={(next, tag) => onChange({ ...shape, strap: next }, tag)}
            />
          )}
        </>
      )}
    </>
  );
}

interface PointTableProps extends Omit<LinePartProps, 'shades'> {
  readonly least: number;
}

function PointTable({ shape, scale, least, onChange }: PointTableProps) {
  const { points } = shape;
  const put = (at: number, change: Partial<LineShape['points'][number]>, tag?: string) =>
    onChange(
      { ...shape, points: points.with(at, { ...points[at]!, ...change }) },
      tag && `point-${at}-${tag}`,
    );
  const way = (text: string) => READ_NUMBERS.way(text, scale);
  return (
    <ol aria-label="Points, from the piece’s place" className="m-0 flex list-none flex-col gap-1.5 p-0">
      {points.map(({ x, y, bend, radius }, at) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: points have no identity but their place
        <li key={at} className="grid grid-cols-[1fr_1fr_92px_30px] items-start gap-1.5">
          <NumberField
            hideLabel
            label={`Point ${at + 1}, across`}
            text={x}
            resolve={way}
            onChange={(text) => put(at, { x: text.trim() }, 'x')}
          />
          <NumberField
            hideLabel
            label={`Point ${at + 1}, up`}
            text={y}
            resolve={way}
            onChange={(text) => put(at, { y: text.trim() }, 'y')}
          />
          <span className="flex flex-col gap-1">
            <select
              aria-label={`Point ${at + 1} is`}
              className="field px-1"
              value={bend === 'curve' ? 'curve' : radius === '0' ? 'corner' : 'round'}
              onChange={(event) => {
                const how = event.target.value;
                put(at, {
                  bend: how === 'curve' ? 'curve' : 'corner',
                  radius: how === 'round' ? '1/4' : '0',
                });
              }}
            >
              <option value="corner">Corner</option>
              <option value="round">Rounded</option>
              <option value="curve">Curve</option>
            </select>
            {bend === 'corner' && radius !== '0' && (
              <NumberField
                hideLabel
                label={`Radius of point ${at + 1}`}
                text={radius}
                resolve={(text) => READ_NUMBERS.size(text, scale)}
                onChange={(text) => put(at, { radius: text.trim() }, 'radius')}
              />
            )}
          </span>
          <RemoveButton
            label={`Remove point ${at + 1}`}
            disabled={points.length <= least}
            onClick={() => onChange({ ...shape, points: points.filter((_, other) => other !== at) })}
          />
        </li>
      ))}
    </ol>
  );
}

/** A point a step further to the right. */
function pointAfter(point: LineShape['points'][number]): LineShape['points'][number] {
  const x = Number(point.x);
  return { ...point, x: Number.isFinite(x) ? String(x + 1) : `${point.x} + 1` };
}
