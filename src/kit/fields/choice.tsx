import { ToggleGroup } from 'radix-ui';
import type { ReactNode } from 'react';

interface ChoiceProps<T extends string> {
  readonly label: string;
  readonly hideLabel?: boolean;
  readonly value: T;
  readonly options: readonly { readonly value: T; readonly text: ReactNode }[];
  readonly onChange: (value: T) => void;
}

/** A few words side by side, one of them chosen. */
export function Choice<T extends string>({
  label,
  hideLabel = false,
  value,
  options,
  onChange,
}: ChoiceProps<T>) {
  return (
    <div>
      {!hideLabel && <span className="label">{label}</span>}
      <ToggleGroup.Root
        type="single"
        aria-label={label}
        value={value}
        onValueChange={(next) => next !== '' && onChange(next as T)}
        className="flex flex-wrap gap-px rounded-lg border border-rule bg-rule"
      >
        {options.map((option) => (
          <ToggleGroup.Item
            key={option.value}
            value={option.value}
            className="min-h-8 flex-1 whitespace-nowrap bg-white px-1.5 py-1 text-[13px] first:rounded-l-[7px] last:rounded-r-[7px] data-[state=on]:bg-woad-pale data-[state=on]:font-semibold data-[state=on]:text-woad"
          >
            {option.text}
          </ToggleGroup.Item>
        ))}
      </ToggleGroup.Root>
    </div>
  );
}
