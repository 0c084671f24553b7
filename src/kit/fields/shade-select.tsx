import type { Shade } from '../../core/colour/shade.ts';
import { SelectField } from './select-field.tsx';

interface ShadeSelectProps {
  readonly label: string;
  readonly shade: string;
  readonly shades: readonly Shade[];
  /** What can be chosen before all shades, for none of them. */
  readonly none?: string;
  readonly onChange: (key: string) => void;
}

/** One of a design's shades, by its key; empty for none. */
export function ShadeSelect({ label, shade, shades, none, onChange }: ShadeSelectProps) {
  return (
    <SelectField
      label={label}
      value={shade}
      options={[
        ...(none === undefined ? [] : [{ value: '', text: none }]),
        ...shades.map(({ key, name }) => ({ value: key, text: `${key} ${name}` })),
      ]}
      onChange={onChange}
    />
  );
}
