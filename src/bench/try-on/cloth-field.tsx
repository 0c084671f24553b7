import { useState } from 'react';
import { toast } from 'sonner';
import type { Design } from '../../core/design/design-schema.ts';
import { type ClothSpec, MOST_CLOTHS, type PartSpec } from '../../core/design/try-on/try-on-schema.ts';
import type { ScenePart } from '../../core/scene/scene.ts';
import { Dialog } from '../../kit/dialog.tsx';
import { DialogActions } from '../../kit/dialog-actions.tsx';
import { SelectField } from '../../kit/fields/select-field.tsx';
import { NewerOnShelf } from '../../kit/from-shelf/newer-on-shelf.tsx';
import { openDesign } from '../../kit/from-shelf/open-design.ts';
import { ShelfChooser } from '../../kit/from-shelf/shelf-chooser.tsx';
import { useOnShelf } from '../../kit/from-shelf/use-on-shelf.ts';
import { errorSentence } from '../../wording/error-sentence.ts';
import { dispatch } from '../state/bench-store.ts';
import { changeParts, putCloth, removeCloth, takeNewerCloth, tryOnOf } from './try-on-edits.ts';

interface ClothFieldProps {
  readonly design: Design;
  readonly part: ScenePart;
  readonly cloth: PartSpec['cloth'];
}

const OWN = 'design';
const BARE = 'bare';
const MORE = 'more';

/** Which design a part has: this one, another of the shelf, or none. */
export function ClothField({ design, part, cloth }: ClothFieldProps) {
  const { cloths } = tryOnOf(design);
  const [choosing, setChoosing] = useState(false);
  const put = (next: PartSpec['cloth']) =>
    dispatch({ kind: 'edit', edit: changeParts([part.key], () => ({ cloth: next })) });
  return (
    <>
      <SelectField
        label="Cloth"
        value={cloth === null ? BARE : String(cloth)}
        options={[
          { value: OWN, text: `${design.name} (this design)` },
          ...cloths.map((each, at) => ({ value: String(at), text: each.design.name })),
          { value: BARE, text: 'Bare' },
          ...(cloths.length < MOST_CLOTHS ? [{ value: MORE, text: 'Another of the shelf…' }] : []),
        ]}
        onChange={(next) => {
          if (next === MORE) setChoosing(true);
          else put(next === BARE ? null : next === OWN ? OWN : Number(next));
        }}
      />
      {typeof cloth === 'number' && cloths[cloth] !== undefined && (
        <ClothSource at={cloth} cloth={cloths[cloth]} />
      )}
      {choosing && <ClothDialog part={part} onClose={() => setChoosing(false)} />}
    </>
  );
}

/** Whether the shelf has a newer one of a design, or none any more. */
function ClothSource({ at, cloth: { from } }: { at: number; cloth: ClothSpec }) {
  const onShelf = useOnShelf(from?.id);
  return (
    <div className="flex flex-col gap-2 text-[13px]">
      <NewerOnShelf
        from={from}
        onShelf={onShelf}
        onTake={({ design }, taken) => dispatch({ kind: 'edit', edit: takeNewerCloth(at, design, taken) })}
      />
      <button
        type="button"
        className="button self-start"
        onClick={() => dispatch({ kind: 'edit', edit: removeCloth(at) })}
      >
        Take it out of the scene
      </button>
    </div>
  );
}

/** Another design of the shelf for a part. */
function ClothDialog({ part, onClose }: { part: ScenePart; onClose: () => void }) {
  const [id, setId] = useState<string>();
  const [busy, setBusy] = useState(false);
  const take = async (chosen: string) => {
    setBusy(true);
    try {
      const { design, version } = await openDesign(chosen);
      dispatch({ kind: 'edit', edit: putCloth([part.key], design, { id: chosen, version }) });
      onClose();
    } catch (error) {
      toast.error(errorSentence(error) ?? (error as Error).message);
    }
    setBusy(false);
  };
  return (
    <Dialog open onOpenChange={onClose} title={`Cloth of “${part.name}”`} wide>
      <form
        className="flex flex-col gap-4"
        onSubmit={(event) => {
          event.preventDefault();
          if (id !== undefined && !busy) void take(id);
        }}
      >
        <ShelfChooser chosen={id} onChoose={setId} />
        <DialogActions action="Try it on" disabled={id === undefined || busy} onClose={onClose} />
      </form>
    </Dialog>
  );
}
