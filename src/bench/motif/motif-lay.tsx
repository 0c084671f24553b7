import { parseStepPart } from '../../core/design/motif/motif-numbers.ts';
import { type MotifLay, OVERLAPS } from '../../core/design/motif/motif-schema.ts';
import { Choice } from '../../kit/fields/choice.tsx';
import { NumberField } from '../../kit/fields/number-field.tsx';
import { SelectField } from '../../kit/fields/select-field.tsx';
import { LAY_NAMES, OVERLAP_NAMES } from '../../wording/motif-words.ts';
import { useDesignOf } from '../state/use-construction.ts';
import { putMotif } from './put-motif.ts';

const LAYS = (Object.keys(LAY_NAMES) as MotifLay['kind'][]).map((value) => ({
  value,
  text: LAY_NAMES[value],
}));

/** How boxes are set side by side, and what lies on top where pieces overlap. */
export function MotifLayPart() {
  const { lay, overlap } = useDesignOf('motif').construction;
  return (
    <>
      <Choice
        label="Boxes side by side"
        value={lay.kind}
        options={LAYS}
        onChange={(kind) => putMotif({ lay: kind === 'straight' ? { kind } : { kind, by: stepOf(lay) } })}
      />
      {lay.kind !== 'straight' && (
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
      <SelectField
        label="On top where they overlap"
        value={overlap}
        options={OVERLAPS.map((value) => ({ value, text: OVERLAP_NAMES[value] }))}
        onChange={(next) => putMotif({ overlap: next })}
      />
    </>
  );
}

function stepOf(lay: MotifLay): string {
  return lay.kind === 'straight' ? '1/2' : lay.by;
}
