import { useMemo, useState } from 'react';
import { wovenOf } from '../../core/design/design-facts.ts';
import { lossesOf } from '../../core/design/exchange/losses.ts';
import { type LibraryKind, refuseSide } from '../../core/formats/library-wish.ts';
import type { PictureOrder } from '../../core/formats/picture-order.ts';
import { Choice } from '../../kit/fields/choice.tsx';
import { SelectField } from '../../kit/fields/select-field.tsx';
import { Panel } from '../../kit/panel.tsx';
import { attempt, valueIfAny } from '../../wording/attempt.ts';
import { lossSentence } from '../../wording/loss-words.ts';
import { problemOf, unmadeOf } from '../state/bench-state.ts';
import { useBenchState, useDesign } from '../state/bench-store.ts';
import { LoomDialog } from './loom-dialog.tsx';
import { PerThread, PictureWish } from './picture-fields.tsx';
import { RefusedPart } from './refused-part.tsx';
import { SendButton } from './send-button.tsx';
import { FILE_NAMES, filesFor } from './send-names.ts';
import { isLibrary, isPicture, readWish, type SendFile, useSend, useSendOrder } from './send-store.ts';

const FOR: Readonly<Record<SendFile, string>> = {
  png: 'A picture in whole pixels, its resolution written in it.',
  jpg: 'A smaller picture for printers and mail, with its colour profile; fine detail suffers a little.',
  tif: 'A picture in whole pixels for print, with its colour profile.',
  webp: 'A small picture for screens.',
  svg: 'A drawing at true size, sharp at any scale.',
  pdf: 'Pages at true size, with a page of its measures and shades; larger cloth goes over several.',
  txt: 'Thread counts or widths as text, which Vetro and people read.',
  csv: 'Bands as a table: shade, colour, count or width, pivot.',
  faces: 'The corners of every face as a table, as decimals and exactly (CSV).',
  wif: 'Threading, tie-up, treadling and colours in the open weave format (WIF 1.1).',
  draft: 'Structure, threading, tie-up and treadling as a drawing (SVG).',
  paper: 'The structure on squared paper, a heavier line every eight (PNG).',
  squares: 'The same as a drawing (SVG), sharp at any scale.',
  texture: 'The structure in grey on clear ground, to lie over a print (PNG).',
  pack: 'A zip for a customer: the repeat, a sheet, a ticket, shades, colourways, the design, a page to read.',
  strike: 'A picture of the print as it would come out on a cloth, with its threads and its inks.',
  json: 'The whole design, to open in Vetro again.',
};

/** Files by what they are good for. */
const GROUPS: readonly { readonly label: string; readonly files: readonly SendFile[] }[] = [
  { label: 'A picture', files: ['png', 'jpg', 'tif', 'webp'] },
  { label: 'A drawing, or pages to print', files: ['svg', 'pdf'] },
  { label: 'Its numbers', files: ['txt', 'csv', 'faces', 'wif', 'json'] },
  { label: 'To try, or all of it', files: ['strike', 'pack'] },
  { label: 'The structure alone', files: ['draft', 'paper', 'squares', 'texture'] },
];

/** Who gets it: which file, how much of it, and how fine. */
export function SendPanel() {
  const design = useDesign();
  const woven = wovenOf(design) !== undefined;
  const wish = useSend();
  const problem = useBenchState((state) => problemOf(state) ?? unmadeOf(state));
  const [weaving, setWeaving] = useState(false);
  const numbers = isPicture(wish.file) ? readWish(wish, design) : undefined;
  const ordered = useSendOrder((each) => (each.isDue ? undefined : each.ordered));
  const tooLarge = ordered && isLibrary(wish.file) ? sideProblem(wish.file, ordered.order) : undefined;
  const wrong =
    problem ?? (numbers !== undefined && 'problem' in numbers ? numbers.problem : undefined) ?? tooLarge;
  return (
    <Panel title="Send" purpose="The repeat, a sheet of it or its numbers, as a file.">
      {GROUPS.map(({ label, files }) => {
        const sent = files.filter((file) => filesFor(design).includes(file));
        return (
          sent.length > 0 && (
            <Choice
              key={label}
              label={label}
              value={wish.file}
              options={sent.map((file) => ({ value: file, text: FILE_NAMES[file] }))}
              onChange={(file) => useSend.setState({ file })}
            />
          )
        );
      })}
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
        <RefusedPart />
        <SendButton file={wish.file} disabled={isPicture(wish.file) && wrong !== undefined} />
        {woven && (
          <button type="button" className="button" onClick={() => setWeaving(true)}>
            Weave it on a loom…
          </button>
        )}
        <a href="/sent" className="inline-block py-1 text-[13px]">
          What was sent before
        </a>
      </div>
    </Panel>
  );
}

/** Why a kind of picture cannot be so large; undefined where it can. */
function sideProblem(kind: LibraryKind, order: PictureOrder): string | undefined {
  const refused = attempt(() => refuseSide(kind, order));
  return 'problem' in refused ? refused.problem : undefined;
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
