import { kindFor } from '../../core/design/constructions.ts';
import { inThreads, wovenOf } from '../../core/design/design-facts.ts';
import { pitchOf, pixelOf } from '../../core/design/lay/lay-schema.ts';
import { parseLengthOrNone } from '../../core/design/tiling/tiling-numbers.ts';
import { parsePerStep, pixelSize } from '../../core/formats/picture-order.ts';
import { parseRepeats, parseSheet } from '../../core/formats/sheet.ts';
import { parseShrinkage } from '../../core/formats/shrinkage.ts';
import { CheckField } from '../../kit/fields/check-field.tsx';
import { Choice } from '../../kit/fields/choice.tsx';
import { NumberField } from '../../kit/fields/number-field.tsx';
import { ResolutionField } from '../../kit/fields/resolution-field.tsx';
import { lengthText, rectangleText } from '../../wording/measures.ts';
import { driftSentence, sheetSentence, shrinkageText } from '../../wording/sheet-words.ts';
import { dispatch, useDesign } from '../state/bench-store.ts';
import { setResolution } from '../state/design-edits.ts';
import { LibraryFields } from './library-fields.tsx';
import { PageFields } from './page-fields.tsx';
import { isFlattened, isLibrary, isRaster, scaleOf, useSend, useSendOrder } from './send-store.ts';
import { StrikeOffFields } from './strike-off-fields.tsx';

/** How much of the design a picture holds, and how it is made. */
export function PictureWish() {
  const design = useDesign();
  const wish = useSend();
  const { unit } = design.lay;
  const asked = kindFor(design.construction).drawing;
  return (
    <>
      <Choice
        label="How much"
        value={wish.what}
        options={[
          { value: 'tile', text: 'One repeat' },
          { value: 'repeats', text: 'Whole repeats' },
          { value: 'size', text: 'A size' },
        ]}
        onChange={(what) => useSend.setState({ what })}
      />
      {wish.what === 'repeats' && <Repeats />}
      {wish.what === 'size' && (
        <NumberField
          label="Size of the sheet"
          text={wish.size}
          resolve={(text) => {
            const sheet = parseSheet(text, unit, pixelSize(scaleOf(wish, design), pitchOf(design.lay)));
            return sheet.kind === 'size' ? rectangleText(sheet.size, unit) : text;
          }}
          onChange={(size) => useSend.setState({ size })}
        />
      )}
      {wish.what !== 'tile' && <SheetWords />}
      {wish.what !== 'tile' && isRaster(wish.file) && (
        <CheckField
          text="True scale: every repeat at its place, not rounded to whole pixels"
          on={wish.trueScale}
          onChange={(trueScale) => useSend.setState({ trueScale })}
        />
      )}
      {isRaster(wish.file) && !inThreads(design) && (
        <Choice
          label="Colours that share a pixel are mixed"
          value={wish.mixing}
          options={[
            { value: 'light', text: 'As light' },
            { value: 'bytes', text: 'As stored values' },
          ]}
          onChange={(mixing) => useSend.setState({ mixing })}
        />
      )}
      {wish.file === 'svg' && asked === 'underlap' && (
        <NumberField
          label="Faces run under their neighbours by"
          text={wish.underlap}
          resolve={(text) =>
            text.trim() === ''
              ? 'as far as does no harm'
              : `${lengthText(parseLengthOrNone(text, pixelOf(design.resolution)), 'mm')} mm`
          }
          onChange={(underlap) => useSend.setState({ underlap })}
        />
      )}
      {wish.file === 'svg' && asked === 'flatten' && (
        <Choice
          label="Plies are blended"
          value={wish.flatten ? 'flat' : 'live'}
          options={[
            { value: 'live', text: 'By the reader' },
            { value: 'flat', text: 'Flattened' },
          ]}
          onChange={(how) => useSend.setState({ flatten: how === 'flat' })}
        />
      )}
      {isRaster(wish.file) && inThreads(design) && (
        <Choice
          label="Scale"
          value={wish.scale}
          options={[
            { value: 'dpi', text: 'At true size' },
            { value: 'thread', text: 'Pixels a thread' },
          ]}
          onChange={(scale) => useSend.setState({ scale })}
        />
      )}
      {isRaster(wish.file) && wovenOf(design) !== undefined && (
        <Choice
          label="Drawn"
          value={wish.drawn}
          options={[
            { value: 'flat', text: 'Flat, to print' },
            { value: 'threads', text: 'As threads' },
            { value: 'finished', text: 'Finished' },
          ]}
          onChange={(drawn) => useSend.setState({ drawn })}
        />
      )}
      {(isFlattened(wish, design) ||
        (isRaster(wish.file) && (wish.scale === 'dpi' || !inThreads(design)))) && (
        <ResolutionField
          label="Resolution, pixels per inch"
          resolution={design.resolution}
          onChange={(text) => dispatch({ kind: 'edit', edit: setResolution(text), tag: 'resolution' })}
        />
      )}
      {isRaster(wish.file) && wish.scale === 'thread' && inThreads(design) && <PerThread />}
      {isLibrary(wish.file) && <LibraryFields />}
      {wish.file === 'pdf' && <PageFields />}
      {wish.file === 'pack' && <PackWords />}
      {wish.file === 'strike' && <StrikeOffFields />}
      {wish.file !== 'strike' && (
        <NumberField
          label="Shrinkage of warp and weft"
          text={wish.shrink}
          resolve={(text) =>
            text.trim() === '' ? 'none: sent at true size' : shrinkageText(parseShrinkage(text))
          }
          onChange={(shrink) => useSend.setState({ shrink })}
        />
      )}
    </>
  );
}

