import type { MotifDesign } from '../../core/design/design-schema.ts';
import { parseLength } from '../../core/units/length.ts';
import { NumberField } from '../../kit/fields/number-field.tsx';
import { ShadeSelect } from '../../kit/fields/shade-select.tsx';
import { lengthText } from '../../wording/measures.ts';
import { READ_NUMBERS } from '../../wording/motif-words.ts';
import { putMotif } from './put-motif.ts';
import { useScale } from './use-scale.ts';

/** The grid's step, the box, and what lies beneath. */
export function BoxPart({ design }: { design: MotifDesign }) {
  const { step, box, ground } = design.construction;
  const scale = useScale(design);
  return (
    <>
      <div className="grid grid-cols-3 gap-3">
        <NumberField
          label="One step"
          text={step}
          resolve={(text) => `${lengthText(parseLength(text, 'mm', scale.pixel), 'mm')} mm`}
          onChange={(text) => putMotif({ step: text.trim() }, 'step')}
        />
        <NumberField
          label="Box, across"
          text={box.width}
          resolve={(text) => READ_NUMBERS.size(text, scale)}
          onChange={(width) => putMotif({ box: { ...box, width: width.trim() } }, 'width')}
        />
        <NumberField
          label="Box, up"
          text={box.height}
          resolve={(text) => READ_NUMBERS.size(text, scale)}
          onChange={(height) => putMotif({ box: { ...box, height: height.trim() } }, 'height')}
        />
      </div>
      <ShadeSelect
        label="Ground"
        shade={ground ?? ''}
        shades={design.shades}
        none="Transparent"
        onChange={(key) => putMotif({ ground: key === '' ? null : key })}
      />
    </>
  );
}
