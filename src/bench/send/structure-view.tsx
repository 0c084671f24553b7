import { useMemo } from 'react';
import { writeFile } from '../../core/design/exchange/write-file.ts';
import { errorSentence } from '../../wording/error-sentence.ts';
import { useDesign } from '../state/bench-store.ts';
import { useSend } from './send-store.ts';

/** A drawing of the structure as it will be sent. */
export function StructureView() {
  const design = useDesign();
  const { file } = useSend();
  const made = useMemo(() => {
    try {
      const svg = writeFile(design, file === 'draft' ? 'draft.svg' : 'paper.svg');
      return { address: `data:image/svg+xml;charset=utf-8,${encodeURIComponent(svg)}` };
    } catch (error) {
      const problem = errorSentence(error);
      if (problem === undefined) throw error;
      return { problem };
    }
  }, [design, file]);
  if ('problem' in made) return <p className="p-10 text-center text-madder">{made.problem}</p>;
  return (
    <div className="grid h-full place-items-center p-12">
      <img
        src={made.address}
        alt="What will be sent"
        className="max-h-full min-h-40 max-w-full bg-paper p-4 shadow-[0_4px_18px_rgb(32_41_43/0.25)]"
      />
    </div>
  );
}
