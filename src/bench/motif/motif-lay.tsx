import { OVERLAPS } from '../../core/design/motif/motif-schema.ts';
import { SelectField } from '../../kit/fields/select-field.tsx';
import { OVERLAP_NAMES } from '../../wording/motif-words.ts';
import { useDesignOf } from '../state/use-construction.ts';
import { putMotif } from './put-motif.ts';

/** What lies on top where pieces overlap. */
export function MotifLayPart() {
  const { overlap } = useDesignOf('motif').construction;
  return (
    <SelectField
      label="On top where they overlap"
      value={overlap}
      options={OVERLAPS.map((value) => ({ value, text: OVERLAP_NAMES[value] }))}
      onChange={(next) => putMotif({ overlap: next })}
    />
  );
}
