import { toDecimal } from '../../core/exact/rational.ts';
import { parseResolution } from '../../core/units/resolution.ts';
import { NumberField } from './number-field.tsx';

interface ResolutionFieldProps {
  readonly label: string;
  /** As typed. */
  readonly resolution: string;
  readonly onChange: (resolution: string) => void;
}

/** A resolution in pixels per inch. */
export function ResolutionField({ label, resolution, onChange }: ResolutionFieldProps) {
  return (
    <NumberField
      label={label}
      text={resolution}
      resolve={(text) => toDecimal(parseResolution(text), 4)}
      onChange={onChange}
      after={<span className="text-ash">dpi</span>}
    />
  );
}
