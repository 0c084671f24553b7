import { useId } from 'react';

interface SelectFieldProps<T extends string> {
  readonly label: string;
  /** An option's value, or empty while none of them is chosen. */
  readonly value: T | '';
  readonly options: readonly { readonly value: T; readonly text: string }[];
  /** What stands there while none is chosen; without it, one always is. */
  readonly none?: string;
  readonly onChange: (value: T) => void;
}

/** One of a list of words. */
export function SelectField<T extends string>({
  label,
  value,
  options,
  none,
  onChange,
}: SelectFieldProps<T>) {
  const id = useId();
  return (
    <div>
      <label htmlFor={id} className="label">
        {label}
      </label>
      <select id={id} className="field" value={value} onChange={(event) => onChange(event.target.value as T)}>
        {none !== undefined && (
          <option value="" disabled>
            {none}
          </option>
        )}
        {options.map((option) => (
          <option key={option.value} value={option.value}>
            {option.text}
          </option>
        ))}
      </select>
    </div>
  );
}
