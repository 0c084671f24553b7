import { useId } from 'react';

/** What can be chosen, in its order. */
export type Options<T extends string = string> = readonly Option<T>[];

interface Option<T extends string> {
  readonly value: T;
  readonly text: string;
  /** A heading over the options that follow each other with it. */
  readonly group?: string;
}

interface SelectFieldProps<T extends string> {
  readonly label: string;
  /** An option's value, or empty while none of them is chosen. */
  readonly value: T | '';
  readonly options: Options<T>;
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
        {headed(options).map(({ group, members }) => {
          const lines = members.map((option) => (
            <option key={option.value} value={option.value}>
              {option.text}
            </option>
          ));
          return group === undefined ? (
            lines
          ) : (
            <optgroup key={group} label={group}>
              {lines}
            </optgroup>
          );
        })}
      </select>
    </div>
  );
}

/** Options by their headings, in their order. */
function headed<T extends string>(options: Options<T>) {
  const groups: { readonly group: string | undefined; readonly members: Option<T>[] }[] = [];
  for (const option of options) {
    const last = groups.at(-1);
    if (last !== undefined && last.group === option.group) last.members.push(option);
    else groups.push({ group: option.group, members: [option] });
  }
  return groups;
}
