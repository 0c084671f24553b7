import type { Design } from '../../core/design/design-schema.ts';
import { pixelOf } from '../../core/design/lay/lay-schema.ts';
import { parseLengthOrNone } from '../../core/design/tiling/tiling-numbers.ts';
import { toNumber } from '../../core/exact/rational.ts';
import { OVERLAP, type PagePlan, type PageWish, planPages } from '../../core/formats/page/page-plan.ts';
import { PAPERS, parsePaper } from '../../core/formats/page/paper.ts';
import { parseShrinkage, UNSHRUNK } from '../../core/formats/shrinkage.ts';
import { Choice } from '../../kit/fields/choice.tsx';
import { NumberField } from '../../kit/fields/number-field.tsx';
import { SelectField } from '../../kit/fields/select-field.tsx';
import { attempt } from '../../wording/attempt.ts';
import { lengthText, rectangleText } from '../../wording/measures.ts';
import { useDesign } from '../state/bench-store.ts';
import { type SendOrder, type SendWish, useSend, useSendOrder } from './send-store.ts';

/** Papers that are offered; others are typed. */
const OFFERED = PAPERS.flatMap((name) => [name, `${name} landscape`]);

/** How many pages there will be, said before they are made. */
function PageWords() {
  const wish = useSend();
  const design = useDesign();
  const { ordered, isDue } = useSendOrder();
  if (wish.paper === '' || ordered === undefined) return null;
  if (wish.what === 'tile') {
    return <p className="hint -mt-2">The cloth fills the paper. Choose a size to print a piece of it.</p>;
  }
  const planned = attempt(() => planPages(pagesOf(wish, design, ordered)));
  const words = 'problem' in planned ? planned.problem : pageWords(planned.value);
  return (
    <p
      aria-busy={isDue}
      className={`found -mt-2 text-[13px] ${'problem' in planned ? 'text-madder' : 'text-ash'}`}
    >
      {words}
    </p>
  );
}

function pagesOf({ paper, bleed, marks, shrink }: SendWish, design: Design, { size }: SendOrder): PageWish {
  const { x, y } = shrink.trim() === '' ? UNSHRUNK : parseShrinkage(shrink);
  const sheet = parsePaper(paper);
  return {
    cloth: { width: toNumber(size.width) * toNumber(x), height: toNumber(size.height) * toNumber(y) },
    paper: { width: toNumber(sheet.width), height: toNumber(sheet.height) },
    bleed: toNumber(parseLengthOrNone(bleed, pixelOf(design.resolution))),
    marks,
    overlap: OVERLAP,
  };
}

function pageWords({ across, down }: PagePlan): string {
  if (across * down === 1) return 'One page, the cloth in its middle.';
  return `${across * down} pages, ${across} across and ${down} down, to be put together.`;
}

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
      <PageWords />
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
