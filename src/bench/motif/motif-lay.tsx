import { parseStepPart } from '../../core/design/motif/motif-numbers.ts';
import { type MotifLay, OVERLAPS } from '../../core/design/motif/motif-schema.ts';
import { Choice } from '../../kit/fields/choice.tsx';
import { NumberField } from '../../kit/fields/number-field.tsx';
import { SelectField } from '../../kit/fields/select-field.tsx';
import { LAY_NAMES, OVERLAP_NAMES, READ_NUMBERS } from '../../wording/motif-words.ts';
import { useDesignOf } from '../state/use-construction.ts';
import { GroupLays } from './group-lays.tsx';
import { usualLay } from './motif-edits.ts';
import { putMotif } from './put-motif.ts';
import { useScale } from './use-scale.ts';

const LAYS = (Object.keys(LAY_NAMES) as MotifLay['kind'][]).map((value) => ({
  value,
  text: LAY_NAMES[value],
}));

/** How boxes are set side by side, and what lies on top where pieces overlap. */
export function MotifLayPart() {
  const design = useDesignOf('motif');
  const { construction } = design;
  const { lay, overlap } = construction;
  return (
    <>
      <Choice
        label="Boxes side by side"
        value={lay.kind}
        options={LAYS}
        onChange={(kind) => putMotif({ lay: usualLay(kind, construction) })}
      />
      {(lay.kind === 'half-drop' || lay.kind === 'brick') && (
        <NumberField
          label={
            lay.kind === 'half-drop'
              ? 'Each column higher by, of a box'
              : 'Each row further right by, of a box'
          }
          text={lay.by}
          resolve={(text) => {
            parseStepPart(text);
            return text.trim();
          }}
          onChange={(by) => putMotif({ lay: { ...lay, by: by.trim() } }, 'by')}
        />
      )}
      {lay.kind === 'group' && <GroupLays design={design} lay={lay} />}
      {lay.kind === 'free' && <FreeWays lay={lay} />}
      <SelectField
        label="On top where they overlap"
        value={overlap}
        options={OVERLAPS.map((value) => ({ value, text: OVERLAP_NAMES[value] }))}
        onChange={(next) => putMotif({ overlap: next })}
      />
    </>
  );
}

const WAYS = [
  ['across', 'x', 'Next box, across'],
  ['across', 'y', 'Next box, up'],
  ['up', 'x', 'Next row, across'],
  ['up', 'y', 'Next row, up'],
] as const;

/** Two ways by which boxes come again, in steps. */
function FreeWays({ lay }: { readonly lay: Extract<MotifLay, { kind: 'free' }> }) {
  const scale = useScale(useDesignOf('motif'));
  return (
    <div className="grid grid-cols-2 gap-3">
      {WAYS.map(([way, axis, label]) => (
        <NumberField
          key={label}
          label={label}
          text={lay[way][axis]}
          resolve={(text) => READ_NUMBERS.way(text, scale)}
          onChange={(text) =>
            putMotif({ lay: { ...lay, [way]: { ...lay[way], [axis]: text.trim() } } }, `${way}-${axis}`)
          }
        />
      ))}
    </div>
  );
}
