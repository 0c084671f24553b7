import { toast } from 'sonner';
import { savedAnswer } from '../../contracts/design.ts';
import type { Design } from '../../core/design/design-schema.ts';
import { withNewer } from '../../core/design/plies/lay-over.ts';
import type { DesignContent } from '../../core/design/plies/plies-schema.ts';
import { readPlies } from '../../core/design/plies/read-plies.ts';
import { NewerOnShelf } from '../../kit/from-shelf/newer-on-shelf.tsx';
import { useOnShelf } from '../../kit/from-shelf/use-on-shelf.ts';
import { postDesign } from '../../kit/post-design.ts';
import { errorSentence } from '../../wording/error-sentence.ts';
import { saveNow } from '../state/autosave.ts';
import { benchState, dispatch } from '../state/bench-store.ts';
import { changingPlies } from './plies-edits.ts';
import type { PlyPartProps } from './ply-part.tsx';
import { putPly } from './put-plies.ts';

/** The design in the ply: opened on its own bench, and taken anew where the shelf has a newer one. */
export function PlySourcePart({ at, content }: PlyPartProps & { readonly content: DesignContent }) {
  const onShelf = useOnShelf(content.from?.id);
  const { from } = content;
  return (
    <section aria-label="Where it is from" className="flex flex-col gap-2 text-[13px]">
      <NewerOnShelf
        from={from}
        onShelf={onShelf}
        onTake={(newer, taken) => takeNewer(at, newer.design, taken)}
      />
      <button
        type="button"
        className="button self-start"
        onClick={() => void open(at, content, from !== null && onShelf !== 'gone' ? from.id : undefined)}
      >
        {from === null || onShelf === 'gone' ? 'Put it on the shelf and open it' : 'Open it on its own bench'}
      </button>
    </section>
  );
}

function takeNewer(at: number, newer: Design, from: NonNullable<DesignContent['from']>): void {
  try {
    dispatch({
      kind: 'edit',
      edit: changingPlies((design) => readPlies(withNewer(design, at, newer, from))),
    });
    toast(`Ply ${at + 1} is “${newer.name}” as it is now.`);
  } catch (error) {
    toast.error(errorSentence(error) ?? (error as Error).message);
  }
}

/** Goes to a ply's design, which is put on the shelf first where it is not there. */
async function open(at: number, content: DesignContent, id: string | undefined): Promise<void> {
  try {
    if (id !== undefined) {
      await saveNow();
      window.location.assign(`/bench/${id}`);
      return;
    }
    const saved = savedAnswer.parse(await postDesign(content.design));
    putPly(at, { content: { ...content, from: { id: saved.id, version: saved.version } } });
    await saveNow();
    if (benchState().saved.kind === 'saved') window.location.assign(`/bench/${saved.id}`);
  } catch (error) {
    toast.error(errorSentence(error) ?? (error as Error).message);
  }
}