/** What the page in a pack says first. */
function PackWords() {
  const { words } = useSend();
  return (
    <div>
      <label htmlFor="pack-words" className="label">
        Words for whoever opens it
      </label>
      <textarea
        id="pack-words"
        className="field min-h-16 w-full"
        maxLength={2000}
        value={words}
        onChange={({ target }) => useSend.setState({ words: target.value })}
      />
    </div>
  );
}

export function PerThread() {
  const { perThread } = useSend();
  return (
    <NumberField
      label="Pixels a thread"
      text={perThread}
      resolve={(text) => String(parsePerStep(text))}
      onChange={(text) => useSend.setState({ perThread: text })}
      after={<span className="text-ash">px</span>}
    />
  );
}

/** How many repeats the sheet has, each way. */
function Repeats() {
  const { across, down } = useSend();
  const count = (text: string) => {
    parseRepeats(text);
    return text;
  };
  return (
    <div className="grid grid-cols-2 gap-3">
      <NumberField
        label="Repeats across"
        text={across}
        resolve={count}
        onChange={(text) => useSend.setState({ across: text })}
      />
      <NumberField
        label="Repeats down"
        text={down}
        resolve={count}
        onChange={(text) => useSend.setState({ down: text })}
      />
    </div>
  );
}

/** Whether the sheet repeats when it is laid edge to edge, and one click to the nearest sizes that do. */
function SheetWords() {
  const { unit } = useDesign().lay;
  const { ordered, isDue } = useSendOrder();
  if (ordered === undefined) return null;
  const { order, offers } = ordered;
  const drift = driftSentence(order);
  return (
    <div aria-live="polite" aria-busy={isDue} inert={isDue} className="found -mt-1 text-[13px]">
      <p className={offers.length === 0 ? 'text-ash' : 'text-weld'}>{sheetSentence(order)}</p>
      {offers.length > 0 && (
        <div className="mt-2 flex flex-wrap gap-2">
          {offers.map(({ block: { across, down }, size }) => (
            <button
              key={`${across} ${down}`}
              type="button"
              className="button numbers"
              onClick={() =>
                useSend.setState({ what: 'repeats', across: String(across), down: String(down) })
              }
            >
              {across} × {down}: {rectangleText(size, unit)}
            </button>
          ))}
        </div>
      )}
      {offers.length > 0 && drift !== '' && <p className="mt-2 text-weld">{drift}</p>}
    </div>
  );
}
