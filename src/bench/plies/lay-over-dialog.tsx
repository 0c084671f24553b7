import { useMemo, useState } from 'react';
import type { Design } from '../../core/design/design-schema.ts';
import { CoreError } from '../../core/error.ts';
import { MAX_FADE_SHADES } from '../../core/shape/fade-way.ts';
import { ClothSwatch } from '../../kit/cloth-swatch.tsx';
import { Dialog } from '../../kit/dialog.tsx';
import { DialogActions } from '../../kit/dialog-actions.tsx';
import { Choice } from '../../kit/fields/choice.tsx';
import { FadeShades } from '../../kit/fields/fade-shades.tsx';
import { ShadeSelect } from '../../kit/fields/shade-select.tsx';
import { TextField } from '../../kit/fields/text-field.tsx';
import { ShelfChooser } from '../../kit/from-shelf/shelf-chooser.tsx';
import { keepLook, type LastLook, lastLook, lastTexture, type Over } from './last-looks.ts';
import { layItOver, weaveOver } from './lay-it-over.ts';
import { LookFields } from './ply-look-part.tsx';

const WHAT: readonly { readonly value: Over; readonly text: string }[] = [
  { value: 'shelf', text: 'A design' },
  { value: 'texture', text: 'Texture of a weave' },
  { value: 'weave', text: 'A weave' },
  { value: 'shade', text: 'A shade' },
  { value: 'fade', text: 'A fade' },
];

/** What is to be laid over the design on the bench: of plies it becomes one more, else both are a new design. */
export function LayOverDialog({ design, onClose }: { design: Design; onClose: () => void }) {
  const [over, setOver] = useState<Over>('shelf');
  const [looks, setLooks] = useState<Partial<Record<Over, LastLook>>>({});
  const [id, setId] = useState<string>();
  const [weave, setWeave] = useState(lastTexture);
  const first = design.shades[0]!.key;
  const [shade, setShade] = useState(first);
  const [fade, setFade] = useState([first, (design.shades[1] ?? design.shades[0]!).key]);
  const [problem, setProblem] = useState<string>();
  const [busy, setBusy] = useState(false);
  const look = looks[over] ?? lastLook(over);
  const woven = useMemo(
    () => (over === 'texture' || over === 'weave' ? tryWeave(weave, over, design) : undefined),
    [over, weave, design],
  );
  const isReady = over === 'shelf' ? id !== undefined : woven === undefined || woven.error === undefined;
  const lay = async () => {
    setBusy(true);
    keepLook(over, look);
    const sentence = await layItOver(design, { over, look, id, weave, shade, fade });
    setBusy(false);
    setProblem(sentence);
    if (sentence === undefined) onClose();
  };
  return (
    <Dialog open onOpenChange={onClose} title={`Lay over “${design.name}”`} wide>
      <form
        className="flex flex-col gap-4"
        onSubmit={(event) => {
          event.preventDefault();
          if (isReady && !busy) void lay();
        }}
      >
        <Choice label="What is laid over it" hideLabel value={over} options={WHAT} onChange={setOver} />
        {over === 'shelf' && <ShelfChooser chosen={id} onChoose={setId} />}
        {woven !== undefined && (
          <div className="grid grid-cols-[minmax(0,1fr)_200px] items-start gap-4">
            <TextField
              label="Weave"
              value={weave}
              counts
              error={woven.error}
              onChange={setWeave}
              placeholder="2/2Z, satin 5/2, herringbone 2/2 8"
            />
            {woven.design !== undefined && (
              <ClothSwatch design={woven.design} width={200} height={84} perThread={10} decorative />
            )}
          </div>
        )}
        {over === 'shade' && (
          <ShadeSelect label="Shade of the ply" shade={shade} shades={design.shades} onChange={setShade} />
        )}
        {over === 'fade' && (
          <FadeShades keys={fade} shades={design.shades} most={MAX_FADE_SHADES} onChange={setFade} />
        )}
        <div className="grid grid-cols-2 items-start gap-4">
          <LookFields
            look={look}
            onChange={(change) => setLooks({ ...looks, [over]: { ...look, ...change } })}
          />
        </div>
        {design.construction.kind !== 'plies' && (
          <p className="hint">Both become a new design on the shelf; this one stays as it is.</p>
        )}
        {problem !== undefined && (
          <p role="alert" className="text-madder">
            {problem}
          </p>
        )}
        <DialogActions action="Lay over" disabled={!isReady || busy} onClose={onClose} />
      </form>
    </Dialog>
  );
}

function tryWeave(text: string, over: 'texture' | 'weave', design: Design) {
  try {
    return { design: weaveOver(text, over, design), error: undefined };
  } catch (error) {
    if (error instanceof CoreError) return { design: undefined, error };
    throw error;
  }
}
