import { Download } from 'lucide-react';
import { useMemo, useState } from 'react';
import { toast } from 'sonner';
import { type Design, isTiling, isWoven } from '../../core/design/design-schema.ts';
import { lossesOf } from '../../core/design/exchange/losses.ts';
import { filesOf } from '../../core/design/exchange/write-file.ts';
import { inThreads } from '../../core/design/in-threads.ts';
import { pitchOf } from '../../core/design/lay.ts';
import { parseLengthOrNone } from '../../core/design/tiling/tiling-schema.ts';
import { CoreError } from '../../core/error.ts';
import { parsePerStep, pixelSize } from '../../core/formats/picture-order.ts';
import { parseRepeats, parseSheet } from '../../core/formats/sheet.ts';
import { Choice } from '../../kit/choice.tsx';
import { NumberField } from '../../kit/number-field.tsx';
import { Panel } from '../../kit/panel.tsx';
import { ResolutionField } from '../../kit/resolution-field.tsx';
import { SelectField } from '../../kit/select-field.tsx';
import { valueIfAny } from '../../wording/attempt.ts';
import { errorSentence } from '../../wording/error-sentence.ts';
import { lossSentence } from '../../wording/loss-words.ts';
import { lengthText, rectangleText } from '../../wording/measures.ts';
import { sheetSentence } from '../../wording/sheet-words.ts';
import { saveNow } from '../state/autosave.ts';
import { problemOf, unmadeOf } from '../state/bench-state.ts';
import { benchState, dispatch, useBenchState, useDesign } from '../state/bench-store.ts';
import { setResolution } from '../state/design-edits.ts';
import { LoomDialog } from './loom-dialog.tsx';
import {
  addressOf,
  fileOf,
  isPicture,
  isStructure,
  readWish,
  SEND_FILES,
  type SendFile,
  savedName,
  scaleOf,
  useSend,
  useSendOrder,
} from './send-store.ts';
import { takeFile } from './take-file.ts';

const NAMES: Readonly<Record<SendFile, string>> = {
  png: 'PNG',
  svg: 'SVG',
  txt: 'Counts',
  csv: 'CSV',
  faces: 'Faces',
  wif: 'WIF',
  json: 'Design',
  draft: 'Draft',
  paper: 'Point paper',
  squares: 'Squares',
  texture: 'Texture',
};

const FOR: Readonly<Record<SendFile, string>> = {
  png: 'A picture in whole pixels, its resolution written in it.',
  svg: 'A drawing at true size, sharp at any scale.',
  txt: 'Thread counts or widths as text, which Vetro and people read.',
  csv: 'Bands as a table: shade, colour, count or width, pivot.',
  faces: 'The corners of every face as a table, as decimals and exactly (CSV).',
  wif: 'Threading, tie-up, treadling and colours in the open weave format (WIF 1.1).',
  draft: 'Structure, threading, tie-up and treadling as a drawing (SVG).',
  paper: 'The structure on squared paper, a heavier line every eight (PNG).',
  squares: 'The same as a drawing (SVG), sharp at any scale.',
  texture: 'The structure in grey on clear ground, to lie over a print (PNG).',
  json: 'The whole design, to open in Vetro again.',
};

