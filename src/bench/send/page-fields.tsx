import { pixelOf } from '../../core/design/lay/lay-schema.ts';
import { parseLengthOrNone } from '../../core/design/tiling/tiling-numbers.ts';
import { PAPERS, parsePaper } from '../../core/formats/page/paper.ts';
import { Choice } from '../../kit/fields/choice.tsx';
import { NumberField } from '../../kit/fields/number-field.tsx';
import { SelectField } from '../../kit/fields/select-field.tsx';
import { lengthText, rectangleText } from '../../wording/measures.ts';
import { useDesign } from '../state/bench-store.ts';
import { useSend } from './send-store.ts';

/** Papers that are offered; others are typed. */
const OFFERED = PAPERS.flatMap((name) => [name, `${name} landscape`]);

/** What the pages of a PDF are. */
export function PageFields() {
  const wish = useSend();
  const { resolution } = useDesign();
  const typed = wish.paper !== '' && !OFFERED.includes(wish.paper);
  return (
    <>
      <SelectField
        label="Paper"
        value={typed ? 'other' : wish.paper}
        options={[
          { value: '', text: 'As large as the cloth' },
          ...OFFERED.map((name) => ({ value: name, text: name })),
          { value: 'other', text: 'Another size' },
        ]}
        onChange={(paper) => useSend.setState({ paper: paper === 'other' ? '12in x 18in' : paper })}
      />
      {typed && (
        <NumberField
          label="Size of the paper"
          text={wish.paper}
          resolve={(text) => `${rectangleText(parsePaper(text), 'mm')}`}
          onChange={(paper) => useSend.setState({ paper })}
        />
      )}
      {wish.paper !== '' && wish.what === 'tile' && (
        <p className="hint -mt-2">The cloth fills the paper. Choose a size to print a piece of it.</p>
      )}
      <NumberField
        label="Bleed"
        text={wish.bleed}
        resolve={(text) => `${lengthText(parseLengthOrNone(text, pixelOf(resolution)), 'mm')} mm`}
        onChange={(bleed) => useSend.setState({ bleed })}
      />
      <Choice
        label="Crop marks"
        value={wish.marks ? 'on' : 'off'}
        options={[
          { value: 'off', text: 'None' },
          { value: 'on', text: 'At the corners' },
        ]}
        onChange={(marks) => useSend.setState({ marks: marks === 'on' })}
      />
      <Choice
        label="Page with measures and shades"
        value={wish.ticket ? 'on' : 'off'}
        options={[
          { value: 'on', text: 'At the end' },
          { value: 'off', text: 'None' },
        ]}
        onChange={(ticket) => useSend.setState({ ticket: ticket === 'on' })}
      />
    </>
  );
}
