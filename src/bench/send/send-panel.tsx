import { Download } from 'lucide-react';
import { useMemo, useState } from 'react';
import { wovenOf } from '../../core/design/design-facts.ts';
import { lossesOf } from '../../core/design/exchange/losses.ts';
import { Choice } from '../../kit/fields/choice.tsx';
import { SelectField } from '../../kit/fields/select-field.tsx';
import { Panel } from '../../kit/panel.tsx';
import { valueIfAny } from '../../wording/attempt.ts';
import { lossSentence } from '../../wording/loss-words.ts';
import { problemOf, unmadeOf } from '../state/bench-state.ts';
import { useBenchState, useDesign } from '../state/bench-store.ts';
import { LoomDialog } from './loom-dialog.tsx';
import { PerThread, PictureWish } from './picture-fields.tsx';
import { send } from './send-file.ts';
import { FILE_NAMES, isSent } from './send-names.ts';
import { isPicture, isStructure, readWish, SEND_FILES, type SendFile, useSend } from './send-store.ts';

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
  const woven = wovenOf(design) !== undefined;
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
          text: FILE_NAMES[file],
        }))}
        onChange={(file) => useSend.setState({ file })}
      />
      {woven && (
        <Choice
          label="Or the structure alone"
          value={wish.file}
          options={SEND_FILES.filter(isStructure).map((file) => ({ value: file, text: FILE_NAMES[file] }))}
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
      <div className="-mx-[18px] sticky bottom-0 flex flex-col gap-2 border-rule border-t bg-paper px-[18px] py-3">
        <button
          type="button"
          className="button button-go"
          disabled={taken !== undefined || (isPicture(wish.file) && wrong !== undefined)}
          onClick={() => void send(setTaken)}
        >
          <Download size={16} aria-hidden="true" />
          {taken === undefined
            ? `Send the ${FILE_NAMES[wish.file]}`
            : `Making it… ${(taken / 1e6).toFixed(1)} MB so far`}
        </button>
        {woven && (
          <button type="button" className="button" onClick={() => setWeaving(true)}>
            Weave it on a loom…
          </button>
        )}
      </div>
    </Panel>
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
