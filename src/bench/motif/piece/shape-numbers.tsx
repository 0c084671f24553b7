import type { MotifScale } from '../../../core/design/motif/motif-numbers.ts';
import {
  type NumberShape,
  numbersOfShape,
  SHAPE_NUMBERS,
  type ShapeNumber,
} from '../../../core/design/motif/shapes.ts';
import { LETTER_FONT_KEYS, letters } from '../../../core/shape/letters/letters.ts';
import { NumberField } from '../../../kit/fields/number-field.tsx';
import { SelectField } from '../../../kit/fields/select-field.tsx';
import { whole } from '../../../kit/fields/whole.ts';
import { plural } from '../../../wording/measures.ts';
import { FONT_NAMES, MEASURES, READ_NUMBERS, shapeLabel } from '../../../wording/motif-words.ts';
import { withNumber } from '../motif-edits.ts';

interface ShapeNumbersProps {
  readonly shape: NumberShape;
  readonly scale: MotifScale;
  readonly onChange: (shape: NumberShape, tag?: string) => void;
}

/** A field for each number of a shape. */
export function ShapeNumbers({ shape, scale, onChange }: ShapeNumbersProps) {
  const stored = shape as unknown as Readonly<Record<string, string | number>>;
  const put = (key: string, value: string | number) =>
    onChange(withNumber(shape, key, value) as NumberShape, `shape-${key}`);
  return (
    <div className="grid grid-cols-2 gap-3">
      {Object.entries(numbersOfShape(shape.kind)).map(([key, number]) => (
        <ShapeField
          key={key}
          label={shapeLabel(shape.kind, key)}
          number={number}
          value={stored[key]!}
          scale={scale}
          onChange={(value) => put(key, value)}
        />
      ))}
    </div>
  );
}

interface ShapeFieldProps {
  readonly label: string;
  readonly number: ShapeNumber;
  readonly value: string | number;
  readonly scale: MotifScale;
  readonly onChange: (value: string | number) => void;
}

function ShapeField({ label, number, value, scale, onChange }: ShapeFieldProps) {
  switch (number) {
    case 'measure':
    case 'font': {
      const names: Readonly<Record<string, string>> = number === 'font' ? FONT_NAMES : MEASURES;
      return (
        <SelectField
          label={label}
          value={String(value)}
          options={Object.entries(names).map(([key, text]) => ({ value: key, text }))}
          onChange={onChange}
        />
      );
    }
    case 'letters':
      return (
        <NumberField
          label={label}
          text={String(value)}
          resolve={(text) => {
            SHAPE_NUMBERS.letters.schema.parse(text);
            letters(text, LETTER_FONT_KEYS[0], 1);
            return plural([...text].length, 'letter');
          }}
          onChange={onChange}
        />
      );
    case 'sides':
    case 'points':
    case 'skip': {
      // The schema knows how many there may be; out of that, nothing is changed and it is said.
      const read = (text: string) => {
        const count = whole(text, number === 'sides' ? 3 : 2);
        SHAPE_NUMBERS[number].schema.parse(count);
        return count;
      };
      return (
        <NumberField
          label={label}
          text={String(value)}
          resolve={(text) => String(read(text))}
          onChange={(text) => onChange(read(text))}
        />
      );
    }
    default:
      return (
        <NumberField
          label={label}
          text={String(value)}
          resolve={(text) => READ_NUMBERS[number](text, scale)}
          onChange={(text) => onChange(text.trim())}
        />
      );
  }
}
