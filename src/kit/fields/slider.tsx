interface SliderProps {
  readonly label: string;
  /** The value in words, at the end of the label's line. */
  readonly text?: string;
  readonly value: number;
  readonly range: readonly [least: number, most: number];
  readonly step?: number;
  readonly disabled?: boolean;
  readonly onChange: (value: number) => void;
}

/** A number that is slid rather than typed. */
export function Slider({ label, text, value, range: [least, most], step, disabled, onChange }: SliderProps) {
  return (
    <label>
      <span className="label flex justify-between">
        <span>{label}</span>
        {text !== undefined && <span className="numbers">{text}</span>}
      </span>
      <input
        type="range"
        className="h-6 w-full accent-woad"
        min={least}
        max={most}
        step={step}
        value={value}
        disabled={disabled}
        onChange={(event) => onChange(Number(event.target.value))}
      />
    </label>
  );
}