/** Who gets it: which file, how much of it, and how fine. */
export function SendPanel() {
  const design = useDesign();
  const wish = useSend();
  const problem = useBenchState((state) => problemOf(state) ?? unmadeOf(state));
  const [taken, setTaken] = useState<number>();
  const [weaving, setWeaving] = useState(false);
  const numbers = isPicture(wish.file) ? readWish(wish, design) : undefined;
  const wrong = problem ?? (numbers !== undefined && 'problem' in numbers ? numbers.problem : undefined);
  return (
    <Panel title="Send" purpose="The repeat, a sheet of it or its numbers, as a file.">
      <Choice
        label="File"
        value={wish.file}
        options={SEND_FILES.filter((file) => isSent(file, design)).map((file) => ({
          value: file,
          text: NAMES[file],
        }))}
        onChange={(file) => useSend.setState({ file })}
      />
      {isWoven(design) && (
        <Choice
          label="Or the structure alone"
          value={wish.file}
          options={SEND_FILES.filter(isStructure).map((file) => ({ value: file, text: NAMES[file] }))}
          onChange={(file) => useSend.setState({ file })}
        />
      )}
      <p className="hint -mt-2">{FOR[wish.file]}</p>
      <Losses />
      {design.colourways.length > 0 && (
        <SelectField
          label="Colours"
          value={wish.colourway}
          options={[
            { value: '', text: 'As it is' },
            ...design.colourways.map(({ name }) => ({ value: name, text: name })),
          ]}
          onChange={(colourway) => useSend.setState({ colourway })}
        />
      )}
      {isPicture(wish.file) && <PictureWish />}
      {weaving && <LoomDialog onClose={() => setWeaving(false)} />}
      {(wish.file === 'paper' || wish.file === 'texture') && <PerThread />}
      {wrong !== undefined && (
        <p role="alert" className="rounded-lg bg-madder-pale px-3 py-2 text-[13px] text-madder">
          {wrong}
        </p>
      )}
      <button
        type="button"
        className="button button-go"
        disabled={taken !== undefined || (isPicture(wish.file) && wrong !== undefined)}
        onClick={() => void send(setTaken)}
      >
        <Download size={16} aria-hidden="true" />
        {taken === undefined
          ? `Send the ${NAMES[wish.file]}`
          : `Making it… ${(taken / 1e6).toFixed(1)} MB so far`}
      </button>
      {isWoven(design) && (
        <button type="button" className="button" onClick={() => setWeaving(true)}>
          Weave it on a loom…
        </button>
      )}
    </Panel>
  );
}

/** Pictures, drawings and the design itself can always be sent; files of text where the construction has them. */
function isSent(file: SendFile, design: Design): boolean {
  if (isStructure(file)) return false;
  return isPicture(file) || file === 'json' || filesOf(design).some((each) => each === fileOf(file));
}

function PerThread() {
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

/** What a text or table cannot hold of this design. */
function Losses() {
  const design = useDesign();
  const { file } = useSend();
  const sentence = useMemo(() => {
    if (file !== 'txt' && file !== 'csv' && file !== 'wif') return '';
    return lossSentence(valueIfAny(() => lossesOf(design, file)) ?? []);
  }, [design, file]);
  return sentence === '' ? null : <p className="-mt-1 text-[13px] text-weld">{sentence}</p>;
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
  const ordered = useSendOrder(({ ordered }) => ordered);
  if (ordered === undefined) return null;
  const { order, offers } = ordered;
  return (
    <div aria-live="polite" className="-mt-1 text-[13px]">
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
    </div>
  );
}

function PictureWish() {
  const design = useDesign();
  const wish = useSend();
  const { unit } = design.lay;
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
      {wish.file === 'png' && !inThreads(design) && (
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
      {wish.file === 'svg' && isTiling(design) && (
        <NumberField
          label="Faces run under their neighbours by"
          text={wish.underlap}
          resolve={(text) =>
            text.trim() === '' ? 'as far as does no harm' : `${lengthText(parseLengthOrNone(text), 'mm')} mm`
          }
          onChange={(underlap) => useSend.setState({ underlap })}
        />
      )}
      {wish.file === 'png' && inThreads(design) && (
        <Choice
          label="How fine"
          value={wish.scale}
          options={[
            { value: 'dpi', text: 'At true size' },
            { value: 'thread', text: 'Pixels a thread' },
          ]}
          onChange={(scale) => useSend.setState({ scale })}
        />
      )}
      {wish.file === 'png' && isWoven(design) && (
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
      {wish.file === 'png' && (wish.scale === 'dpi' || !inThreads(design)) && (
        <ResolutionField
          label="Resolution, pixels per inch"
          resolution={design.resolution}
          onChange={(text) => dispatch({ kind: 'edit', edit: setResolution(text), tag: 'resolution' })}
        />
      )}
      {wish.file === 'png' && wish.scale === 'thread' && inThreads(design) && <PerThread />}
    </>
  );
}

/** Saves what is on the bench, then takes the file that the server makes of it. */
async function send(told: (bytes: number | undefined) => void): Promise<void> {
  told(0);
  try {
    await saveNow();
    const { saved, stored, ...state } = benchState();
    if (saved.kind === 'failed' || saved.kind === 'stale') {
      toast.error('The last change is not saved yet, so it would be missing from the file. Save it first.');
      return;
    }
    const wish = useSend.getState();
    await takeFile(addressOf(state, wish, stored), savedName(wish, stored), told);
  } catch (error) {
    toast.error(error instanceof CoreError ? errorSentence(error) : (error as Error).message);
  } finally {
    told(undefined);
  }
}
