import { Download } from 'lucide-react';
import { useState } from 'react';
import { toast } from 'sonner';
import type { Design } from '../../core/design/design-schema.ts';
import { parseSmaller } from '../../core/design/try-on/try-on-numbers.ts';
import { toDecimal } from '../../core/exact/rational.ts';
import { fileNameOf } from '../../core/formats/file-name.ts';
import { sceneOf } from '../../core/scene/scenes.ts';
import { parseResolution } from '../../core/units/resolution.ts';
import { download } from '../../kit/download.ts';
import { CheckField } from '../../kit/fields/check-field.tsx';
import { Choice } from '../../kit/fields/choice.tsx';
import { NumberField } from '../../kit/fields/number-field.tsx';
import { goToRefused } from '../../kit/fields/refused-drafts.ts';
import { openClothWorker } from '../../workers/open-worker.ts';
import type { SceneFile } from '../../workers/try-on-work.ts';
import { tryOnOf } from './try-on-edits.ts';

const FILES: readonly { readonly value: SceneFile; readonly text: string }[] = [
  { value: 'png', text: 'PNG' },
  { value: 'svg', text: 'SVG' },
  { value: 'page', text: 'Page' },
];

const FOR: Readonly<Record<SceneFile, string>> = {
  png: 'A picture of the drawing.',
  svg: 'A drawing: flat cloth as a pattern, bent cloth as a picture.',
  page: 'An A4 sheet with a ticket, at the largest common scale that fits (SVG).',
};

/** The scene as a file. */
export function SendScene({ design }: { design: Design }) {
  const [kind, setKind] = useState<SceneFile>('png');
  const [dpi, setDpi] = useState('150');
  const [at, setAt] = useState('1:5');
  const [drawn, setDrawn] = useState(true);
  const [busy, setBusy] = useState(false);
  const send = async () => {
    if (goToRefused(document.body)) return;
    setBusy(true);
    const worker = openClothWorker();
    const tryOn = tryOnOf(design);
    try {
      const order = { dpi: parseResolution(dpi), smaller: parseSmaller(at), drawn };
      const answer = await worker.ask(async (api) => api.tryOnFile({ design, tryOn }, order, kind));
      if ('problem' in answer) toast.error(answer.problem);
      else download(nameOf(design, kind), answer.value);
    } catch (error) {
      console.error(error);
      toast.error('The drawing could not be made. Try fewer dpi, or reload.');
    } finally {
      worker.close();
      setBusy(false);
    }
  };
  return (
    <section aria-label="Send this drawing" className="flex flex-col gap-3 border-rule border-t pt-3">
      <Choice label="Send this drawing" value={kind} options={FILES} onChange={setKind} />
      <p className="hint -mt-1">{FOR[kind]}</p>
      <div className="grid grid-cols-2 gap-3">
        {kind !== 'page' && (
          <NumberField
            label="Scale"
            text={at}
            resolve={(text) => scaleText(parseSmaller(text))}
            onChange={setAt}
          />
        )}
        <NumberField
          label={kind === 'png' ? 'Pixels an inch' : 'Pictures, dpi'}
          text={dpi}
          resolve={(text) => toDecimal(parseResolution(text), 2)}
          onChange={setDpi}
        />
      </div>
      {kind !== 'page' && (
        <CheckField text="With outlines and dimensions, on paper" on={drawn} onChange={setDrawn} />
      )}
      <button type="button" className="button button-go" disabled={busy} onClick={() => void send()}>
        <Download size={16} aria-hidden="true" />
        {busy ? 'Making it…' : `Send the ${FILES.find(({ value }) => value === kind)!.text}`}
      </button>
    </section>
  );
}

function scaleText(smaller: number): string {
  return smaller >= 1 ? `1:${Number(smaller.toFixed(3))}` : `${Number((1 / smaller).toFixed(3))}:1`;
}

function nameOf(design: Design, kind: SceneFile): string {
  const { name } = sceneOf(tryOnOf(design).scene);
  const file = kind === 'png' ? 'drawing.png' : kind === 'svg' ? 'drawing.svg' : 'page.svg';
  return fileNameOf({ name: `${design.name} ${name}`, file });
}
