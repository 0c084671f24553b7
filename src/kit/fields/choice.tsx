import { RadioGroup } from 'radix-ui';
import type { ReactNode } from 'react';

interface ChoiceProps<T extends string> {
  readonly label: string;
  readonly hideLabel?: boolean;
  readonly value: T;
  readonly options: readonly { readonly value: T; readonly text: ReactNode }[];
  readonly onChange: (value: T) => void;
}

/** A few words side by side, one of them chosen; the arrow keys choose the next one. */
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
      <RadioGroup.Root
        aria-label={label}
        value={value}
        onValueChange={(next) => onChange(next as T)}
        className="flex flex-wrap gap-px rounded-lg border border-rule bg-rule"
      >
        {options.map((option) => (
          <RadioGroup.Item
            key={option.value}
            value={option.value}
            className="min-h-8 flex-1 whitespace-nowrap bg-white px-1.5 py-1 text-[13px] first-of-type:rounded-l-[7px] last-of-type:rounded-r-[7px] data-[state=checked]:bg-woad-pale data-[state=checked]:font-semibold data-[state=checked]:text-woad"
          >
            {option.text}
          </RadioGroup.Item>
        ))}
      </RadioGroup.Root>
    </div>
  );
}
