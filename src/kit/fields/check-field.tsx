interface CheckFieldProps {
  readonly text: string;
  readonly on: boolean;
  readonly onChange: (on: boolean) => void;
}

/** A box that is ticked or not, before what it says. */
export function CheckField({ text, on, onChange }: CheckFieldProps) {
  return (
    <label className="flex min-h-6 items-center gap-2 text-[13px]">
      <input
        type="checkbox"
        className="accent-woad"
        checked={on}
        onChange={(event) => onChange(event.target.checked)}
      />
      {text}
    </label>
  );
}
