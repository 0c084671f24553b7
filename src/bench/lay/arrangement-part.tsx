import type { BuiltBox } from '../../core/design/construction.ts';
import { isBoxGroup } from '../../core/design/lay/arrange.ts';
import { parseStepPart } from '../../core/design/lay/lay-numbers.ts';
import type { Arrangement, Lay } from '../../core/design/lay/lay-schema.ts';
import { parseWay, SOME_SCALE } from '../../core/design/motif/motif-numbers.ts';
import { groupBlock } from '../../core/repeat/lay/group-blocks.ts';
import { Choice } from '../../kit/fields/choice.tsx';
import { NumberField } from '../../kit/fields/number-field.tsx';
import { layText } from '../../wording/lay-words.ts';
import { freeFrom, putLay } from './lay-edits.ts';

interface ArrangementPartProps {
  readonly lay: Lay;
  /** What numbers of free ways count, and how large a box is in them. */
  readonly counted: BuiltBox['counted'];
}

/** The numbers of the lay that is chosen. */
export function ArrangementPart({ lay, counted }: ArrangementPartProps) {
  const { arrangement, pivots } = lay;
  return (
    <div className="flex flex-col gap-3">
      <p className="text-[14px]">
        <b className="font-semibold">{layText(arrangement)}</b>
        {arrangement.kind === 'group' && <span className="numbers text-ash"> {arrangement.group}</span>}
      </p>
      {'by' in arrangement && (
        <NumberField
          label={
            arrangement.kind === 'half-drop'
              ? 'Each column higher by, of a box'
              : 'Each row further right by, of a box'
          }
          text={arrangement.by}
          resolve={(text) => {
            parseStepPart(text);
            return text.trim();
          }}
          onChange={(by) => putLay({ arrangement: { ...arrangement, by: by.trim() } }, 'by')}
        />
      )}
      {arrangement.kind === 'free' ? (
        <FreeWays arrangement={arrangement} name={counted.by} />
      ) : (
        <button
          type="button"
          className="button self-start"
          onClick={() => putLay({ arrangement: freeFrom(counted) })}
        >
          By two ways of your own
        </button>
      )}
      {counted.by === 'threads' && hasMirrors(arrangement) && (
        <Choice
          label="Threads on a mirror"
          value={pivots}
          options={[
            { value: 'shared', text: 'Stand once' },
            { value: 'doubled', text: 'Meet themselves' },
          ]}
          onChange={(next) => putLay({ pivots: next })}
        />
      )}
    </div>
  );
}

/** Whether edges of boxes are mirrors. */
function hasMirrors(arrangement: Arrangement): boolean {
  if (arrangement.kind !== 'group' || !isBoxGroup(arrangement.group)) return false;
  const { upright, level } = groupBlock(arrangement.group, arrangement.way).mirrors;
  return upright || level;
}

const WAYS = [
  ['across', 'x', 'Next box, across'],
  ['across', 'y', 'Next box, up'],
  ['up', 'x', 'Next row, across'],
  ['up', 'y', 'Next row, up'],
] as const;

interface FreeWaysProps {
  readonly arrangement: Extract<Arrangement, { kind: 'free' }>;
  readonly name: string;
}

/** Two ways by which boxes come again. */
function FreeWays({ arrangement, name }: FreeWaysProps) {
  return (
    <fieldset className="m-0 border-0 p-0">
      <legend className="label">Ways to the next boxes, in {name}</legend>
      <div className="grid grid-cols-2 gap-3">
        {WAYS.map(([way, axis, label]) => (
          <NumberField
            key={label}
            label={label}
            text={arrangement[way][axis]}
            resolve={(text) => {
              parseWay(text, SOME_SCALE);
              return text.trim();
            }}
            onChange={(text) =>
              putLay(
                { arrangement: { ...arrangement, [way]: { ...arrangement[way], [axis]: text.trim() } } },
                `${way}-${axis}`,
              )
            }
          />
        ))}
      </div>
    </fieldset>
  );
}
